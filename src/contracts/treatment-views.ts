import type { FaceLine } from '../core/facial/line';
import type { OilNeeds } from '../core/room/oil-needs';
import type { RoomItem } from '../core/room/room-list';
import type { HandState, Position, TablePlace } from '../core/sequencing/block';
import type { SetupChange } from '../core/sequencing/setup';
import type { TreatmentLoad } from '../core/treatment/load';
import type { OrderFault } from '../core/treatment/order';
import type { BlockRule } from '../core/treatment/rules';
import type { Proposal } from '../core/treatment/shorten';
import type { StepFault } from '../core/treatment/within-block';
import type { TreatmentHolds, TreatmentInput } from './treatment';

/** A stretch of the treatment as the plan shows it. */
export interface BlockView {
  readonly id: string;
  readonly choice: string;
  readonly protocol: string;
  readonly name: string;
  /** The protocol that it belongs to, in words. */
  readonly of: string;
  readonly position: Position;
  readonly hands: HandState;
  readonly therapist: TablePlace;
  readonly side: 'left' | 'right' | 'both';
  readonly changes: readonly SetupChange[];
  readonly changeWords: readonly string[];
  readonly startsAt: number;
  readonly seconds: number;
  readonly why: readonly string[];
  /** Which of the visit's blends it is worked with; left out where no oil is. */
  readonly oil?: 'body' | 'face';
  /** Ids of its steps in the course. */
  readonly steps: readonly string[];
}

/** Something that was chosen and is not given, or not everywhere, in words. */
export interface LeftOutView {
  readonly choice: string;
  readonly block: string | null;
  /** Name of the step with its side and place, of the part, or of the kind of work. */
  readonly what: string;
  readonly why: string;
  /** What is done in its place. */
  readonly instead: string | null;
  /** Left out in plans of before the judgement named them. */
  readonly rule?: string;
  readonly technique?: string | null;
  readonly places?: readonly string[];
}

/** What a visit holds beside or instead of drainage, put into order and time. */
export interface TreatmentView {
  readonly wish: Omit<TreatmentInput, 'basedOn' | 'reason'>;
  readonly blocks: readonly BlockView[];
  readonly choices: readonly {
    readonly id: string;
    readonly protocol: string;
    readonly name: string;
    readonly isGiven: boolean;
  }[];
  readonly setupSeconds: number;
  readonly lowerBoundSeconds: number;
  readonly isBestOrder: boolean;
  readonly totalSeconds: number;
  readonly usualSeconds: number;
  readonly availableSeconds: number;
  readonly fits: boolean;
  readonly shortBySeconds: number;
  readonly leftOut: readonly LeftOutView[];
  readonly faults: readonly OrderFault[];
  readonly stepFaults: readonly StepFault[];
  readonly conflicts: readonly OrderFault[];
  readonly rules: readonly BlockRule[];
  readonly proposals: readonly Proposal[];
  readonly load: TreatmentLoad;
  /** What to heat, blend and lay out, counted back from the appointment. */
  readonly room: readonly RoomItem[];
  /** How much oil it takes for body and face. Left out in plans of before oils were counted. */
  readonly oil?: OilNeeds;
  /** The client's lines as they were drawn when it was planned. */
  readonly lines: readonly FaceLine[];
  /** Ids of those that nothing works, where the face is worked at all. */
  readonly openLines: readonly string[];
  /** How it differs from the last treatment that was given; null without one. */
  readonly sinceLast: { readonly date: string; readonly words: readonly string[] } | null;
  /** What screening said when it was planned, to see whether it still says so. */
  readonly screened: string;
}

/** What may be chosen for a visit. */
export interface TreatmentOffers {
  /** Whole treatments: as last time, what is usual for the client, those of the house. */
  readonly ready: readonly ReadyTreatment[];
  readonly protocols: readonly OfferedProtocol[];
}

export interface ReadyTreatment {
  readonly id: string;
  readonly kind: 'last' | 'usual' | 'house';
  readonly name: string;
  readonly minutes: number;
  readonly holds: TreatmentHolds;
}

/** A protocol that may be chosen. */
export interface OfferedProtocol {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly modality: string;
  readonly school: string;
  readonly minutes: number;
  /** Worked out from the case. */
  readonly isPlanned: boolean;
  /** Stones have to be warmed for it. */
  readonly hasHeat: boolean;
  readonly parts: readonly { readonly id: string; readonly name: string; readonly minutes: number }[];
}
