import type { Minutes } from '../../../core/quantities';
import type { ClientId, TherapistId, VisitId } from '../../../core/ids';
import type { Generated } from 'kysely';
import type { MessageKind } from '../../../core/messages/kinds';
import type { MessageWay } from '../../../core/messages/reach';

export interface VisitTable {
  id: Generated<number>;
  client_id: ClientId;
  therapist_id: TherapistId;
  starts_at: string;
  minutes: Minutes;
  purpose: string;
  focus_json: string;
  stage: Generated<string>;
  closed_at: string | null;
  cancelled_at: string | null;
  cancel_reason: Generated<string>;
  series: string | null;
  moved_from: string | null;
  sequence: Generated<number>;
  holds_json: Generated<string>;
  ready_json: Generated<string>;
}

export interface ReminderTable {
  id: Generated<number>;
  visit_id: VisitId;
  channel: MessageWay;
  address: string;
  words: string;
  due_at: string;
  state: Generated<'waiting' | 'sent' | 'failed' | 'cancelled'>;
  settled_at: string | null;
  trouble: Generated<string>;
  kind: Generated<MessageKind>;
  tries: Generated<number>;
  /** When it is tried again; null: as soon as it is due. */
  next_try_at: string | null;
  /** Names the mail in addresses that reports come back to; null for messages of before. */
  mail_key: string | null;
}

export interface VisitCheckTable {
  id: Generated<number>;
  visit_id: VisitId;
  answers_json: string;
  /** Question → the words that were shown; null for checks of before. */
  asked_json: string | null;
  outcome: string;
  recorded_at: string;
  recorded_by: number | null;
}

export interface ScreeningOverrideTable {
  id: Generated<number>;
  visit_id: VisitId;
  modality: string;
  limit_key: string;
  old_json: string;
  new_json: string;
  reason: string;
  made_at: string;
  made_by: number | null;
  ended_at: string | null;
}

export interface PlanTable {
  id: Generated<number>;
  visit_id: VisitId;
  version: number;
  case_json: string;
  plan_json: string;
  steps_json: string;
  is_rearranged: number;
  reason: string;
  recorded_at: string;
  recorded_by: number | null;
}

export interface TableEventTable {
  sequence: Generated<number>;
  id: string;
  visit_id: VisitId;
  kind: string;
  step_id: string | null;
  plan_version: number;
  happened_at: string;
  received_at: string;
  change_json: string | null;
  mark: string | null;
  side: 'left' | 'right' | 'both' | null;
  oil: string | null;
  drops: number | null;
  device_id: string | null;
  number: number | null;
  is_aside: Generated<0 | 1>;
}

export interface TableLeadTable {
  visit_id: VisitId;
  device_id: string;
  taken_at: string;
}

export interface ClosingTable {
  id: Generated<number>;
  visit_id: VisitId;
  version: number;
  pressure: number | null;
  comfort: number | null;
  redness: number | null;
  warmth: number | null;
  scent: number | null;
  relaxation_before: number | null;
  relaxation_after: number | null;
  redness_before: number | null;
  fade_minutes: number | null;
  note: string;
  recorded_at: string;
  recorded_by: number | null;
  more_json: Generated<string>;
}

export interface SignatureTable {
  id: Generated<number>;
  visit_id: VisitId;
  closing_version: number;
  therapist_id: TherapistId | null;
  signed_at: string;
}

/** Visits from booking to signature. */
export interface VisitsTables {
  visit: VisitTable;
  reminder: ReminderTable;
  visit_check: VisitCheckTable;
  screening_override: ScreeningOverrideTable;
  plan: PlanTable;
  table_event: TableEventTable;
  table_lead: TableLeadTable;
  closing: ClosingTable;
  signature: SignatureTable;
}
