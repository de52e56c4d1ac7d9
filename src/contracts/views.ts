import type { PlaceId } from '../core/anatomy/place';
import type { DrainageCase, Finding, Purpose, QualificationId, School } from '../core/drainage/case';
import type { Caution } from '../core/screening/cautions';
import type { OverrideWay } from '../core/screening/override';
import type { Question } from '../core/screening/questions';
import type { Decision, LimitKey, Locatable } from '../core/screening/tables';
import type { DrainagePlan } from '../core/drainage/plan';
import type { Step } from '../core/drainage/step';
import type { LimbVolume } from '../core/swelling/limb-volume';
import type { RawTaping, SettledTaping } from '../core/swelling/taping';
import type { TapingContext, TapingPhase } from '../core/swelling/taping-context';
import type { VolumeSettings } from '../core/swelling/settings';
import type { VolumeMethod } from '../core/swelling/volume';
import type { VolumeUnit } from '../core/volume-units';
import type { TableEvent } from '../core/table/progress';
import type { ClientInput, ClosingInput } from './record';
import type { CheckAnswers, VisitCheck } from '../core/visit/visit-check';

/** What pages hand to islands: plain data, times as ISO UTC text, clock times in the house's own zone as `14:00`. */

export const stages = ['ask', 'measure', 'plan', 'prepare', 'table', 'close'] as const;
export type Stage = (typeof stages)[number];
export type StageOrEnd = Stage | 'done' | 'stopped';

export interface TherapistView {
  readonly id: number;
  readonly name: string;
  readonly initials: string;
  readonly title: string;
  readonly room: string;
  readonly qualifications: readonly QualificationId[];
}

/** The person signed in. */
export interface MeView {
  readonly id: number;
  readonly name: string;
  readonly initials: string;
  readonly title: string;
  readonly role: 'owner' | 'therapist' | 'assistant';
  readonly hasPin: boolean;
  /** In the demo house: everybody, to go in as by one click; empty elsewhere. */
  readonly people: readonly { readonly id: number; readonly name: string; readonly title: string }[];
}

export interface ClientBrief {
  readonly id: number;
  readonly name: string;
  readonly age: number | null;
  /** A few words that fit a glance; neutral. */
  readonly about: string;
}

/** A finding on the record, in the words of screening. */
export interface PlacedFinding {
  readonly key: number;
  /** A condition of the screening, or `thickened` from the assessment. */
  readonly id: string;
  readonly label: string;
  /** A few words with side and places. */
  readonly words: string;
  readonly locatable: Locatable;
  readonly side?: 'left' | 'right' | 'both' | undefined;
  readonly regions?: readonly PlaceId[] | undefined;
  readonly crosses?: readonly (readonly PlaceId[])[] | undefined;
  /** A year, a year and month, or a whole date. */
  readonly sinceOn: string | null;
  readonly note: string;
  readonly isUnsure: boolean;
  readonly source: 'therapist' | 'client';
  readonly answers: Readonly<Record<string, string>>;
  readonly clearance: ClearanceView | null;
  /** What the planner of drainage makes of it; null: nothing. */
  readonly drainage: Finding | null;
}

export interface ClearanceView {
  readonly date: string;
  readonly modalities: 'all' | readonly string[];
  readonly writtenBy: string;
  readonly words: string;
  /** What the note itself limits, in words; empty when nothing. */
  readonly limitWords: string;
  readonly isValid: boolean;
  /** Last day on which it counts. */
  readonly until: string;
}

/** A condition as it is asked and chosen. */
export interface ConditionView {
  readonly id: string;
  readonly group: string;
  readonly label: string;
  readonly ask: string;
  readonly locatable: Locatable;
  readonly dated: boolean;
  readonly atIntake: boolean;
}

export interface LimitView {
  readonly key: LimitKey;
  readonly words: string;
  /** What it may be loosened to with a written reason; empty: never. */
  readonly looser: readonly { readonly value: string | number | null; readonly words: string }[];
}

export interface ReasonView {
  readonly what: string;
  readonly text: string;
  readonly decision: Decision;
  readonly isLocal: boolean;
}

export interface DecisionView {
  readonly modality: string;
  readonly label: string;
  readonly decision: Decision;
  /** The line under the name. */
  readonly line: string;
  readonly limits: readonly LimitView[];
  readonly reasons: readonly ReasonView[];
  readonly way: OverrideWay;
  /** Places with a decision of their own, alike ones together. */
  readonly places: readonly {
    readonly decision: Decision;
    readonly regions: readonly PlaceId[];
    readonly words: string;
    readonly limits: readonly string[];
    readonly reasons: readonly ReasonView[];
  }[];
}

export interface OverrideView {
  readonly key: number;
  readonly modality: string;
  readonly words: string;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

/** What may be done on this body by this person on this day. */
export interface ScreeningView {
  readonly overall: Decision;
  readonly decisions: readonly DecisionView[];
  readonly cautions: readonly Caution[];
  readonly questions: readonly Question[];
  readonly overrides: readonly OverrideView[];
}

export interface DayVisit {
  readonly id: number;
  readonly time: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly stage: StageOrEnd;
  readonly client: ClientBrief;
  readonly therapist: TherapistView;
  readonly work: string;
  readonly line: string;
  readonly tasks: readonly {
    readonly text: string;
    readonly when: string;
    readonly done: boolean;
    readonly stage: Stage;
    /** Not usual at every visit: shown also when the visit is not the next one. */
    readonly isPressing: boolean;
  }[];
}

export interface DayView {
  readonly title: string;
  readonly date: string;
  readonly now: string;
  readonly house: string;
  readonly week: readonly {
    readonly date: string;
    readonly weekday: string;
    readonly day: string;
    readonly visits: number;
    readonly isToday: boolean;
  }[];
  readonly visits: readonly DayVisit[];
  readonly looseEnds: readonly { readonly text: string; readonly href: string; readonly what: string }[];
  /** Those who treat see what was found and go into visits; the front desk sees when people come and how to reach them. */
  readonly mayTreat: boolean;
  /** Messages of the outbox that are due or went wrong. */
  readonly outbox: { readonly due: number; readonly failed: number };
  /** The same weekday a week before and after. */
  readonly before: string;
  readonly after: string;
  readonly therapists: readonly TherapistView[];
}

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

export interface ClosingView extends Omit<ClosingInput, 'basedOn'> {
  readonly version: number;
}

export interface PlanView {
  readonly version: number;
  readonly drainageCase: DrainageCase;
  readonly plan: DrainagePlan;
  readonly steps: readonly Step[];
  readonly isRearranged: boolean;
  readonly reason: string;
  /** Findings or therapist have changed since it was made. */
  readonly isStale: boolean;
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
  readonly client: ClientBrief;
  readonly therapist: TherapistView;
  readonly findings: readonly PlacedFinding[];
  readonly school: School;
  readonly isFirst: boolean;
}

export interface VisitView extends VisitFrame {
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
  readonly closing: ClosingView | null;
}

export interface ConsentView {
  readonly signedAt: string;
  readonly name: string;
  readonly signer: 'client' | 'guardian';
  readonly areas: readonly string[];
  readonly wordingVersion: number;
  /** Asked for again each year, and when the wording has changed. */
  readonly isDue: boolean;
}

/** What changes while one asks; every answer of the Ask view brings a new one. */
export interface AskState {
  readonly stage: StageOrEnd;
  readonly findings: readonly PlacedFinding[];
  /** Condition → newest answer of the intake. */
  readonly intake: Readonly<Record<string, 'yes' | 'no' | 'unsure'>>;
  readonly check: CheckAnswers;
  readonly consent: ConsentView | null;
  /** Medicines recognised in what was written, with findings that they stand for and that are not on record. */
  readonly medicines: readonly {
    readonly name: string;
    readonly label: string;
    readonly isCertain: boolean;
    readonly conditions: readonly string[];
  }[];
  readonly pregnancy: { readonly weeks: number; readonly days: number; readonly condition: string } | null;
  /** Findings that cannot both be so, in words. */
  readonly contradictions: readonly string[];
  readonly screening: ScreeningView;
}

/** What the Ask view opens with. */
export interface AskView {
  readonly visit: VisitView;
  readonly state: AskState;
  readonly conditions: readonly ConditionView[];
  readonly gates: readonly { readonly group: string; readonly ask: string; readonly suchAs: string }[];
  readonly check: VisitCheck;
  /** Why a full intake is due; null: the short check will do. */
  readonly intakeDue: string | null;
  readonly wording: { readonly version: number; readonly paragraphs: readonly string[] };
  readonly medicines: string;
  readonly dueOn: string | null;
  readonly qualifications: readonly string[];
}

/** What is handed to the client: questions in plain words and the wording of the consent, nothing that was decided. */
export interface TabletView {
  readonly visitId: number;
  readonly firstName: string;
  readonly name: string;
  readonly house: string;
  readonly isMinor: boolean;
  readonly groups: readonly {
    readonly group: string;
    readonly ask: string;
    readonly suchAs: string;
    readonly questions: readonly { readonly id: string; readonly ask: string }[];
  }[];
  readonly intake: AskState['intake'];
  readonly wording: AskView['wording'];
}

export interface HistoryEntry {
  readonly visitId: number;
  readonly date: string;
  readonly isoDate: string;
  readonly stage: StageOrEnd;
  readonly work: string;
  readonly therapist: string;
  readonly excessMl: number | null;
  readonly excessSdMl: number | null;
  readonly afterExcessMl: number | null;
  readonly limb: 'arm' | 'leg' | null;
  readonly steps: number | null;
  readonly closing: ClosingView | null;
  /** Change of the excess since the visit before, in words with its error. */
  readonly change: { readonly ml: number; readonly beyond: boolean; readonly limitMl: number } | null;
}

/** How often a kind of work was done, for limits such as twice in seven days. */
export interface LedgerRow {
  readonly modality: string;
  readonly label: string;
  readonly inSevenDays: number;
  readonly inThirtyDays: number;
  readonly inAll: number;
  readonly last: string | null;
  readonly mostPerWeek: number | null;
}

/** Something on the record that was corrected: what it was, who changed it and when. */
export interface CorrectionView {
  readonly at: string;
  readonly when: string;
  readonly by: string;
  readonly what: string;
  readonly was: string;
  readonly why: string;
}

export interface FileView {
  readonly id: number;
  readonly name: string;
  readonly mediaType: string;
  readonly bytes: number;
  readonly addedAt: string;
}

/** A free time for a visit. */
export interface ProposalView {
  readonly startsAt: string;
  readonly date: string;
  readonly day: string;
  readonly time: string;
  /** When stones go into the bath; null when nothing is warmed. */
  readonly warmUpFrom: string | null;
  readonly therapistId: number;
  readonly therapist: string;
  readonly why: string;
}

export interface BookedView {
  readonly id: number;
  readonly date: string;
  readonly time: string;
  readonly minutes: number;
  readonly work: string;
  readonly therapist: string;
  readonly therapistId: number;
  readonly isSeries: boolean;
}

export interface LastWork {
  readonly words: string;
  readonly focus: readonly PlaceId[];
  readonly purpose: Purpose;
  readonly minutes: number;
}

/** What the front desk may see and change. */
export interface ClientContactView {
  readonly client: ClientBrief;
  readonly data: ClientInput;
  readonly version: number;
  readonly isArchived: boolean;
  readonly mergedInto: number | null;
  readonly booked: readonly BookedView[];
  readonly therapists: readonly TherapistView[];
  /** What the newest visit was booked for, to book the same again. */
  readonly lastWork: LastWork | null;
  /** A note is missing or has run out; for what is not said. */
  readonly isNoteMissing: boolean;
}

export interface ClientView extends ClientContactView {
  readonly volumeUnit: VolumeUnit;
  /** What the client has said three times in a row and would like otherwise. */
  readonly preferences: readonly string[];
  readonly findings: readonly PlacedFinding[];
  readonly conditions: readonly ConditionView[];
  readonly history: readonly HistoryEntry[];
  readonly cautions: readonly Caution[];
  readonly ledger: readonly LedgerRow[];
  readonly corrections: readonly CorrectionView[];
  readonly files: readonly FileView[];
  readonly consent: ConsentView | null;
  readonly duplicates: readonly { readonly id: number; readonly name: string; readonly why: string }[];
}

export interface FoundClient {
  readonly id: number;
  readonly isArchived: boolean;
  readonly email: string;
  readonly name: string;
  readonly age: number | null;
  readonly phone: string;
  readonly lastVisit: string | null;
}
