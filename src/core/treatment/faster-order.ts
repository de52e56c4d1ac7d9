import type { Seconds } from '../quantities';
import type { RegionGroups } from '../anatomy/place';
import type { Setting } from '../sequencing/block';
import type { Sequence } from '../sequencing/sequence';
import type { TreatmentBlock } from './block';
import { rulesBetween } from './cross-block';
import { bestOrder, changesIn } from './order';

/** An order that needs less for changes than the one that the protocols teach. */
export interface FasterOrder {
  readonly order: readonly string[];
  readonly savesSeconds: Seconds;
  /** Parts that change places against the protocol, the later one first. */
  readonly departs: readonly { readonly first: string; readonly then: string }[];
}

/** Less than this is not worth another order. */
const leastSavedSeconds = 15;
const mostTold = 3;
/** With more blocks than these the search for an order without the teaching takes longer than anybody waits for an offer. */
const mostBlocks = 14;

/** A block whose protocol's order is not kept. */
export const unordered = (block: TreatmentBlock): TreatmentBlock => ({
  ...block,
  isOrdered: false,
  follows: undefined,
});

/**
 * What could be saved if the order of the protocols were not the teaching.
 * @param taught the best order that keeps them @returns undefined where nothing is kept, or little would be saved
 */
export function fasterOrder(
  groups: RegionGroups,
  blocks: readonly TreatmentBlock[],
  start: Setting,
  taught: Sequence,
  isFree: boolean,
): FasterOrder | undefined {
  if (isFree || blocks.length > mostBlocks || !blocks.some(({ isOrdered }) => isOrdered)) return undefined;
  const free = blocks.map(unordered);
  const found = bestOrder(free, rulesBetween(groups, free).rules, start);
  const secondsOf = (ids: readonly string[]) => {
    const order = ids.flatMap((id) => blocks.find((block) => block.id === id) ?? []);
    return changesIn(groups, order, start).reduce((sum, { seconds }) => sum + seconds, 0);
  };
  const savesSeconds = secondsOf(taught.order) - secondsOf(found.order);
  if (savesSeconds < leastSavedSeconds) return undefined;
  return { order: found.order, savesSeconds, departs: departures(blocks, found.order).slice(0, mostTold) };
}

/** Neighbours in a protocol that stand the other way round. */
export function departures(
  blocks: readonly TreatmentBlock[],
  order: readonly string[],
): readonly { readonly first: string; readonly then: string }[] {
  const at = new Map(order.map((id, i) => [id, i]));
  return blocks.flatMap((then, i) => {
    const before = blocks[i - 1];
    const isTurned =
      before?.choice === then.choice && then.isOrdered && (at.get(before.id) ?? 0) > (at.get(then.id) ?? 0);
    return isTurned && before ? [{ first: then.id, then: before.id }] : [];
  });
}

/** How often an order leads from one side of the table to the other; standing at its head or feet between counts, too. */
export function crossingsOf(start: Setting, order: readonly Setting[]): number {
  let [crossings, side] = [0, start.therapist];
  for (const { therapist } of order) {
    if (therapist !== 'left' && therapist !== 'right') continue;
    if ((side === 'left' || side === 'right') && side !== therapist) crossings += 1;
    side = therapist;
  }
  return crossings;
}
