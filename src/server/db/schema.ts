import type { Generated, Selectable } from 'kysely';

export interface HouseTable {
  id: number;
  name: string;
  scenario: string;
  school_json: string;
  created_at: string;
}

export interface TherapistTable {
  id: Generated<number>;
  name: string;
  initials: string;
  title: string;
  qualifications_json: string;
  room: string;
}

export interface ClientTable {
  id: Generated<number>;
  name: string;
  search_name: string;
  born_on: string | null;
  phone: string;
  note: string;
  created_at: string;
}

export interface FindingTable {
  id: Generated<number>;
  client_id: number;
  kind: string;
  side: string | null;
  regions_json: string | null;
  crosses_json: string | null;
  since_on: string | null;
  note: string;
  recorded_at: string;
  recorded_by: number | null;
  ended_at: string | null;
  ended_by: number | null;
}

export interface VisitTable {
  id: Generated<number>;
  client_id: number;
  therapist_id: number;
  starts_at: string;
  minutes: number;
  purpose: string;
  focus_json: string;
  stage: Generated<string>;
  closed_at: string | null;
}

export interface VisitCheckTable {
  id: Generated<number>;
  visit_id: number;
  answers_json: string;
  outcome: string;
  recorded_at: string;
  recorded_by: number | null;
}

export interface TapingTable {
  id: Generated<number>;
  visit_id: number;
  phase: 'before' | 'after';
  version: number;
  limb: 'arm' | 'leg';
  side: 'left' | 'right';
  unit: 'cm' | 'in';
  method: string;
  positions_json: string;
  affected_json: string;
  reference_json: string;
  affected_ml: number | null;
  reference_ml: number | null;
  excess_ml: number | null;
  excess_percent: number | null;
  affected_sd_ml: number | null;
  excess_sd_ml: number | null;
  recorded_at: string;
  recorded_by: number | null;
}

export interface PlanTable {
  id: Generated<number>;
  visit_id: number;
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
  visit_id: number;
  kind: string;
  step_id: string | null;
  plan_version: number;
  happened_at: string;
  received_at: string;
}

export interface ClosingTable {
  id: Generated<number>;
  visit_id: number;
  version: number;
  pressure: number | null;
  comfort: number | null;
  redness: number | null;
  note: string;
  recorded_at: string;
  recorded_by: number | null;
}

export interface AuditTable {
  id: Generated<number>;
  at: string;
  therapist_id: number | null;
  action: string;
  subject: string;
  detail: string;
}

export interface Database {
  house: HouseTable;
  therapist: TherapistTable;
  client: ClientTable;
  finding: FindingTable;
  visit: VisitTable;
  visit_check: VisitCheckTable;
  taping: TapingTable;
  plan: PlanTable;
  table_event: TableEventTable;
  closing: ClosingTable;
  audit: AuditTable;
}

export type TapingRow = Selectable<TapingTable>;
export type PlanRow = Selectable<PlanTable>;
export type VisitRow = Selectable<VisitTable>;
export type ClientRow = Selectable<ClientTable>;
export type FindingRow = Selectable<FindingTable>;
export type ClosingRow = Selectable<ClosingTable>;
