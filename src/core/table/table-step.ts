import type { Anatomy, PlaceId } from '../anatomy/place';
import type { Step } from '../drainage/step';
import { repetitionsInWords, stepDirection, stepTitle } from '../drainage/step-words';

/** How a step of the library is told at the table; drainage steps are told from what they are. */
export interface ToldStep {
  readonly title: string;
  /** Where and which way. */
  readonly how: string;
  readonly cue: string;
  readonly note: string;
  readonly block: string;
  readonly count: 'repetitions' | 'breaths' | 'hold';
  readonly places: readonly PlaceId[];
}

/** A step as the table view, the print and the record take it. */
export interface TableStep extends Step {
  readonly told?: ToldStep | undefined;
  /** What changes before it: turning, draping, washing hands, walking round. */
  readonly changes?: readonly string[] | undefined;
}

export const titleOf = (anatomy: Anatomy, step: TableStep): string => step.told?.title ?? stepTitle(anatomy, step);

export const howOf = (anatomy: Anatomy, step: TableStep): string => step.told?.how ?? stepDirection(anatomy, step);

/** `10 ×`, or the length of a hold. */
export function timesOf(step: TableStep): string {
  if (step.told?.count === 'hold') return `hold ${Math.round(step.seconds / step.repetitions)} s`;
  return repetitionsInWords(step);
}
