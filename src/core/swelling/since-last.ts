import { exceeds, isBelow, reaches } from '../statistics';
import type { Girth } from './gaps';

const changedCm = 2;
const changedShare = 0.06;
const fewestRows = 3;
const meanSwapCm = 1;
const crossedShare = 0.5;

/** Whether a girth (cm) has moved so far since last time that it should be taped again. */
export function hasChangedALot(nowCm: number, lastCm: number): boolean {
  return exceeds(Math.abs(nowCm - lastCm), Math.max(changedCm, changedShare * lastCm));
}

/** Girths (cm) of both sides, now and last time, at the same positions. */
export interface BothTimes {
  readonly affectedNow: readonly Girth[];
  readonly referenceNow: readonly Girth[];
  readonly affectedBefore: readonly Girth[];
  readonly referenceBefore: readonly Girth[];
}

/** Whether the sides look swapped compared with last time: they fit last time's other side far better. */
export function areSidesSwappedSinceLast(girths: BothTimes): boolean {
  let [rows, straight, crossed] = [0, 0, 0];
  for (const [i, a] of girths.affectedNow.entries()) {
    const [r, aLast, rLast] = [girths.referenceNow[i], girths.affectedBefore[i], girths.referenceBefore[i]];
    if (a === null || r == null || aLast == null || rLast == null) continue;
    rows += 1;
    straight += Math.abs(a - aLast) + Math.abs(r - rLast);
    crossed += Math.abs(a - rLast) + Math.abs(r - aLast);
  }
  return rows >= fewestRows && reaches(straight / (2 * rows), meanSwapCm) && isBelow(crossed, crossedShare * straight);
}
