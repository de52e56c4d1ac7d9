import type { PlaceId } from '../anatomy/place';
import {
  repetitionSeconds,
  stepOverheadSeconds,
  type StoneWish,
  type Technique,
  type Touch,
} from '../library/technique';
import type { StepLayer } from '../library/protocol';
import type { JudgementReason } from '../judgement/reasons';
import type { Setting } from '../sequencing/block';

/** One technique on its places, as it would be given to this client. */
export interface TreatmentStep {
  readonly id: string;
  readonly technique: Technique;
  /** Names of regions, without their side. */
  readonly regions: readonly string[];
  readonly side: 'both' | 'each' | 'left' | 'right';
  readonly places: readonly PlaceId[];
  /** As the protocol asks; the fit may change them. */
  readonly repetitions: number;
  /** The therapist said how often: never more. */
  readonly isSet?: boolean | undefined;
  readonly pressure: Touch;
  readonly note: string;
  /** Why it stands at this point of the order. */
  readonly why?: string | undefined;
  /** Counted drops of an oil straight onto the skin. */
  readonly layer?: StepLayer | undefined;
  /** Stones that differ from those of its technique. */
  readonly stones?: StoneWish | undefined;
  /** Where its strokes go, when they are led another way than by nature. */
  readonly toward?: PlaceId | undefined;
  /** Against the order and direction that the protocol has. */
  readonly isReversed?: boolean | undefined;
  /** The other side is left out. */
  readonly isOneSided?: boolean | undefined;
  /** Ends at the root of its limb: the group ahead is closed. */
  readonly endsAtRoot?: boolean | undefined;
  /** What changed it, for this client and day. */
  readonly cautions: readonly JudgementReason[];
  /** Ids of the client's lines that it was made for. */
  readonly lines?: readonly string[] | undefined;
}

/** A block of a protocol, made out for this client. */
export interface TreatmentBlock extends Setting {
  /** `choice/block`, so that one protocol may be chosen twice. */
  readonly id: string;
  readonly choice: string;
  readonly protocol: string;
  readonly name: string;
  readonly modality: string;
  readonly school: string;
  /** The same work on either side; blocks of one choice with the same twin stay or go together. */
  readonly twin?: string | undefined;
  readonly isShortForm: boolean;
  readonly isOptional: boolean;
  /** Blocks of the same choice that stand before it in the protocol. */
  readonly isOrdered: boolean;
  /** The block of the same choice that it follows directly. */
  readonly follows?: string | undefined;
  /** Ids of blocks that the protocol itself wants over before. */
  readonly after: readonly string[];
  readonly steps: readonly TreatmentStep[];
}

/** Seconds of a step at so many repetitions; the same rule as in the library. */
export const repetitionSecondsOf = ({ technique, regions, side }: TreatmentStep): number =>
  repetitionSeconds(technique, regions.length, side === 'each');

export const overheadSecondsOf = ({ technique, regions, side }: TreatmentStep): number =>
  stepOverheadSeconds(technique, regions.length, side === 'each');

/** Places that a block touches, with their sides. */
export const placesOf = ({ steps }: Pick<TreatmentBlock, 'steps'>): ReadonlySet<PlaceId> =>
  new Set(steps.flatMap(({ places }) => places));
