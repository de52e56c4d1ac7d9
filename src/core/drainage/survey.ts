import {
  type Anatomy,
  getTerritory,
  limbOf,
  mirrorOf,
  nameOf,
  type PlaceId,
  sideOf,
  type Territory,
} from '../anatomy/place';
import type { ReadCase } from './case';
import { chooseExits, type ExitChoice, ExitMap } from './exits';
import { isPassable, isUnscarred } from './hindrance';
import { rollerRoutes } from './roller';
import { type Route, routesTo } from './routes';
import type { Rejection } from './wording';

const flowOnly = new Set(['flow'] as const);

/** Where rerouted fluid of a whole limb leaves it; the second is taken when the first may not be touched. */
const limbRoots: Readonly<Record<string, readonly string[]>> = {
  leg: ['thigh-upper-outer', 'thigh-upper-back', 'thigh-upper-inner'],
  arm: ['upper-arm-outer', 'shoulder-cap', 'upper-arm-inner'],
};

/** A way out of the body for some of the focus. */
export interface Exit extends Route {
  /** `leg.left` for a limb, otherwise the side and group that single territories share. */
  readonly unit: string;
  readonly isLimb: boolean;
  readonly rerouted: boolean;
}

/** A limb that flows one way although its own group is closed. */
export interface ReroutedLimb {
  readonly limb: string;
  readonly root: PlaceId;
  /** The seat of a leg that is led up the flank, while its thigh is worked: the widest way, prepared before it. */
  readonly seat: PlaceId | undefined;
  /** Cheapest first; fluid is carried to them in turn. */
  readonly exits: readonly Route[];
}

/** Everything that is decided before a single step is written. */
export interface Survey {
  /** Way from each focus territory that can be drained to its group. */
  readonly routes: ReadonlyMap<PlaceId, Route>;
  readonly rerouted: ReadonlySet<PlaceId>;
  readonly limbs: readonly ReroutedLimb[];
  readonly exits: readonly Exit[];
  readonly rejected: readonly Rejection[];
  /** Every way that the rules allow for what has lost its own, each group once, cheapest first. */
  readonly lawful: readonly Route[];
  /** Focus that may not be touched. */
  readonly closed: readonly PlaceId[];
  /** Focus from which nothing can be led anywhere. */
  readonly stranded: readonly PlaceId[];
}

/**
 * @param exitLimit `one` keeps only the cheapest exit of each limb or territory, to save time
 * @param waits focus that waits for another visit: it still counts when exits are chosen, but nothing is opened for it
 */
export function surveyCase(
  anatomy: Anatomy,
  read: ReadCase,
  exitLimit: 'all' | 'one' = 'all',
  waits: ReadonlySet<PlaceId> = new Set(),
): Survey {
  const { hindrances } = read;
  const closed = read.territories.filter((id) => hindrances.closed.has(id));
  const open = read.territories.filter((id) => !hindrances.closed.has(id) && !waits.has(id));
  const ways = waysOfCase(anatomy, read);
  const { natural, exitMap } = ways;
  const routes = new Map<PlaceId, Route>();
  const rerouted = new Set<PlaceId>();
  const limbs: ReroutedLimb[] = [];
  const exits: Exit[] = [];
  const rejected: Rejection[] = [];
  const lawful: Route[] = [];
  const limit = (all: readonly Route[]) => (exitLimit === 'one' ? all.slice(0, 1) : all);

  for (const [limb, members] of byLimb(anatomy, open)) {
    const blockedMembers = members.filter((id) => !natural.has(id));
    const naturalMembers = members.filter((id) => natural.has(id));
    for (const id of naturalMembers) routes.set(id, natural.get(id) as Route);
    if (naturalMembers.length > 0) exits.push(...naturalLimbExit(anatomy, read, limb, naturalMembers, natural));
    if (blockedMembers.length === 0) continue;
    const [part = '', side = ''] = limb.split('.');
    for (const rootName of limbRoots[part] ?? []) {
      const root = getTerritory(anatomy, `${rootName}.${side}`);
      if (hindrances.closed.has(root.id)) continue;
      const choice = ways.choiceFrom(root);
      if (choice.chosen.length === 0 && rootName !== limbRoots[part]?.at(-1)) continue;
      rejected.push(...choice.rejected);
      lawful.push(...choice.lawful);
      const chosen = limit(choice.chosen);
      if (chosen.length === 0) break;
      limbs.push({ limb, root: root.id, seat: seatOf(anatomy, read, root, blockedMembers, chosen), exits: chosen });
      exits.push(...chosen.map((route) => ({ ...route, unit: limb, isLimb: true, rerouted: true })));
      const inLimb = ways.inLimb(limb, root.id);
      for (const id of blockedMembers) {
        const route = wayThroughRoot(exitMap, inLimb, chosen[0] as Route, id);
        if (!route) continue;
        routes.set(id, route);
        rerouted.add(id);
      }
      break;
    }
  }

  const single = open.filter((id) => !limbMember(anatomy, open, id));
  const pooled: Exit[] = [];
  for (const id of single) {
    const territory = getTerritory(anatomy, id);
    const way = natural.get(id);
    if (way) {
      routes.set(id, way);
      pooled.push({ ...way, unit: `natural ${way.to}`, isLimb: false, rerouted: false });
      continue;
    }
    const choice = ways.choiceFrom(territory);
    rejected.push(...choice.rejected);
    lawful.push(...choice.lawful);
    const chosen = limit(choice.chosen);
    const [first] = chosen;
    if (!first) continue;
    routes.set(id, first);
    rerouted.add(id);
    pooled.push(
      ...chosen.map((route) => ({ ...route, unit: `rerouted ${territory.side}`, isLimb: false, rerouted: true })),
    );
  }
  exits.push(...farthestOfEach(pooled));

  return {
    routes,
    rerouted,
    limbs,
    exits: mergeExits(exits),
    rejected: mergeRejections(rejected, exits),
    lawful: cheapestOfEach(lawful),
    closed,
    stranded: open.filter((id) => !routes.has(id)),
  };
}

function seatOf(
  anatomy: Anatomy,
  read: ReadCase,
  root: Territory,
  members: readonly PlaceId[],
  exits: readonly Route[],
): PlaceId | undefined {
  const [seat, flank] = [`buttock.${root.side}`, `flank-lower.${root.side}`];
  const isByFlank = exits.some(({ path }) => path.includes(flank) && !path.includes(seat));
  const isThighWorked = members.some((id) => anatomy.territories.get(id)?.segment === 1);
  return root.part === 'leg' &&
    isByFlank &&
    isThighWorked &&
    !read.hindrances.closed.has(seat) &&
    isOpenEdge(anatomy, read, seat, flank)
    ? seat
    : undefined;
}

/** What a case decides whatever has to wait, worked out once however often the time is fitted. */
interface WaysOfCase {
  readonly natural: ReadonlyMap<PlaceId, Route>;
  readonly exitMap: ExitMap;
  readonly choiceFrom: (territory: Territory) => ExitChoice;
  readonly inLimb: (limb: string, root: PlaceId) => ReadonlyMap<PlaceId, Route>;
}

const known = new WeakMap<ReadCase, WaysOfCase>();

function waysOfCase(anatomy: Anatomy, read: ReadCase): WaysOfCase {
  const before = known.get(read);
  if (before) return before;
  const exitMap = new ExitMap(anatomy, read);
  const choices = new Map<PlaceId, ExitChoice>();
  const limbs = new Map<string, ReadonlyMap<PlaceId, Route>>();
  const open = read.territories.filter((id) => !read.hindrances.closed.has(id));
  const ways: WaysOfCase = {
    natural: naturalRoutes(anatomy, read, open),
    exitMap,
    choiceFrom(territory) {
      const choice = choices.get(territory.id) ?? chooseExits(anatomy, read, exitMap, territory);
      choices.set(territory.id, choice);
      return choice;
    },
    inLimb(limb, root) {
      const routes = limbs.get(`${limb} ${root}`) ?? routesInLimb(anatomy, read, limb, root);
      limbs.set(`${limb} ${root}`, routes);
      return routes;
    },
  };
  known.set(read, ways);
  return ways;
}

/** Flow-only ways to each territory's own group, for those whose way is open. */
function naturalRoutes(anatomy: Anatomy, read: ReadCase, open: readonly PlaceId[]): ReadonlyMap<PlaceId, Route> {
  const natural = new Map<PlaceId, Route>();
  const homes = new Map<PlaceId, ReadonlyMap<PlaceId, Route>>();
  const rolled = read.school.hand === 'roller' ? rollerRoutes(anatomy, read.hindrances) : undefined;
  for (const id of open) {
    const { home } = getTerritory(anatomy, id);
    let routes = homes.get(home);
    if (!routes) {
      routes = routesTo(anatomy, read.hindrances, { target: home, kinds: flowOnly, prefer: 'direct' });
      homes.set(home, routes);
    }
    // The roller has ways of its own: a closed group that they never touch does not matter to it.
    const route = rolled?.get(id) ?? routes.get(id);
    if (route) natural.set(id, route);
  }
  return natural;
}

/** Limbs in focus with their members; the seat goes with its leg. */
function byLimb(anatomy: Anatomy, open: readonly PlaceId[]): ReadonlyMap<string, readonly PlaceId[]> {
  const limbs = new Map<string, PlaceId[]>();
  for (const id of open) {
    const limb = limbMember(anatomy, open, id);
    if (limb) limbs.set(limb, [...(limbs.get(limb) ?? []), id]);
  }
  return limbs;
}

function limbMember(anatomy: Anatomy, open: readonly PlaceId[], id: PlaceId): string | undefined {
  const territory = getTerritory(anatomy, id);
  const limb = limbOf(territory);
  if (limb || territory.name !== 'buttock') return limb;
  const leg = `leg.${territory.side}`;
  return open.some((other) => limbOf(getTerritory(anatomy, other)) === leg) ? leg : undefined;
}

function naturalLimbExit(
  anatomy: Anatomy,
  read: ReadCase,
  limb: string,
  members: readonly PlaceId[],
  natural: ReadonlyMap<PlaceId, Route>,
): Exit[] {
  const [part = '', side = ''] = limb.split('.');
  const root = `${limbRoots[part]?.[0] ?? ''}.${side}`;
  const { home } = getTerritory(anatomy, root);
  const fromRoot = routesTo(anatomy, read.hindrances, { target: home, kinds: flowOnly, prefer: 'direct' }).get(root);
  const open = fromRoot && isPassable(read.hindrances, root) ? fromRoot : natural.get(members[0] ?? '');
  return open ? [{ ...open, unit: limb, isLimb: true, rerouted: false }] : [];
}

/**
 * A rerouted limb flows one way: from a territory to the limb's root inside the limb, then along the root's way out.
 * A territory that already lies on that way simply goes on along it.
 */
function wayThroughRoot(
  exitMap: ExitMap,
  inLimb: ReadonlyMap<PlaceId, Route>,
  out: Route,
  id: PlaceId,
): Route | undefined {
  const toRoot = out.path.includes(id) ? undefined : inLimb.get(id);
  if (!toRoot) return exitMap.route(id, out.to);
  return { to: out.to, cost: toRoot.cost + out.cost, path: [...toRoot.path, ...out.path.slice(1)] };
}

/** Ways from the territories of a limb to its root that never leave the limb. */
function routesInLimb(anatomy: Anatomy, read: ReadCase, limb: string, root: PlaceId): ReadonlyMap<PlaceId, Route> {
  const isInside = (id: PlaceId) => {
    const territory: Territory | undefined = anatomy.territories.get(id);
    return territory !== undefined && limbOf(territory) === limb;
  };
  const routes = routesTo(anatomy, read.hindrances, {
    target: root,
    kinds: new Set(['flow', 'detour']),
    prefer: 'front',
    avoid: (id) => !isInside(id),
  });
  return new Map([...routes].filter(([id]) => isInside(id)));
}

/** One exit for each unit and group: the one from the territory that is farthest by cost, ties by name. */
function farthestOfEach(exits: readonly Exit[]): Exit[] {
  const farthest = new Map<string, Exit>();
  for (const exit of exits) {
    const key = `${exit.unit} ${exit.to}`;
    const known = farthest.get(key);
    const isFarther =
      !known || exit.cost > known.cost || (exit.cost === known.cost && (exit.path[0] ?? '') < (known.path[0] ?? ''));
    if (isFarther) farthest.set(key, exit);
  }
  return [...farthest.values()];
}

const cheapestOfEach = (routes: readonly Route[]): readonly Route[] => {
  const cheapest = new Map<PlaceId, Route>();
  for (const route of routes)
    if (route.cost < (cheapest.get(route.to)?.cost ?? Infinity)) cheapest.set(route.to, route);
  return [...cheapest.values()].sort((a, b) => a.cost - b.cost || (a.to < b.to ? -1 : 1));
};

/** Each group once: a rerouted way before a natural one, a limb's before a single territory's. */
function mergeExits(exits: readonly Exit[]): Exit[] {
  const rank = (exit: Exit) => (exit.rerouted ? 0 : 2) + (exit.isLimb ? 0 : 1);
  const kept = new Map<PlaceId, Exit>();
  for (const exit of [...exits].sort((a, b) => rank(a) - rank(b))) if (!kept.has(exit.to)) kept.set(exit.to, exit);
  return [...kept.values()];
}

function mergeRejections(rejected: readonly Rejection[], exits: readonly Exit[]): Rejection[] {
  const taken = new Set(exits.map((exit) => exit.to));
  const kept = new Map<PlaceId, Rejection>();
  for (const rejection of rejected)
    if (!taken.has(rejection.to) && !kept.has(rejection.to)) kept.set(rejection.to, rejection);
  return [...kept.values()];
}

/** Sides that count as affected: those that must be rerouted, or else all that are in focus. */
export function affectedSides(read: ReadCase, survey: Survey): ReadonlySet<string> {
  const source = survey.rerouted.size > 0 ? [...survey.rerouted] : read.territories;
  return new Set(source.map(sideOf));
}

/** Node groups that must be open: every group on a way, and the sound side's group of a one-sided case. */
export function neededGroups(anatomy: Anatomy, read: ReadCase, survey: Survey): ReadonlySet<PlaceId> {
  const groups = new Set<PlaceId>();
  const ways = [...survey.exits, ...survey.limbs.flatMap((limb) => limb.exits), ...survey.routes.values()].map(
    (way) => way.path,
  );
  for (const path of ways) for (const id of path) if (anatomy.basins.has(id)) groups.add(id);
  const sides = affectedSides(read, survey);
  if (sides.size === 1) {
    for (const id of survey.routes.keys()) {
      const sound = mirrorOf(getTerritory(anatomy, id).home);
      if (!read.hindrances.blocked.has(sound)) groups.add(sound);
    }
  }
  for (const id of [...groups]) if (nameOf(id) === 'terminus' || sideOf(id) === 'mid') groups.delete(id);
  return groups;
}

/** True when the way from one place to the next exists, is open and is not cut by a scar. */
function isOpenEdge(anatomy: Anatomy, read: ReadCase, from: PlaceId, to: PlaceId): boolean {
  return (
    isPassable(read.hindrances, to) &&
    isUnscarred(read.hindrances, { from, to }) &&
    (anatomy.edgesInto.get(to) ?? []).some((edge) => edge.from === from)
  );
}
