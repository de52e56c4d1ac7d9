import type { PlaceId } from '../anatomy/place';
import { repetitionSeconds, type Technique, type Touch } from '../library/technique';
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
  readonly pressure: Touch;
  readonly note: string;
  readonly cautions: readonly string[];
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
  readonly isShortForm: boolean;
  readonly isOptional: boolean;
  /** Blocks of the same choice that stand before it in the protocol. */
  readonly isOrdered: boolean;
  /** Ids of blocks that the protocol itself wants over before. */
  readonly after: readonly string[];
  readonly steps: readonly TreatmentStep[];
}

/** Seconds of a step at so many repetitions; the same rule as in the library. */
export const repetitionSecondsOf = ({ technique, regions, side }: TreatmentStep): number =>
  repetitionSeconds(technique, regions.length, side === 'each');

/** Regions that a block touches, each once, in the order of its steps. */
export const regionsOf = ({ steps }: Pick<TreatmentBlock, 'steps'>): ReadonlySet<string> =>
  new Set(steps.flatMap(({ regions }) => regions));

/** Places that a block touches, with their sides. */
export const placesOf = ({ steps }: Pick<TreatmentBlock, 'steps'>): ReadonlySet<PlaceId> =>
  new Set(steps.flatMap(({ places }) => places));
