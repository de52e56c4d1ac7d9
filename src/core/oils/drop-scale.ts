/** A scale under the bottle: what falls in is weighed, and drops are counted from it. */

export interface ScaleReading {
  readonly isOn: boolean;
  /** As the scale says it. */
  readonly text: string;
}

/** Grams, or null for what is no weight. */
export function readGrams({ isOn, text }: ScaleReading): number | null {
  if (!isOn || text.trim() === '') return null;
  const grams = Number(text.replace(',', '.').replace(/\s*g$/, ''));
  return Number.isFinite(grams) ? grams : null;
}

/** Drops that a weight comes to, to the nearest whole one. */
export const dropsFromGrams = (grams: number, densityGPerMl: number, dropsPerMl: number): number =>
  Math.max(0, Math.round((grams / densityGPerMl) * dropsPerMl));
