import { type Anatomy, type Edge, type EdgeKind, isInFront, nameOf, type PlaceId } from '../anatomy/place';
import { type Hindrances, isNeverPassed, isPassable, isUnscarred } from './hindrance';

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

/** The map with places as numbers in alphabetical order, so that comparing numbers breaks ties by name. */
interface Graph {
  readonly ids: readonly PlaceId[];
  readonly numberOf: ReadonlyMap<PlaceId, number>;
  readonly into: readonly (readonly { readonly from: number; readonly edge: Edge }[])[];
  readonly onTheBack: readonly boolean[];
  readonly innerKnee: readonly boolean[];
}

const graphs = new WeakMap<Anatomy, Graph>();

function graphOf(anatomy: Anatomy): Graph {
  let graph = graphs.get(anatomy);
  if (!graph) {
    const ids = [...anatomy.territories.keys(), ...anatomy.basins.keys()].sort();
    const numberOf = new Map(ids.map((id, i) => [id, i]));
    graph = {
      ids,
      numberOf,
      into: ids.map((id) =>
        (anatomy.edgesInto.get(id) ?? []).map((edge) => ({ from: numberOf.get(edge.from) ?? 0, edge })),
      ),
      onTheBack: ids.map((id) => !isInFront(anatomy, id)),
      innerKnee: ids.map((id) => nameOf(id) === 'knee-inner'),
    };
    graphs.set(anatomy, graph);
  }
  return graph;
}

/**
 * Cheapest ways from everywhere to one node group: Dijkstra (1959, Numer. Math. 1:269–271) run backwards from the target.
 * Ties: by preference, then round the outer side of the knee, then the alphabetical order of the places.
 * @returns a route for each place that can reach the target; empty when the target is blocked
 */
export function routesTo(anatomy: Anatomy, hindrances: Hindrances, wish: RouteWish): ReadonlyMap<PlaceId, Route> {
  if (!isPassable(hindrances, wish.target)) return new Map();
  const graph = graphOf(anatomy);
  const target = graph.numberOf.get(wish.target);
  if (target === undefined) throw new RangeError(`no place “${wish.target}” on the body`);
  const count = graph.ids.length;
  const weight = new Float64Array(count).fill(Infinity);
  const cost = new Float64Array(count);
  const next = new Int32Array(count).fill(-1);
  const isSettled = new Uint8Array(count);
  weight[target] = 0;
  for (;;) {
    const here = nearestOpen(weight, isSettled);
    if (here < 0) break;
    isSettled[here] = 1;
    const id = graph.ids[here] ?? '';
    if (here !== target && (isNeverPassed(hindrances, id) || wish.avoid?.(id))) continue;
    if (!isPassable(hindrances, id)) continue;
    const entering = hindrances.surcharge.get(id) ?? 0;
    const preference = preferenceWeight(graph, here, wish.prefer);
    for (const { from, edge } of graph.into[here] ?? []) {
      if (isSettled[from] || !wish.kinds.has(edge.kind) || !isUnscarred(hindrances, edge)) continue;
      const through = (weight[here] ?? 0) + (edge.cost + entering) * costUnit + preference;
      const known = weight[from] ?? Infinity;
      if (through < known || (through === known && here < (next[from] ?? -1))) {
        weight[from] = through;
        cost[from] = (cost[here] ?? 0) + edge.cost + entering;
        next[from] = here;
      }
    }
  }
  const routes = new Map<PlaceId, Route>();
  for (let i = 0; i < count; i += 1) {
    if (weight[i] === Infinity) continue;
    routes.set(graph.ids[i] ?? '', { to: wish.target, cost: cost[i] ?? 0, path: follow(graph, next, i) });
  }
  return routes;
}

/** The nearest place that is reached and not settled, the first by name among equals; −1 when none is left. */
function nearestOpen(weight: Float64Array, isSettled: Uint8Array): number {
  let best = -1;
  let bestWeight = Infinity;
  for (let i = 0; i < weight.length; i += 1) {
    const here = weight[i] ?? Infinity;
    if (!isSettled[i] && here < bestWeight) {
      best = i;
      bestWeight = here;
    }
  }
  return best;
}

function preferenceWeight(graph: Graph, entered: number, prefer: RouteWish['prefer']): number {
  const onTheBack = graph.onTheBack[entered] ? 1 : 0;
  const innerKnee = graph.innerKnee[entered] ? 1 : 0;
  return (prefer === 'direct' ? 1e6 + onTheBack * 1e4 : onTheBack * 1e6 + 1e4) + innerKnee * 1e2;
}

function follow(graph: Graph, next: Int32Array, from: number): readonly PlaceId[] {
  const path: PlaceId[] = [];
  for (let i = from; i >= 0; i = next[i] ?? -1) path.push(graph.ids[i] ?? '');
  return path;
}
