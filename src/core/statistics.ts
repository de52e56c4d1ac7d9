/** Values within this of a limit count as equal to it. */
export const slack = 1e-9;
export const exceeds = (value: number, limit: number) => value > limit + slack;
export const isBelow = (value: number, limit: number) => value < limit - slack;
export const reaches = (value: number, limit: number) => !isBelow(value, limit);

/** Sum of a list; 0 when it is empty. */
export const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/** Middle value, or the mean of the middle two. @throws RangeError for an empty list */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('the median of no values is not known');
  return middleOf([...values].sort((a, b) => a - b));
}

/** The median of a list that is sorted upwards and not empty. */
export function middleOf(sorted: ArrayLike<number>): number {
  const half = Math.floor(sorted.length / 2);
  const upper = sorted[half] ?? 0;
  return sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? 0) + upper) / 2;
}
