import { type Anatomy, isInFront, mirrorOf, nameOf, type PlaceId, sideOf, type Territory } from '../anatomy/place';
import type { ReadCase } from './case';
import type { Rejection } from './wording';
import { type Route, routesTo } from './routes';

/** Groups that rerouted fluid may be led to. */
export const candidateGroups = ['axillary', 'inguinal', 'terminus'] as const;
const everyKind = new Set(['flow', 'detour', 'crossing'] as const);

/** An exit that costs more than this is no help. */
const dearestExitCost = 12;
const secondExitAllowance = 2;

export interface ExitChoice {
  /** Cheapest first. */
  readonly chosen: readonly Route[];
  /** Every way that the rules allow, cheapest first. */
  readonly lawful: readonly Route[];
  readonly rejected: readonly Rejection[];
}

/** Ways over all kinds of skin to each open candidate group; a way ends at the first candidate that it enters. */
export class ExitMap {
  readonly #routes = new Map<PlaceId, ReadonlyMap<PlaceId, Route>>();

  constructor(
    private readonly anatomy: Anatomy,
    private readonly read: ReadCase,
  ) {}

  readonly targets: readonly PlaceId[] = candidateGroups.flatMap((name) => [`${name}.left`, `${name}.right`]);

  /** The cheapest way from a place to a candidate, or undefined when there is none. */
  route(from: PlaceId, target: PlaceId): Route | undefined {
    let routes = this.#routes.get(target);
    if (!routes) {
      const others = new Set(this.targets.filter((id) => id !== target));
      routes = routesTo(this.anatomy, this.read.hindrances, {
        target,
        kinds: everyKind,
        prefer: 'front',
        avoid: (id) => others.has(id),
      });
      this.#routes.set(target, routes);
    }
    return routes.get(from);
  }
}

/**
 * Chooses where the fluid of a limb (from its root) or of a single territory shall go when its own group is closed:
 * the cheapest armpit or groin, a second one that costs at most 2 more, and for arm, chest and head the terminus of
 * the same side when it is not dearer than the cheapest.
 */
export function chooseExits(anatomy: Anatomy, read: ReadCase, exits: ExitMap, from: Territory): ExitChoice {
  const rejected: Rejection[] = [];
  const usable: Route[] = [];
  for (const target of exits.targets) {
    const blockedBy = read.hindrances.blocked.get(target);
    if (blockedBy) {
      if (target === from.home || nameOf(target) === nameOf(from.home)) rejected.push({ to: target, cause: blockedBy });
      continue;
    }
    if (nameOf(target) === 'terminus' && sideOf(target) !== from.side) continue;
    const route = exits.route(from.id, target);
    if (!route) rejected.push({ to: target, cause: 'unreachable' });
    else if (route.cost > dearestExitCost) rejected.push({ to: target, cause: 'too-dear', cost: route.cost });
    else if (leadsIntoOtherFocus(anatomy, read, from, target))
      rejected.push({ to: target, cause: 'other-side-in-focus', cost: route.cost });
    else usable.push(route);
  }
  usable.sort((a, b) => compareExits(anatomy, from, a, b));
  const wanted = chosenByHand(read, usable, rejected);
  if (wanted) return { chosen: wanted, lawful: usable, rejected };

  const own = usable.filter((route) => nameOf(route.to) !== 'terminus');
  const terminus = usable.find((route) => nameOf(route.to) === 'terminus');
  const chosen: Route[] = own.slice(0, 1);
  const [cheapest] = own;
  for (const route of own.slice(1)) {
    const isSecond =
      read.school.exits === 2 && chosen.length === 1 && route.cost <= (cheapest?.cost ?? 0) + secondExitAllowance;
    if (isSecond) chosen.push(route);
    else rejected.push({ to: route.to, cause: 'further', cost: route.cost, cheapest: cheapest?.cost ?? 0 });
  }
  if (terminus) {
    const mayServe = from.part === 'arm' || from.part === 'head' || from.part === 'neck' || from.quadrant === 'upper';
    if (mayServe && (!cheapest || terminus.cost <= cheapest.cost)) chosen.push(terminus);
    else if (mayServe)
      rejected.push({ to: terminus.to, cause: 'further', cost: terminus.cost, cheapest: cheapest?.cost ?? 0 });
  }
  return { chosen: chosen.sort((a, b) => compareExits(anatomy, from, a, b)), lawful: usable, rejected };
}

/** What the therapist chose among the lawful ways; undefined when nothing was chosen that this skin could take. */
function chosenByHand(read: ReadCase, lawful: readonly Route[], rejected: Rejection[]): readonly Route[] | undefined {
  const refused = new Set(read.refuse ?? []);
  const left = lawful.filter(({ to }) => !refused.has(to));
  const used = left.filter(({ to }) => read.use?.includes(to));
  const isRefused = left.length < lawful.length;
  if (used.length === 0 && !isRefused) return undefined;
  const chosen = used.length > 0 ? used : withinReach(left, read.school.exits);
  for (const route of lawful)
    if (!chosen.includes(route)) rejected.push({ to: route.to, cause: 'not-chosen', cost: route.cost });
  return chosen;
}

/** Of what is left after a refusal: the cheapest, and a second one where the school takes two and it is near enough. */
const withinReach = (left: readonly Route[], exits: 1 | 2) =>
  left.slice(0, exits).filter((route, i) => i === 0 || route.cost <= (left[0]?.cost ?? 0) + secondExitAllowance);

/** By cost, then without turning, then the same side, then by name. */
function compareExits(anatomy: Anatomy, from: Territory, a: Route, b: Route): number {
  const turns = (route: Route) => (route.path.every((id) => isInFront(anatomy, id)) ? 0 : 1);
  const strays = (route: Route) => (sideOf(route.to) === from.side ? 0 : 1);
  return a.cost - b.cost || turns(a) - turns(b) || strays(a) - strays(b) || (a.to < b.to ? -1 : 1);
}

/** Across the middle line fluid would meet the other side's own when that is swollen too. */
function leadsIntoOtherFocus(anatomy: Anatomy, read: ReadCase, from: Territory, target: PlaceId): boolean {
  if (sideOf(target) === from.side) return false;
  return read.territories.some((id) => {
    const territory = anatomy.territories.get(id);
    if (!territory || territory.side === from.side) return false;
    return territory.home === target || territory.home === mirrorOf(from.home);
  });
}
