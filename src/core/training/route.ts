import { type Anatomy, nameOf, type PlaceId } from '../anatomy/place';
import { shortLabel } from '../anatomy/place-labels';
import type { ReadCase } from '../drainage/case';
import { isNeverPassed, isPassable, isUnscarred } from '../drainage/hindrance';
import { candidateGroups } from '../drainage/exits';
import type { Route } from '../drainage/routes';
import { surveyCase } from '../drainage/survey';
import { bodyOf } from './bodies';
import type { Drill, DrillFault } from './drill';
import { scoreOf } from './drill';
import { trainingSays } from './training.says';

interface RouteCase {
  readonly read: ReadCase;
  readonly words: string;
  readonly from: PlaceId;
  readonly lawful: readonly Route[];
}

export interface RouteQuestion {
  readonly words: string;
  readonly findings: ReadCase['findings'];
  /** Where the way begins: its own group is closed. */
  readonly from: PlaceId;
  readonly fromLabel: string;
  /** Neighbours of each place, for leading the path place by place. */
  readonly groups: readonly { readonly id: PlaceId; readonly label: string }[];
}

export interface RouteAnswer {
  readonly open: readonly PlaceId[];
  /** From the beginning to the group, both included. */
  readonly path: readonly PlaceId[];
}

/** Leads fluid round what is closed: groups to open, and the way there place by place. */
export const routeDrill: Drill<RouteCase, RouteQuestion, RouteAnswer> = {
  make: ({ anatomy }, draw, level, course) => {
    const body = course ?? bodyOf(anatomy, draw, level === 1 ? 2 : level);
    if (!body) return undefined;
    const { lawful } = surveyCase(anatomy, body.read);
    const from = lawful[0]?.path[0];
    if (from === undefined) return undefined;
    return { ...body, from, lawful: lawful.filter(({ path }) => path[0] === from) };
  },
  ask: ({ anatomy }, { read, words, from }) => ({
    words: trainingSays.leadRound(words),
    findings: read.findings,
    ...{ from, fromLabel: shortLabel(anatomy, from) },
    groups: [...anatomy.basins.keys()].map((id) => ({ id, label: shortLabel(anatomy, id) })),
  }),
  errors: ({ anatomy }, _of, { open, path }) => [
    ...open.flatMap((id, i) =>
      anatomy.basins.has(id) ? [] : [{ path: `open.${i}`, message: trainingSays.noSuchGroup(id) }],
    ),
    ...path.flatMap((id, i) =>
      anatomy.basins.has(id) || anatomy.territories.has(id)
        ? []
        : [{ path: `path.${i}`, message: trainingSays.noSuchPlace(id) }],
    ),
  ],
  judge: ({ anatomy }, of, { open, path }) => {
    const faults = [...pathFaults(anatomy, of, path), ...openFaults(anatomy, of, open, path)];
    const to = path.at(-1) ?? '';
    if (faults.length === 0 && !of.lawful.some((way) => way.to === to))
      faults.push({ rule: 'lawful-end', text: trainingSays.notAllowedThere(shortLabel(anatomy, to)) });
    const least = of.lawful[0]?.cost ?? 0;
    if (faults.length > 0) return { score: scoreOf(0.5 - 0.15 * (faults.length - 1)), faults };
    const own = costOf(anatomy, of.read, path);
    if (own <= least) return { score: 1, faults: [] };
    return {
      score: scoreOf(0.6 + (0.39 * least) / own),
      faults: [{ rule: 'nearest-way', text: trainingSays.farther(own, least) }],
    };
  },
  best: (_books, { lawful }) => {
    const { to, path } = lawful[0] as Route;
    return { open: [to], path };
  },
  skills: (_books, { read }) => [
    'nearest-way',
    'round-closed',
    'place-by-place',
    'open-the-end',
    ...(read.findings.some(({ id }) => id === 'scar') ? (['round-scars'] as const) : []),
  ],
};

/** A group in which a way may end is no way through. */
const isEnd = (id: PlaceId) => candidateGroups.some((name) => nameOf(id) === name);

function pathFaults(anatomy: Anatomy, { read, from }: RouteCase, path: readonly PlaceId[]): readonly DrillFault[] {
  const label = (id: PlaceId) => shortLabel(anatomy, id);
  const last = path.at(-1);
  if (path[0] !== from) return [{ rule: 'beginning', text: trainingSays.beginsAt(label(from)) }];
  if (path.length < 2 || last === undefined || !anatomy.basins.has(last))
    return [{ rule: 'ends-in-nodes', text: trainingSays.endsInNodes }];
  const { hindrances } = read;
  const faults: DrillFault[] = [];
  for (let i = 0; i + 1 < path.length; i += 1) {
    const [here = '', next = ''] = [path[i], path[i + 1]];
    const edge = (anatomy.edgesInto.get(next) ?? []).find((one) => one.from === here);
    if (!edge) faults.push({ rule: 'neighbours', text: trainingSays.noWay(label(here), label(next)) });
    else if (!isUnscarred(hindrances, edge))
      faults.push({ rule: 'no-scar-crossing', text: trainingSays.scarBetween(label(here), label(next)) });
    if (!isPassable(hindrances, next))
      faults.push({ rule: 'no-blocked-target', text: trainingSays.isClosed(label(next)) });
    else if (i + 2 < path.length && isNeverPassed(hindrances, next))
      faults.push({ rule: 'not-through', text: trainingSays.notThrough(label(next)) });
    else if (i + 2 < path.length && isEnd(next))
      faults.push({ rule: 'not-through', text: trainingSays.notThrough(label(next)) });
  }
  return faults;
}

function openFaults(
  anatomy: Anatomy,
  { read }: RouteCase,
  open: readonly PlaceId[],
  path: readonly PlaceId[],
): readonly DrillFault[] {
  const last = path.at(-1) ?? '';
  return [
    ...open
      .filter((id) => !isPassable(read.hindrances, id))
      .map((id) => ({ rule: 'no-blocked-target', text: trainingSays.isClosed(shortLabel(anatomy, id)) })),
    ...(anatomy.basins.has(last) && !open.includes(last)
      ? [{ rule: 'basin-before-skin', text: trainingSays.openFirst(shortLabel(anatomy, last)) }]
      : []),
  ];
}

/** Hand's widths of a way, with what is added on entering a place. */
function costOf(anatomy: Anatomy, { hindrances }: ReadCase, path: readonly PlaceId[]): number {
  return path.slice(1).reduce((sum, id, i) => {
    const edge = (anatomy.edgesInto.get(id) ?? []).find(({ from }) => from === path[i]);
    return sum + (edge?.cost ?? 0) + (hindrances.surcharge.get(id) ?? 0);
  }, 0);
}
