/** So much room (px) a row of marks has for itself, on a phone too. */
const roomPx = 240;
const smallestPx = 3;

/** How large each of so many marks in a row may be without lying over the next; few of them are as large as is best (px). */
export const sizeAmong = (count: number, bestPx: number): number =>
  Math.max(smallestPx, Math.min(bestPx, roomPx / Math.max(1, count)));
