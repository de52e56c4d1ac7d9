import type { HandState, Position, TablePlace } from '../core/sequencing/block';
import type { SetupChange } from '../core/sequencing/setup';
import type { LeftOut } from '../core/treatment/allow';
import type { TreatmentLoad } from '../core/treatment/load';
import type { OrderFault } from '../core/treatment/order';
import type { BlockRule } from '../core/treatment/rules';
import type { Proposal } from '../core/treatment/shorten';
import type { StepFault } from '../core/treatment/within-block';
import type { TreatmentInput } from './treatment';

/** A stretch of the treatment as the plan shows it. */
export interface BlockView {
  readonly id: string;
  readonly choice: string;
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
  /** Ids of its steps in the course. */
  readonly steps: readonly string[];
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
  readonly leftOut: readonly LeftOut[];
  readonly faults: readonly OrderFault[];
  readonly stepFaults: readonly StepFault[];
  readonly conflicts: readonly OrderFault[];
  readonly rules: readonly BlockRule[];
  readonly proposals: readonly Proposal[];
  readonly load: TreatmentLoad;
  /** What screening said when it was planned, to see whether it still says so. */
  readonly screened: string;
}

/** A protocol that may be chosen. */
export interface OfferedProtocol {
  readonly id: string;
  readonly name: string;
  readonly modality: string;
  readonly minutes: number;
  readonly isPlanned: boolean;
}
