import { type Anatomy, type PlaceId, sideOf } from '../anatomy/place';
import { findHindrances } from './hindrance';
import { routesTo } from './routes';

const toTheVeins = new WeakMap<Anatomy, ReadonlyMap<PlaceId, number>>();

/**
 * How far a node group lies from where lymph rejoins the veins, along natural flow (relative cost; 0 for a terminus).
 * @throws RangeError for a place that is no node group
 */
export function distanceToTerminus(anatomy: Anatomy, id: PlaceId): number {
  let distances = toTheVeins.get(anatomy);
  if (!distances) {
    distances = measure(anatomy);
    toTheVeins.set(anatomy, distances);
  }
  const distance = distances.get(id);
  if (distance === undefined) throw new RangeError(`“${id}” is not a node group that reaches the veins`);
  return distance;
}

/** Relaxes the flow edges among node groups until nothing shortens; there are few of them. */
function measure(anatomy: Anatomy): ReadonlyMap<PlaceId, number> {
  const distances = new Map<PlaceId, number>([
    ['terminus.left', 0],
    ['terminus.right', 0],
  ]);
  const flows = anatomy.edges.filter(
    (e) => e.kind === 'flow' && anatomy.basins.has(e.from) && anatomy.basins.has(e.to),
  );
  for (let changed = true; changed;) {
    changed = false;
    for (const edge of flows) {
      const through = (distances.get(edge.to) ?? Infinity) + edge.cost;
      if (through < (distances.get(edge.from) ?? Infinity)) {
        distances.set(edge.from, through);
        changed = true;
      }
    }
  }
  return distances;
}

/** The node group that a group empties into when hands can move it there; the deep trunk is moved by breath alone. */
export function nextGroup(anatomy: Anatomy, id: PlaceId): PlaceId | undefined {
  let known = onwards.get(anatomy);
  if (!known) onwards.set(anatomy, (known = new Map()));
  if (!known.has(id)) known.set(id, findNextGroup(anatomy, id));
  return known.get(id);
}

const onwards = new WeakMap<Anatomy, Map<PlaceId, PlaceId | undefined>>();

function findNextGroup(anatomy: Anatomy, id: PlaceId): PlaceId | undefined {
  const onward = anatomy.edges
    .filter((e) => e.kind === 'flow' && e.from === id && sideOf(e.to) !== 'mid')
    .sort((a, b) => distanceToTerminus(anatomy, a.to) + a.cost - distanceToTerminus(anatomy, b.to) - b.cost);
  return onward[0]?.to;
}

const natural = new WeakMap<Anatomy, Map<PlaceId, readonly PlaceId[]>>();
const flowOnly = new Set(['flow'] as const);

/** The node groups that the fluid of a territory passes by nature, its home last. */
export function groupsAhead(anatomy: Anatomy, territory: PlaceId): readonly PlaceId[] {
  let known = natural.get(anatomy);
  if (!known) natural.set(anatomy, (known = new Map()));
  let groups = known.get(territory);
  if (!groups) {
    const home = anatomy.territories.get(territory)?.home;
    const open = findHindrances(anatomy, []);
    const way = home && routesTo(anatomy, open, { target: home, kinds: flowOnly, prefer: 'direct' }).get(territory);
    groups = way ? way.path.filter((id) => anatomy.basins.has(id)) : home ? [home] : [];
    known.set(territory, groups);
  }
  return groups;
}
