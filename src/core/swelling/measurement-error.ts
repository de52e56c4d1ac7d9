import type { Percent } from '../quantities';
export type Duplicate = readonly [number, number];

export interface MeasurementError {
  /** Technical error of measurement: all disagreement, a steady shift too; in the unit of the readings. */
  readonly tem: number;
  /** Null when the mean of the readings is not above 0. */
  readonly relativeTemPercent: Percent | null;
  /** Standard error of measurement: the random part only. */
  readonly sem: number;
  /** The smallest change that is not noise, with 95 %. */
  readonly mdc95: number;
}

/**
 * Error of measurement from pairs of readings of one quantity under unchanged conditions.
 * @returns undefined for fewer than two pairs
 * Source: Ulijaszek, Kerr (1999), Br J Nutr 82:165–177 (TEM); Weir (2005), J Strength Cond Res 19:231–240 (SEM, MDC).
 */
export function measurementError(pairs: readonly Duplicate[]): MeasurementError | undefined {
  const n = pairs.length;
  if (n < 2) return undefined;
  const differences = differencesOf(pairs);
  const tem = Math.sqrt(differences.reduce((sum, d) => sum + d * d, 0) / (2 * n));
  const mean = pairs.reduce((sum, [a, b]) => sum + a + b, 0) / (2 * n);
  const sem = spreadOf(differences) / Math.SQRT2;
  return {
    tem,
    relativeTemPercent: mean > 0 ? (100 * tem) / mean : null,
    sem,
    mdc95: 1.96 * Math.SQRT2 * sem,
  };
}

/** Whether the second pass differs from the first always the same way: the method wants checking. */
export function isShifted(pairs: readonly Duplicate[]): boolean {
  if (pairs.length < 2) return false;
  const differences = differencesOf(pairs);
  const mean = differences.reduce((sum, d) => sum + d, 0) / pairs.length;
  return Math.abs(mean) > (1.96 * spreadOf(differences)) / Math.sqrt(pairs.length);
}

const differencesOf = (pairs: readonly Duplicate[]) => pairs.map(([a, b]) => a - b);

/** Standard deviation with n − 1. */
function spreadOf(values: readonly number[]): number {
  const mean = values.reduce((sum, d) => sum + d, 0) / values.length;
  return Math.sqrt(values.reduce((sum, d) => sum + (d - mean) ** 2, 0) / (values.length - 1));
}
