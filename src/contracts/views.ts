import type { PlaceId } from '../core/anatomy/place';
import type { DrainageCase, Finding, Purpose, QualificationId, School } from '../core/drainage/case';
import type { DrainagePlan } from '../core/drainage/plan';
import type { Step } from '../core/drainage/step';
import type { LimbVolume } from '../core/swelling/limb-volume';
import type { TableEvent } from '../core/table/progress';
import type { CheckAnswers } from '../core/visit/visit-check';

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

export interface ClientBrief {
  readonly id: number;
  readonly name: string;
  readonly age: number | null;
  /** A few words that fit a glance; neutral. */
  readonly about: string;
}

export interface PlacedFinding extends Finding {
  readonly key: number;
  readonly sinceOn: string | null;
  readonly note: string;
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
}

export interface TapingView {
  readonly version: number;
  readonly phase: 'before' | 'after';
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly unit: 'cm' | 'in';
  readonly method: 'frustum' | 'disc' | 'simpson';
  readonly positions: readonly number[];
  readonly affected: readonly (number | null)[];
  readonly reference: readonly (number | null)[];
  readonly takenAt: string;
  readonly therapistId: number | null;
  /** Computed from the girths; null while too few have been taken. */
  readonly volume: LimbVolume | null;
}

export interface ClosingView {
  readonly version: number;
  readonly pressure: -1 | 0 | 1 | null;
  readonly comfort: number | null;
  readonly redness: number | null;
  readonly note: string;
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
}

export interface VisitView extends VisitFrame {
  readonly answers: CheckAnswers;
  readonly before: TapingView | null;
  readonly after: TapingView | null;
  /** The last taping of an earlier visit, to compare with. */
  readonly lastTime: (TapingView & { readonly date: string }) | null;
  readonly plan: PlanView | null;
  readonly events: readonly TableEvent[];
  readonly closing: ClosingView | null;
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

export interface ClientView {
  readonly client: ClientBrief & { readonly bornOn: string | null; readonly phone: string; readonly note: string };
  readonly findings: readonly PlacedFinding[];
  readonly history: readonly HistoryEntry[];
  readonly therapists: readonly TherapistView[];
}

export interface FoundClient {
  readonly id: number;
  readonly name: string;
  readonly age: number | null;
  readonly phone: string;
  readonly lastVisit: string | null;
}
