import type { Seconds } from '../quantities';
import type { TechniqueId } from '../ids';
import type { PlaceId } from '../anatomy/place';
import type { StepKind } from '../drainage/step';

/** What a client may be given to do alone. */
export const homeRoutineIds = [
  'nodes-breathing',
  'after-armpit',
  'one-leg',
  'face-three',
  'face-counted',
  'neck-jaw-tool',
  'roller',
  'mouth',
] as const;
export type HomeRoutineId = (typeof homeRoutineIds)[number];

/** Where a routine comes from, and how often it is done. */
export interface HomeRoutine {
  readonly id: HomeRoutineId;
  /** `planner`: drawn up for this body; else the protocol of the library that it is taken from. */
  readonly from: 'planner' | { readonly protocol: string; readonly blocks?: readonly string[] };
  /** The kind of work that it counts as in the ledger. */
  readonly modality: string;
  readonly minutes: { readonly least: number; readonly usual: number; readonly most: number };
  readonly daysPerWeek: number;
  /** More often than this is too much. */
  readonly mostPerWeek: number;
}

/** What a client can reach with their own hands. */
export interface HomeReach {
  /** Bends down to the lower leg and the foot. */
  readonly bends: boolean;
  /** The hand that does the work on the other side can be lifted and used. */
  readonly usesLeft: boolean;
  readonly usesRight: boolean;
  /** Reaches the back without twisting, or is helped; hardly anybody does. */
  readonly back?: boolean | undefined;
}

/** What a step is, for the table of words: a kind of drainage step, or a technique of the library. */
export type HomeAct = StepKind | `technique:${string}`;

/** One thing to do alone. It carries no words: they come from the table of the client’s language. */
export interface HomeStep {
  readonly id: string;
  readonly act: HomeAct;
  readonly kind: StepKind;
  /** What is worked; the first is the one to look at. */
  readonly places: readonly PlaceId[];
  readonly toward: PlaceId | null;
  readonly via: readonly PlaceId[];
  readonly count: 'times' | 'breaths' | 'hold';
  readonly repetitions: number;
  /** How often the hand is put down beside the last place. */
  readonly placements: number;
  readonly seconds: Seconds;
}

export const homePartIds = [
  'open',
  'way',
  'trunk',
  'thigh-upper',
  'thigh-lower',
  'lower-leg',
  'foot',
  'upper-arm',
  'forearm',
  'hand',
  'head',
  'close',
] as const;
export type HomePartId = (typeof homePartIds)[number];

/** A stretch of the sheet with a drawing of its own. */
export interface HomePart {
  readonly id: HomePartId;
  readonly steps: readonly HomeStep[];
}

/** Something that the sheet does without, with the reason; for the therapist, not for the client. */
export interface HomeLeftOut {
  readonly what: string;
  readonly why: string;
  /** Left out in sheets of before the judgement named them. */
  readonly rule?: string;
  readonly technique?: TechniqueId | null;
  readonly places?: readonly PlaceId[];
}

/** What a client takes home. */
export interface HomeSheet {
  readonly routine: HomeRoutineId;
  readonly side: 'left' | 'right' | 'both' | null;
  readonly parts: readonly HomePart[];
  readonly seconds: Seconds;
  readonly leftOut: readonly HomeLeftOut[];
  /** Times in any seven days that it may be done by this client; absent in sheets of before it was kept with them. */
  readonly mostPerWeek?: number | undefined;
}

export const stepsOf = ({ parts }: Pick<HomeSheet, 'parts'>): readonly HomeStep[] =>
  parts.flatMap(({ steps }) => steps);
