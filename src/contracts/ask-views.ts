import type { CheckAnswers, VisitCheck } from '../core/visit/visit-check';
import type { PlacedFinding, StageOrEnd } from './people-views';
import type { ConditionView, ScreeningView } from './screening-views';
import type { VisitView } from './visit-views';

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

/** What a client sees when the tablet is turned round after the treatment. */
export interface FeedbackTabletView {
  readonly visitId: number;
  readonly firstName: string;
  readonly house: string;
  readonly isScented: boolean;
}
