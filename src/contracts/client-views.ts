import type { LastWork } from './last-work';
import type { Caution } from '../core/screening/cautions';
import type { VolumeUnit } from '../core/volume-units';
import type { ClientInput } from './record';
import type { ClientBrief, PlacedFinding, StageOrEnd, TherapistView } from './people-views';
import type { ConditionView } from './screening-views';
import type { ClosingView } from './closing-view';
import type { ConsentView } from './ask-views';

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
  /** Of these, ticked off at home. */
  readonly atHome: number;
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
  /** The newest first. */
  readonly patchTests: readonly { readonly id: number; readonly what: string; readonly words: string }[];
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
