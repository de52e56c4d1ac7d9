import type { Seconds } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import type { Survey } from './survey';
import type { PlacedStep } from './turns';

/** A course as it came out of fitting it into the time: what is in it, and what had to be given up. */
export interface Fitted {
  /** The case as a whole, whatever has to wait. */
  readonly full: Survey;
  /** What is done at this visit. */
  readonly survey: Survey;
  readonly steps: readonly PlacedStep[];
  readonly repetitions: readonly number[];
  readonly isShortened: boolean;
  readonly withoutReturn: boolean;
  readonly withoutSecondExit: boolean;
  /** By how much the whole focus would be too long at the least repetitions; 0 when everything fits. */
  readonly shortBySeconds: Seconds;
  readonly leftOut: readonly PlaceId[];
}
