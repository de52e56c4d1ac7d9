import type { Millilitres, Percent } from '../quantities';
import type { BlendPart, OilBook } from './book';
import { oilOf } from './book';

/** Drops in a millilitre of what is in the bottle. */
export const dropsPerMlOf = (book: OilBook, { oil, dropsPerMl }: Pick<BlendPart, 'oil' | 'dropsPerMl'>): number =>
  dropsPerMl ?? oilOf(book, oil).dropsPerMl;

/** Drops as millilitres: thick oils fall in bigger drops. */
export const mlOf = (book: OilBook, part: BlendPart): number => part.drops / dropsPerMlOf(book, part);

/** Millilitres of all oils together. */
export const totalMlOf = (book: OilBook, parts: readonly BlendPart[]): number =>
  parts.reduce((sum, part) => sum + mlOf(book, part), 0);

/** The error of rounding one oil to whole drops (percentage points): at most half a drop of it. */
export const roundingErrorPercent = (dropsPerMl: number, volumeMl: Millilitres): number => 50 / (dropsPerMl * volumeMl);

/** Below this volume (mL) a share cannot be met with a whole drop, since one alone is more than it. */
export const leastVolumeMl = (dropsPerMl: number, percent: Percent): number => 100 / (dropsPerMl * percent);

export interface ScaledPart extends BlendPart {
  /** What the bottle that is scaled has of it, and what this one has. */
  readonly wantedPercent: Percent;
  readonly percent: Percent;
  /** The most that whole drops can be off here (percentage points). */
  readonly errorPercent: Percent;
}

export interface Scaled {
  readonly volumeMl: Millilitres;
  readonly parts: readonly ScaledPart[];
  readonly totalPercent: Percent;
  /** Oils of which not even one drop is left. */
  readonly lost: readonly string[];
  /** From here on every oil keeps at least a drop (mL, rounded up). */
  readonly leastMl: Millilitres;
}

/** The same blend in a bottle of another size, in whole drops, to the nearest. */
export function scaleBlend(book: OilBook, parts: readonly BlendPart[], fromMl: Millilitres, toMl: Millilitres): Scaled {
  const scaled = parts.map((part): ScaledPart => {
    const perMl = dropsPerMlOf(book, part);
    const drops = Math.round((part.drops * toMl) / fromMl);
    return {
      ...part,
      drops,
      wantedPercent: (100 * part.drops) / perMl / fromMl,
      percent: (100 * drops) / perMl / toMl,
      errorPercent: roundingErrorPercent(perMl, toMl),
    };
  });
  const used = parts.filter(({ drops }) => drops > 0);
  return {
    volumeMl: toMl,
    parts: scaled,
    totalPercent: scaled.reduce((sum, { percent }) => sum + percent, 0),
    lost: scaled.filter(({ drops }, i) => drops === 0 && (parts[i]?.drops ?? 0) > 0).map(({ oil }) => oil),
    // Half a drop rounds up to a whole one.
    leastMl: Math.ceil(Math.max(0, ...used.map(({ drops }) => (0.5 * fromMl) / drops))),
  };
}
