import { exceeds, median } from '../statistics';

/** Up to three readings of one point; null: not taken. */
export type Readings = readonly [first: number | null, second?: number | null, third?: number | null];

export interface Settled {
  /** Null when no reading was taken. */
  readonly value: number | null;
  /** Two readings that disagree, with no third to settle it. */
  readonly unresolved: boolean;
}

const absoluteCm = 0.5;
const shareOfMean = 0.01;

/** Whether two readings of one point (cm) agree: within half a centimetre, or one per cent of their mean. */
function doReadingsAgree(a: number, b: number): boolean {
  return !exceeds(Math.abs(a - b), Math.max(absoluteCm, (shareOfMean * (a + b)) / 2));
}

/** The girth that counts: the only reading, the mean of two that agree, else the median of three. */
export function settleReadings([first, second = null, third = null]: Readings): Settled {
  const taken = [first, second, third].filter((reading): reading is number => reading !== null);
  const [a, b, c] = taken;
  if (a === undefined) return { value: null, unresolved: false };
  if (b === undefined) return { value: a, unresolved: false };
  if (doReadingsAgree(a, b)) return { value: (a + b) / 2, unresolved: false };
  if (c === undefined) return { value: (a + b) / 2, unresolved: true };
  return { value: median([a, b, c]), unresolved: false };
}
