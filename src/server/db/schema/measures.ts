import type { ClientId, VisitId } from '../../../core/ids';
import type { Generated } from 'kysely';

export interface TapingTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  taken_at: string;
  phase: 'baseline' | 'before' | 'after' | 'follow-up';
  version: number;
  is_latest: Generated<number>;
  limb: 'arm' | 'leg';
  side: 'left' | 'right';
  unit: 'cm' | 'in';
  method: string;
  protocol: Generated<string>;
  positions_json: string;
  /** First readings, in the unit at hand. */
  affected_json: string;
  reference_json: string;
  /** Second and third readings. */
  again_json: string | null;
  context_json: Generated<string>;
  affected_ml: number | null;
  reference_ml: number | null;
  excess_ml: number | null;
  excess_percent: number | null;
  affected_sd_ml: number | null;
  excess_sd_ml: number | null;
  source: Generated<'typed' | 'tape' | 'import'>;
  recorded_at: string;
  recorded_by: number | null;
}

export interface ObservationTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  taken_at: string;
  phase: 'before' | 'after';
  kind: string;
  place: string | null;
  value_json: string;
  replaces: number | null;
  recorded_at: string;
  recorded_by: number | null;
  ended_at: string | null;
  ended_by: number | null;
}

export interface ReferralFlagTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  rule: string;
  level: 'emergency' | 'same-day' | 'soon' | 'note';
  why: string;
  raised_at: string;
  raised_by: number | null;
  closed_at: string | null;
  closed_by: number | null;
  close_note: Generated<string>;
}

export interface TapeProtocolTable {
  id: Generated<number>;
  limb: 'arm' | 'leg';
  name: string;
  zero: string;
  posture: string;
  stop: string;
  rest_minutes: number;
  positions_json: string;
  eight: 'hand' | 'ankle' | null;
  made_at: string;
  made_by: number | null;
  archived_at: string | null;
}

/** What was taped, seen and felt. */
export interface MeasuresTables {
  taping: TapingTable;
  observation: ObservationTable;
  referral_flag: ReferralFlagTable;
  tape_protocol: TapeProtocolTable;
}
