import type { PlaceId } from '../core/anatomy/place';
import type { Purpose } from '../core/drainage/case';
import type { TreatmentHolds } from './treatment';

/** What a client had last, to be booked again. */
export interface LastWork {
  readonly words: string;
  readonly focus: readonly PlaceId[];
  readonly purpose: Purpose;
  readonly minutes: number;
  /** What it held beside or instead of drainage. */
  readonly holds: TreatmentHolds | null;
}
