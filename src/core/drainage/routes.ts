import { type Anatomy, type EdgeKind, isInFront, nameOf, type PlaceId } from '../anatomy/place';
import { type Hindrances, isBoundDown, isPassable, isUnscarred } from './hindrance';

/** A way from a place to a node group; `path` holds both ends. */
export interface Route {
  readonly to: PlaceId;
  /** Sum of the ways' costs and of what is added on entering a place. */
  readonly cost: number;
  readonly path: readonly PlaceId[];
}

export interface RouteWish {
  readonly target: PlaceId;
  readonly kinds: ReadonlySet<EdgeKind>;
  /** Among equally costly ways: the fewest places (`direct`), or the fewest on the back (`front`). */
  readonly prefer: 'direct' | 'front';
  /** Places that may be a start but never lie on the way. */
  readonly avoid?: (id: PlaceId) => boolean;
}

/** One unit of cost; the preferences below it only decide between equals. Costs come in halves, so all stays integer. */
const costUnit = 1e8;

interface Reached {
  readonly weight: number;
  readonly cost: number;
  readonly next: PlaceId | undefined;
}

/**
 * Cheapest ways from everywhere to one node group: Dijkstra (1959, Numer. Math. 1:269–271) run backwards from the target.
 * Ties: by preference, then round the outer side of the knee, then the alphabetical order of the places.
 * @returns a route for each place that can reach the target; empty when the target is blocked
 */
export function routesTo(anatomy: Anatomy, hindrances: Hindrances, wish: RouteWish): ReadonlyMap<PlaceId, Route> {
  if (!isPassable(hindrances, wish.target)) return new Map();
  const reached = new Map<PlaceId, Reached>([[wish.target, { weight: 0, cost: 0, next: undefined }]]);
  const settled = new Set<PlaceId>();
  for (;;) {
    const here = nearestOpen(reached, settled);
    if (here === undefined) break;
    settled.add(here);
    if (here !== wish.target && (isBoundDown(hindrances, here) || wish.avoid?.(here))) continue;
    if (!isPassable(hindrances, here)) continue;
    const known = reached.get(here) as Reached;
    const entering = hindrances.surcharge.get(here) ?? 0;
    for (const edge of anatomy.edgesInto.get(here) ?? []) {
      if (!wish.kinds.has(edge.kind) || !isUnscarred(hindrances, edge) || settled.has(edge.from)) continue;
      const weight = known.weight + (edge.cost + entering) * costUnit + preferenceWeight(anatomy, here, wish.prefer);
      const old = reached.get(edge.from);
      if (!old || weight < old.weight || (weight === old.weight && here < (old.next ?? ''))) {
        reached.set(edge.from, { weight, cost: known.cost + edge.cost + entering, next: here });
      }
    }
  }
  const routes = new Map<PlaceId, Route>();
  for (const [id, { cost }] of reached) routes.set(id, { to: wish.target, cost, path: follow(reached, id) });
  return routes;
}

function nearestOpen(reached: ReadonlyMap<PlaceId, Reached>, settled: ReadonlySet<PlaceId>): PlaceId | undefined {
  let best: PlaceId | undefined;
  let bestWeight = Infinity;
  for (const [id, { weight }] of reached) {
    if (settled.has(id) || weight > bestWeight) continue;
    if (weight < bestWeight || best === undefined || id < best) {
      best = id;
      bestWeight = weight;
    }
  }
  return best;
}

function preferenceWeight(anatomy: Anatomy, entered: PlaceId, prefer: RouteWish['prefer']): number {
  const onTheBack = isInFront(anatomy, entered) ? 0 : 1;
  const innerKnee = nameOf(entered) === 'knee-inner' ? 1 : 0;
  return (prefer === 'direct' ? 1e6 + onTheBack * 1e4 : onTheBack * 1e6 + 1e4) + innerKnee * 1e2;
}

function follow(reached: ReadonlyMap<PlaceId, Reached>, from: PlaceId): readonly PlaceId[] {
  const path: PlaceId[] = [];
  for (let id: PlaceId | undefined = from; id !== undefined; id = reached.get(id)?.next) path.push(id);
  return path;
}
