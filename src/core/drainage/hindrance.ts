import { type Anatomy, type Edge, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { Finding } from './finding';
import { groupsOfNodes, nodeFindingOf, sidesOfFinding } from '../anatomy/node-findings';

/** Why a node group takes no fluid. */
export type BlockCause = 'removed' | 'irradiated' | 'wound';

/** What the findings of a case do to the map. */
export interface Hindrances {
  /** Node groups that no stroke and no route may enter. */
  readonly blocked: ReadonlyMap<PlaceId, BlockCause>;
  /** Territories that may not be touched: open skin, and what screening keeps off. */
  readonly closed: ReadonlySet<PlaceId>;
  /** Of these, the ones that are kept off by screening alone. */
  readonly keptOff: ReadonlySet<PlaceId>;
  /** Added to the cost on entering a place. */
  readonly surcharge: ReadonlyMap<PlaceId, number>;
  /** Pairs `a>b`, both ways, that a scar lies between. */
  readonly scarred: ReadonlySet<string>;
  readonly irradiated: ReadonlySet<PlaceId>;
  readonly ports: ReadonlySet<PlaceId>;
  readonly thickened: ReadonlySet<PlaceId>;
  readonly cancerHistory: boolean;
}

const sentinelCost = 2;
const neckTerminusCost = 2;
const tenderSkinCost = 1;

export function edgeKey(from: PlaceId, to: PlaceId): string {
  return `${from}>${to}`;
}

/** Gathers what all findings of a case do. Findings must have been read (see `readCase`). */
export function findHindrances(
  anatomy: Anatomy,
  findings: readonly Finding[],
  screenedOff: readonly PlaceId[] = [],
): Hindrances {
  const blocked = new Map<PlaceId, BlockCause>();
  const closed = new Set<PlaceId>();
  const surcharge = new Map<PlaceId, number>();
  const scarred = new Set<string>();
  const irradiated = new Set<PlaceId>();
  const ports = new Set<PlaceId>();
  const thickened = new Set<PlaceId>();
  const add = (id: PlaceId, cost: number) => surcharge.set(id, (surcharge.get(id) ?? 0) + cost);
  const block = (id: PlaceId, cause: BlockCause) => blocked.set(id, blocked.get(id) ?? cause);

  for (const finding of findings) {
    const nodes = nodeFindingOf(finding.id);
    for (const side of sidesOfFinding(finding)) {
      if (!nodes) break;
      for (const name of groupsOfNodes[nodes.of]) {
        if (nodes.loss === 'removed') block(`${name}.${side}`, 'removed');
        else add(`${name}.${side}`, sentinelCost);
      }
      if (nodes.loss === 'removed' && nodes.of === 'neck') add(`terminus.${side}`, neckTerminusCost);
    }
    for (const id of new Set(finding.regions ?? [])) {
      const isGroup = anatomy.basins.has(id);
      if (finding.id === 'open-wound') {
        if (isGroup) block(id, 'wound');
        else closed.add(id);
      } else if (finding.id === 'irradiated') {
        if (isGroup) block(id, 'irradiated');
        else if (!irradiated.has(id)) add(id, tenderSkinCost);
        irradiated.add(id);
      } else if (finding.id === 'port') {
        if (!ports.has(id)) add(id, tenderSkinCost);
        ports.add(id);
      } else if (finding.id === 'thickened') thickened.add(id);
    }
    for (const [a = '', b = ''] of finding.crosses ?? []) {
      scarred.add(edgeKey(a, b)).add(edgeKey(b, a));
    }
  }
  const keptOff = new Set(screenedOff.filter((id) => !closed.has(id)));
  for (const id of keptOff) closed.add(id);
  const cancerHistory = findings.some((finding) => finding.id === 'cancer-history');
  return { blocked, closed, keptOff, surcharge, scarred, irradiated, ports, thickened, cancerHistory };
}

/** A place that a route may enter at all. */
export function isPassable(hindrances: Hindrances, id: PlaceId): boolean {
  return !hindrances.blocked.has(id) && !hindrances.closed.has(id);
}

/** A step from one place to the next that no scar lies across. */
export function isUnscarred(hindrances: Hindrances, edge: Pick<Edge, 'from' | 'to'>): boolean {
  return !hindrances.scarred.has(edgeKey(edge.from, edge.to));
}

/**
 * Places that a route may not pass through although they are open: with the groin closed, fluid from below the
 * knee goes round it, not into the crease; over the kneecap it never goes.
 */
export function isNeverPassed(hindrances: Hindrances, id: PlaceId): boolean {
  const name = nameOf(id);
  if (name === 'knee-front') return true;
  return (name === 'knee-crease' || name === 'popliteal') && hindrances.blocked.has(`inguinal.${sideOf(id)}`);
}

/** The hollow above a collarbone cannot be reached when the skin over it may not be touched. */
export function isNeckExcluded(hindrances: Hindrances, side: 'left' | 'right'): boolean {
  return (
    hindrances.blocked.get(`terminus.${side}`) === 'wound' ||
    (hindrances.closed.has(`neck-front.${side}`) && hindrances.closed.has(`neck-side.${side}`))
  );
}
