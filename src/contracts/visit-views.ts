import type { ClosingView } from './closing-view';
import type { MissingGate } from '../core/visit/gates';
import type { AftercareId } from '../core/visit/aftercare';
import type { LastWork } from './last-work';
import type { VisitBlends } from './oil-views';
import type { PlaceId } from '../core/anatomy/place';
import type { DrainageCase, Purpose, School } from '../core/drainage/case';
import type { DrainagePlan } from '../core/drainage/plan';
import type { TableStep } from '../core/table/table-step';
import type { TreatmentHolds } from './treatment';
import type { TreatmentView } from './treatment-views';
import type { LimbVolume } from '../core/swelling/limb-volume';
import type { RawTaping, SettledTaping } from '../core/swelling/taping';
import type { TapingContext, TapingPhase } from '../core/swelling/taping-context';
import type { VolumeSettings } from '../core/swelling/settings';
import type { VolumeMethod } from '../core/swelling/volume';
import type { VolumeUnit } from '../core/volume-units';
import type { TableEvent } from '../core/table/table-event';
import type { CheckAnswers } from '../core/visit/visit-check';
import type { ClientBrief, PlacedFinding, StageOrEnd, TherapistView } from './people-views';

export interface TapingView extends RawTaping, SettledTaping {
  readonly version: number;
  readonly phase: TapingPhase;
  readonly method: VolumeMethod;
  /** Empty: taken before protocols were noted. */
  readonly protocol: string;
  readonly context: TapingContext;
  readonly takenAt: string;
  /** Null: taken apart from any visit, such as an import brings. */
  readonly visitId: number | null;
  readonly therapistId: number | null;
  /** Computed from the girths; null while too few have been taken. */
  readonly volume: LimbVolume | null;
}

export interface PlanView {
  readonly version: number;
  readonly drainageCase: DrainageCase;
  readonly plan: DrainagePlan;
  readonly steps: readonly TableStep[];
  /** More than drainage alone: what was chosen, and how it was put together. */
  readonly treatment: TreatmentView | null;
  readonly isRearranged: boolean;
  readonly reason: string;
  /** Findings or therapist have changed since it was made. */
  readonly isStale: boolean;
  /** Day on which it was made. */
  readonly madeOn: string;
}

export interface VisitFrame {
  readonly id: number;
  readonly startsAt: string;
  readonly time: string;
  readonly date: string;
  readonly minutes: number;
  readonly stage: StageOrEnd;
  readonly focus: readonly PlaceId[];
  readonly purpose: Purpose;
  readonly work: string;
  /** What it holds beside or instead of drainage; null for drainage alone. */
  readonly holds: TreatmentHolds | null;
  readonly client: ClientBrief;
  readonly therapist: TherapistView;
  readonly findings: readonly PlacedFinding[];
  readonly school: School;
  readonly isFirst: boolean;
}

/** When to come again, proposed at the end of a visit. */
export interface NextVisitView {
  readonly date: string;
  /** “Wednesday 2 December, in a week”. */
  readonly words: string;
  readonly why: readonly string[];
  /** The next visit, if one is booked. */
  readonly booked: string | null;
  readonly lastWork: LastWork;
  readonly therapists: readonly TherapistView[];
}

/** Which device leads a treatment, and since when. */
export interface TableLead {
  readonly deviceId: string;
  readonly takenAt: string;
}

/** What a device that follows asks for again and again. */
export interface TableNow {
  readonly events: readonly TableEvent[];
  readonly lead: TableLead | null;
}

export interface VisitView extends VisitFrame {
  /** What is missing before the table, in the order in which it is asked. */
  readonly missing: readonly MissingGate[];
  /** Blends for body and face. */
  readonly blends: VisitBlends;
  /** What this client's volumes are worked out with. */
  readonly volumeSettings: VolumeSettings;
  readonly volumeUnit: VolumeUnit;
  readonly answers: CheckAnswers;
  readonly before: TapingView | null;
  readonly after: TapingView | null;
  /** The last taping of an earlier visit, to compare with. */
  readonly lastTime: (TapingView & { readonly date: string }) | null;
  readonly plan: PlanView | null;
  readonly events: readonly TableEvent[];
  /** The device that leads the treatment; null before it is begun. */
  readonly lead: TableLead | null;
  readonly closing: ClosingView | null;
  /** Who signed the record, and which version of it; oldest first. */
  readonly signatures: readonly { readonly version: number; readonly by: string; readonly at: string }[];
  /** Presses of devices that did not lead: on record, but not counted. */
  readonly asideCount: number;
}

/** The end of a visit: what was used, what to mind, when to come again. */
export interface CloseView {
  readonly visit: VisitView;
  readonly next: NextVisitView | null;
  /** Proposed by what was done. */
  readonly aftercare: readonly AftercareId[];
  /** Stones of the rotation that the visit was planned with. */
  readonly stones: readonly { readonly name: string; readonly count: number }[];
}
