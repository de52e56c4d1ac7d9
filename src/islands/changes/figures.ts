import type { ChangeView } from '../../contracts/change-views';

/** Median of what held over the visits; undefined where it is known of none. */
export function medianHeld(change: ChangeView): { readonly percent: number; readonly count: number } | undefined {
  const held = change.visits.flatMap(({ heldPercent }) => heldPercent ?? []).toSorted((a, b) => a - b);
  if (held.length === 0) return undefined;
  const middle = held.length >> 1;
  const [low = 0, high = 0] = [held[held.length % 2 === 1 ? middle : middle - 1], held[middle]];
  return { percent: (low + high) / 2, count: held.length };
}
