import { exceeds, isBelow, reaches } from '../statistics';

export interface ImpedanceReading {
  readonly unaffectedOhm: number;
  readonly affectedOhm: number;
  /** Null: not known; then only the ratio is told. */
  readonly affectedIsDominant: boolean | null;
}

export interface ImpedanceRatio {
  readonly ratio: number;
  readonly z: number | null;
  readonly band: 'usual' | 'raised' | 'above' | null;
}

const norms = { dominant: { mean: 1.037, sd: 0.034 }, other: { mean: 0.964, sd: 0.034 } } as const;

/**
 * Ratio of two readings of the arms (ohm) at or below 30 kHz. Fluid lowers impedance, so it rises with swelling.
 * Source: Cornish and others (2001), Lymphology 34:2–11; Ward and others (2011), Lymphat Res Biol 9:47–51.
 */
export function impedanceRatio({ unaffectedOhm, affectedOhm, affectedIsDominant }: ImpedanceReading): ImpedanceRatio {
  const ratio = unaffectedOhm / affectedOhm;
  if (affectedIsDominant === null) return { ratio, z: null, band: null };
  const { mean, sd } = affectedIsDominant ? norms.dominant : norms.other;
  const z = (ratio - mean) / sd;
  return { ratio, z, band: reaches(z, 3) ? 'above' : reaches(z, 2) ? 'raised' : 'usual' };
}

/** Ratios outside 0.7 to 2.5 are typing errors. */
export const isRatioPlausible = (ratio: number) => !isBelow(ratio, 0.7) && !exceeds(ratio, 2.5);
