import type { Celsius } from '../quantities';
/** How warm and how cool a house works with stones. */
export interface StoneHabits {
  readonly hotBathC: Celsius;
  readonly coldBathC: Celsius;
  readonly toleranceC: Celsius;
  readonly waterLitres: number;
  readonly heaterW: number;
  /** Cooler than this a hot stone is swapped. */
  readonly usefulHotC: Celsius;
  /** Warmer than this a cold one is. */
  readonly usefulColdC: Celsius;
  /** First touch of a cold stone on the body and on the face: not cooler. */
  readonly coldBodyC: Celsius;
  readonly coldFaceC: Celsius;
}

export const usualHabits: StoneHabits = {
  hotBathC: 54,
  coldBathC: 8,
  toleranceC: 1,
  waterLitres: 6,
  heaterW: 500,
  usefulHotC: 42,
  usefulColdC: 18,
  coldBodyC: 8,
  coldFaceC: 12,
};
