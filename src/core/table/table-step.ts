import type { Drops, Seconds } from '../quantities';
import type { OilId, TechniqueId } from '../ids';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { Step } from '../drainage/step';
import type { StepLayer } from '../library/protocol';
import type { StoneUseKind } from '../stones/use';
import { repetitionsInWords, stepDirection, stepTitle } from '../drainage/step-words';
import { tableSays } from './table.says';

/** How a step of the library is told at the table; drainage steps are told from what they are. */
export interface ToldStep {
  /** Its technique; absent in plans of before it was kept. */
  readonly technique?: TechniqueId | undefined;
  readonly title: string;
  /** Where and which way. */
  readonly how: string;
  /** The same where many places are named, for the table, whose picture shows them. */
  readonly howInShort?: string;
  readonly cue: string;
  readonly note: string;
  readonly block: string;
  /** The kind of work of its part; absent in plans of before it was kept. */
  readonly modality?: string | undefined;
  /** Shared by the steps of parts that are the same work on either side. */
  readonly twin?: string | undefined;
  readonly count: 'repetitions' | 'breaths' | 'hold';
  /** The client's breath leads it: followed out, or let go like a spring. */
  readonly breath?: 'follow' | 'recoil' | undefined;
  readonly places: readonly PlaceId[];
  /** The places and sides that its repetitions count for, one after the other, in words; absent where it is one. */
  readonly rounds?: readonly string[] | undefined;
  /** Opens a way for others: never proposed to be left out. */
  readonly isOpening?: boolean | undefined;
  /** What to take up for it, where a tool does it. */
  readonly tool?: string | undefined;
  /** Counted drops of an oil straight onto the skin. */
  readonly layer?: StepLayer | undefined;
  /** What of it is given: an oil of the shelf, as often as the skin may have it. */
  readonly dropped?: { readonly oil: OilId; readonly name: string; readonly drops: Drops } | undefined;
  /** Which stones it takes. */
  readonly stones?: StoneUseKind | undefined;
  /** Ids of the client's lines that it runs across. */
  readonly lines?: readonly string[] | undefined;
}

/** What the library teaches of a step. */
export interface Taught {
  /** Why it is done, and at this point of the order. */
  readonly why?: string | undefined;
  /** What it is never done to, and never turned into. */
  readonly never?: string | undefined;
  /** What tells the hands that it has worked. */
  readonly feel?: string | undefined;
}

/** A step as the table view, the print and the record take it. */
export interface TableStep extends Step {
  readonly told?: ToldStep | undefined;
  /** Left out in plans of before it was kept. */
  readonly taught?: Taught | undefined;
  /** Questions that are asked again before it, whatever was answered before. */
  readonly asksAgain?: readonly string[] | undefined;
  /** What changes before it: turning, draping, washing hands, walking round. */
  readonly changes?: readonly string[] | undefined;
  /** What those changes take (s), before the step itself. */
  readonly setupSeconds?: Seconds | undefined;
  /** How far its repetitions may go when time runs short or is left over; drainage steps have theirs by kind. */
  readonly fit?:
    | {
        readonly min: number;
        readonly max: number;
        readonly secondsPerRepetition: number;
        readonly isStretchable: boolean;
      }
    | undefined;
}

/** Seconds from the end of the step before to the end of this one. */
export const spanOf = ({ seconds, setupSeconds = 0 }: Pick<TableStep, 'seconds' | 'setupSeconds'>): number =>
  seconds + setupSeconds;

export const titleOf = (anatomy: Anatomy, step: TableStep): string => step.told?.title ?? stepTitle(anatomy, step);

export const howOf = (anatomy: Anatomy, step: TableStep): string => step.told?.how ?? stepDirection(anatomy, step);

/** The same for the table, whose picture shows the places. */
export const shortHowOf = (anatomy: Anatomy, step: TableStep): string => step.told?.howInShort ?? howOf(anatomy, step);

/** `10 ×`, or the length of a hold. */
export function timesOf(step: TableStep): string {
  if (step.told?.count === 'hold') return tableSays.holdS(Math.round(step.seconds / step.repetitions));
  return repetitionsInWords(step);
}

/** Of a step what its pace is shown by. */
export type PacedStep = Pick<TableStep, 'kind' | 'repetitions' | 'placements' | 'seconds' | 'setupSeconds' | 'told'>;
