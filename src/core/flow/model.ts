import type { Millilitres, Seconds } from '../quantities';
import { type Anatomy, nameOf, type PlaceId } from '../anatomy/place';
import { nodeFindingOf, sidesOfFinding, groupsOfNodes } from '../anatomy/node-findings';
import type { Finding } from '../drainage/finding';
import { type Hindrances, isPassable, isUnscarred } from '../drainage/hindrance';

/** The figures of the model. It explains order; it predicts nobody's body. */
export const flowFigures = {
  stepSeconds: 0.5,
  /** Openness at rest of a group that is whole, and of one with few nodes left. */
  restIntact: 0.1,
  restFewNodes: 0.06,
  /** What a stroke opens of what is still closed: hands on nodes and ways, and strokes that drain. */
  openedByClearing: 0.12,
  openedByStroking: 0.03,
  /** Shares a second that groups hand on, and that skin gives off by open ways and under the hand. */
  ratePerSecond: { group: 0.05, openWay: 0.006, stroke: 0.012 },
  /** What thickened skin gives off of that, before and after it was softened. */
  thickened: { before: 0.5, after: 0.8 },
  groupCapacityMl: 30,
  placementCapacityMl: 15,
  /** In so many seconds what was opened closes to 1/e. */
  fadingSeconds: 1200,
} as const;

/** Places as numbers, in the order of the catalogue: territories, then groups. */
export interface FlowGraph {
  readonly ids: readonly PlaceId[];
  readonly numberOf: ReadonlyMap<PlaceId, number>;
  readonly territoryCount: number;
  /** 0 for a terminus, which holds nothing. */
  readonly capacityMl: Float64Array;
  readonly isTerminus: Uint8Array;
  readonly restOpenness: Float64Array;
  readonly isBlocked: Uint8Array;
  readonly isThickened: Uint8Array;
  /** Edges that carry fluid, and the number of each by its ends. */
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly edgeOf: ReadonlyMap<string, number>;
}

export const edgeName = (from: PlaceId, to: PlaceId): string => `${from}>${to}`;

/** The map as fluid sees it on one body: closed places and cut ways carry nothing, blocked groups take nothing. */
export function flowGraph(anatomy: Anatomy, hindrances: Hindrances, findings: readonly Finding[]): FlowGraph {
  const ids = [...anatomy.territories.keys(), ...anatomy.basins.keys()];
  const numberOf = new Map(ids.map((id, i) => [id, i]));
  const fewNodes = groupsWithFewNodes(findings);
  const edges = anatomy.edges.filter(
    (edge) => !hindrances.closed.has(edge.from) && !hindrances.closed.has(edge.to) && isUnscarred(hindrances, edge),
  );
  const isBlocked = (id: PlaceId) => anatomy.basins.has(id) && !isPassable(hindrances, id);
  return {
    ids,
    numberOf,
    territoryCount: anatomy.territories.size,
    capacityMl: Float64Array.from(ids, (id) => {
      const territory = anatomy.territories.get(id);
      if (territory) return flowFigures.placementCapacityMl * territory.placements;
      return nameOf(id) === 'terminus' ? 0 : flowFigures.groupCapacityMl;
    }),
    isTerminus: Uint8Array.from(ids, (id) => Number(nameOf(id) === 'terminus')),
    restOpenness: Float64Array.from(ids, (id) => {
      if (!anatomy.basins.has(id) || isBlocked(id)) return 0;
      return fewNodes.has(id) ? flowFigures.restFewNodes : flowFigures.restIntact;
    }),
    isBlocked: Uint8Array.from(ids, (id) => Number(isBlocked(id))),
    isThickened: Uint8Array.from(ids, (id) => Number(hindrances.thickened.has(id))),
    from: Int32Array.from(edges, ({ from }) => numberOf.get(from) ?? -1),
    to: Int32Array.from(edges, ({ to }) => numberOf.get(to) ?? -1),
    edgeOf: new Map(edges.map(({ from, to }, e) => [edgeName(from, to), e])),
  };
}

/** Groups of which only a few nodes were taken. */
function groupsWithFewNodes(findings: readonly Finding[]): ReadonlySet<PlaceId> {
  return new Set(
    findings.flatMap((finding) => {
      const nodes = nodeFindingOf(finding.id);
      return nodes && nodes.loss !== 'removed'
        ? sidesOfFinding(finding).flatMap((side) => groupsOfNodes[nodes.of].map((name) => `${name}.${side}`))
        : [];
    }),
  );
}

/** A step of a course, as far as fluid is moved by it. */
export interface FlowStep {
  readonly kind: string;
  readonly place: PlaceId;
  readonly toward: PlaceId | null;
  readonly via: readonly PlaceId[];
  readonly repetitions: number;
  readonly placements: number;
  readonly seconds: Seconds;
}

/** What lies where at the beginning. */
export type StartMl = Readonly<Record<PlaceId, Millilitres>>;

/** Ten millilitres for each hand placement of every territory in focus: two thirds full. */
export const usualStart = (anatomy: Anatomy, territories: readonly PlaceId[]): StartMl =>
  Object.fromEntries(territories.map((id) => [id, usualPlacementMl * (anatomy.territories.get(id)?.placements ?? 0)]));
const usualPlacementMl = 10;
