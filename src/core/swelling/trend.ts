import type { Percent } from '../quantities';
import { isBelow, exceeds, median, middleOf } from '../statistics';
import { dayNumber } from '../calendar/days';

export interface DatedValue {
  /** A real calendar date, YYYY-MM-DD. */
  readonly date: string;
  readonly value: number;
}

export const confidences = [0.8, 0.9, 0.95, 0.99] as const;
export type Confidence = (typeof confidences)[number];

export type TrendDirection = 'falling' | 'rising' | 'steady' | 'unclear';

export interface Trend {
  readonly slopePerWeek: number;
  /** Null with fewer than four dates, or too few pairs for the confidence. */
  readonly lowPerWeek: number | null;
  readonly highPerWeek: number | null;
  /** Mean of the values on the earliest and on the latest date. */
  readonly first: number;
  readonly last: number;
  /** Null when the first value is 0. */
  readonly changePercent: Percent | null;
  readonly n: number;
  readonly direction: TrendDirection;
}

const z: Readonly<Record<Confidence, number>> = {
  0.8: 1.2815515655,
  0.9: 1.644853627,
  0.95: 1.9599639845,
  0.99: 2.5758293035,
};
const fewestDates = 4;
const lowestRank = 0.5;
/** Up to this share of the median value per week a series counts as steady. */
const steadyShare = 0.005;

/**
 * Slope of a series per week: the median of the slopes of all pairs (Theil–Sen), with Sen's interval.
 * @param points in any order, several on one date allowed
 * @returns undefined for fewer than two different dates
 * Source: Theil (1950), Proc Kon Ned Akad Wet A 53:386–392; Sen (1968), J Am Stat Assoc 63:1379–1389; ties after
 * Kendall (1970), Rank correlation methods, and interpolated ranks after Gilbert (1987), ch. 16.
 */
export function trendOf(points: readonly DatedValue[], confidence: Confidence = 0.95): Trend | undefined {
  const series = points.map(({ date, value }) => ({ day: dayNumber(date), value }));
  const dates = new Set(series.map(({ day }) => day));
  if (dates.size < 2) return undefined;
  const slopes = slopesPerWeek(series);
  const interval = intervalOf(slopes, series, dates.size, confidence);
  const on = (day: number) => {
    const values = series.filter((point) => point.day === day).map(({ value }) => value);
    return values.reduce((sum, value) => sum + value, 0) / values.length;
  };
  const [first, last] = [on(Math.min(...dates)), on(Math.max(...dates))];
  return {
    slopePerWeek: middleOf(slopes),
    lowPerWeek: interval?.low ?? null,
    highPerWeek: interval?.high ?? null,
    first,
    last,
    changePercent: first === 0 ? null : (100 * (last - first)) / Math.abs(first),
    n: points.length,
    direction: directionOf(
      interval,
      series.map(({ value }) => value),
    ),
  };
}

interface Observed {
  readonly day: number;
  readonly value: number;
}

/** Slopes of all pairs on different dates, sorted upwards. */
function slopesPerWeek(series: readonly Observed[]): Float64Array {
  const slopes = new Float64Array((series.length * (series.length - 1)) / 2);
  let count = 0;
  for (const [i, a] of series.entries()) {
    for (let j = i + 1; j < series.length; j += 1) {
      const b = series[j] as Observed;
      if (a.day !== b.day) slopes[count++] = (7 * (b.value - a.value)) / (b.day - a.day);
    }
  }
  return slopes.subarray(0, count).sort();
}

interface Interval {
  readonly low: number;
  readonly high: number;
}

function intervalOf(
  slopes: Float64Array,
  series: readonly Observed[],
  dates: number,
  confidence: Confidence,
): Interval | undefined {
  const spread = z[confidence] * Math.sqrt(kendallVariance(series));
  const rank = (slopes.length - spread) / 2;
  if (dates < fewestDates || rank < lowestRank) return undefined;
  return { low: atRank(slopes, rank), high: atRank(slopes, slopes.length + 1 - rank) };
}

/** Value at a rank counted from 1, linear between whole ranks; ranks outside the list are drawn to its ends. */
function atRank(sorted: Float64Array, wanted: number): number {
  const rank = Math.min(Math.max(wanted, 1), sorted.length);
  const whole = Math.floor(rank);
  const low = sorted[whole - 1] ?? 0;
  const high = sorted[whole] ?? low;
  return low + (rank - whole) * (high - low);
}

/** Variance of Kendall's S with ties in dates and in values. */
function kendallVariance(series: readonly Observed[]): number {
  const n = series.length;
  const [u, v] = [groupSizes(series.map(({ day }) => day)), groupSizes(series.map(({ value }) => value))];
  const sum = (sizes: readonly number[], term: (size: number) => number) =>
    sizes.reduce((total, size) => total + term(size), 0);
  const pairs = (size: number) => size * (size - 1);
  const triples = (size: number) => size * (size - 1) * (size - 2);
  const weighted = (size: number) => pairs(size) * (2 * size + 5);
  const plain = (weighted(n) - sum(u, weighted) - sum(v, weighted)) / 18;
  const third = n < 3 ? 0 : (sum(u, triples) * sum(v, triples)) / (9 * triples(n));
  const second = (sum(u, pairs) * sum(v, pairs)) / (2 * pairs(n));
  return Math.max(0, plain + third + second);
}

function groupSizes(values: readonly number[]): readonly number[] {
  const sizes = new Map<number, number>();
  for (const value of values) sizes.set(value, (sizes.get(value) ?? 0) + 1);
  return [...sizes.values()];
}

function directionOf(interval: Interval | undefined, values: readonly number[]): TrendDirection {
  if (!interval) return 'unclear';
  if (interval.high < 0) return 'falling';
  if (interval.low > 0) return 'rising';
  const limit = steadyShare * Math.abs(median(values));
  return exceeds(Math.abs(interval.low), limit) || exceeds(Math.abs(interval.high), limit) ? 'unclear' : 'steady';
}

/** Lowest and highest value of a series, of ties the earliest. @returns undefined for an empty one */
export function bestAndWorst(
  points: readonly DatedValue[],
): { readonly lowest: DatedValue; readonly highest: DatedValue } | undefined {
  const byDate = [...points].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
  const [first] = byDate;
  if (!first) return undefined;
  return {
    lowest: byDate.reduce((best, point) => (isBelow(point.value, best.value) ? point : best), first),
    highest: byDate.reduce((best, point) => (exceeds(point.value, best.value) ? point : best), first),
  };
}
