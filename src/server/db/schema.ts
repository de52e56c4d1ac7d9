import type { Generated, Selectable } from 'kysely';

export interface HouseTable {
  id: number;
  name: string;
  scenario: string;
  school_json: string;
  created_at: string;
  settings_json: Generated<string>;
}

export interface TherapistTable {
  id: Generated<number>;
  name: string;
  initials: string;
  title: string;
  qualifications_json: string;
  room: string;
  role: Generated<string>;
  login: string | null;
  password_hash: string | null;
  pin_hash: string | null;
  failed_sign_ins: Generated<number>;
  locked_until: string | null;
  left_at: string | null;
  hours_json: Generated<string>;
}

export interface ClientTable {
  id: Generated<number>;
  name: string;
  search_name: string;
  born_on: string | null;
  phone: string;
  note: string;
  created_at: string;
  email: Generated<string>;
  address: Generated<string>;
  emergency_contact: Generated<string>;
  due_on: string | null;
  medicines: Generated<string>;
  likes_json: Generated<string>;
  version: Generated<number>;
  changed_at: string | null;
  changed_by: number | null;
  archived_at: string | null;
  merged_into: number | null;
  measuring_json: Generated<string>;
  height_cm: number | null;
}

export interface ClientVersionTable {
  id: Generated<number>;
  client_id: number;
  version: number;
  before_json: string;
  changed_at: string;
  changed_by: number | null;
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
  is_unsure: Generated<number>;
  clearance_json: string | null;
  answers_json: Generated<string>;
  source: Generated<'therapist' | 'client'>;
  replaces: number | null;
  end_reason: Generated<string>;
}

export interface IntakeAnswerTable {
  id: Generated<number>;
  client_id: number;
  visit_id: number | null;
  condition: string;
  answer: 'yes' | 'no' | 'unsure';
  source: 'therapist' | 'client';
  recorded_at: string;
  recorded_by: number | null;
}

export interface ConsentWordingTable {
  version: number;
  text_json: string;
  made_at: string;
  made_by: number | null;
}

export interface ConsentTable {
  id: Generated<number>;
  client_id: number;
  visit_id: number | null;
  wording_version: number;
  areas_json: string;
  signer: 'client' | 'guardian';
  name: string;
  drawing: string | null;
  signed_at: string;
  recorded_by: number | null;
  withdrawn_at: string | null;
}

export interface AttachmentTable {
  id: Generated<number>;
  client_id: number;
  name: string;
  media_type: string;
  bytes: number;
  sha256: string;
  content: Buffer;
  added_at: string;
  added_by: number | null;
}

export interface ScreeningOverrideTable {
  id: Generated<number>;
  visit_id: number;
  modality: string;
  limit_key: string;
  old_json: string;
  new_json: string;
  reason: string;
  made_at: string;
  made_by: number | null;
  ended_at: string | null;
}

export interface SessionTable {
  token_hash: string;
  staff_id: number;
  created_at: string;
  seen_at: string;
  expires_at: string;
  locked_at: string | null;
  handed_visit_id: number | null;
  failed_pins: Generated<number>;
}

export interface ReminderTable {
  id: Generated<number>;
  visit_id: number;
  channel: 'text' | 'mail';
  address: string;
  words: string;
  due_at: string;
  state: Generated<'waiting' | 'sent' | 'failed' | 'cancelled'>;
  settled_at: string | null;
  trouble: Generated<string>;
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
  cancelled_at: string | null;
  cancel_reason: Generated<string>;
  series: string | null;
  moved_from: string | null;
  sequence: Generated<number>;
  holds_json: Generated<string>;
  ready_json: Generated<string>;
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
  client_id: number;
  visit_id: number | null;
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
  client_id: number;
  visit_id: number | null;
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

export interface PhotoTable {
  id: Generated<number>;
  client_id: number;
  visit_id: number | null;
  attachment_id: number;
  pose: string;
  phase: 'before' | 'after';
  taken_at: string;
  recorded_by: number | null;
}

export interface ReferralFlagTable {
  id: Generated<number>;
  client_id: number;
  visit_id: number | null;
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

/** Own techniques and protocols; `document_json` has the shape of the exchange format. */
export interface LibraryEntryTable {
  id: Generated<number>;
  kind: 'technique' | 'protocol';
  key: string;
  version: number;
  document_json: string;
  is_latest: Generated<number>;
  made_at: string;
  made_by: number | null;
  removed_at: string | null;
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
  change_json: string | null;
  mark: string | null;
  device_id: string | null;
  number: number | null;
  is_aside: Generated<0 | 1>;
}

export interface TableLeadTable {
  visit_id: number;
  device_id: string;
  taken_at: string;
}

export interface HomeSheetTable {
  id: Generated<number>;
  client_id: number;
  visit_id: number | null;
  routine: string;
  language: string;
  wish_json: string;
  sheet_json: string;
  made_by: number | null;
  made_at: string;
  ended_at: string | null;
}

export interface HomeLinkTable {
  token_hash: string;
  sheet_id: number;
  made_at: string;
  expires_at: string;
  revoked_at: string | null;
}

export interface HomeTickTable {
  id: string;
  client_id: number;
  sheet_id: number;
  modality: string;
  day: string;
  origin: string;
  ticked_at: string;
}

export interface StoneTable {
  id: Generated<number>;
  size: string;
  material: string;
  length_mm: number;
  width_mm: number;
  thickness_mm: number;
  mass_g: number | null;
  state: Generated<'in-use' | 'chipped' | 'retired'>;
  note: Generated<string>;
  added_at: string;
  retired_at: string | null;
}

export interface StoneCareTable {
  id: Generated<number>;
  stone_id: number | null;
  what: string;
  done_at: string;
  done_by: number | null;
}

export interface OilBottleTable {
  id: Generated<number>;
  kind: 'essential' | 'carrier';
  oil: string;
  lot: Generated<string>;
  opened_on: string | null;
  printed_on: string | null;
  size_ml: number;
  left_ml: number;
  cost_cents: Generated<number>;
  drops_per_ml: number | null;
  state: Generated<'in-use' | 'empty' | 'discarded'>;
  note: Generated<string>;
  added_at: string;
}

export interface OilBlendTable {
  id: Generated<number>;
  name: string;
  blend_json: string;
  made_at: string;
  made_by: number | null;
  removed_at: string | null;
}

export interface OilMixTable {
  id: Generated<number>;
  client_id: number | null;
  visit_id: number | null;
  blend_json: string;
  counted_json: Generated<string>;
  state: Generated<'mixing' | 'mixed' | 'given-up'>;
  left_ml: Generated<number>;
  cost_cents: Generated<number>;
  use_by: string | null;
  started_at: string;
  mixed_at: string | null;
  mixed_by: number | null;
}

export interface OilDrawTable {
  id: Generated<number>;
  bottle_id: number;
  ml: number;
  why: 'mixed' | 'corrected' | 'discarded';
  mix_id: number | null;
  done_at: string;
  done_by: number | null;
}

export interface VisitBlendTable {
  visit_id: number;
  area: 'body' | 'face';
  blend_json: string;
  mix_id: number | null;
  poured_from: number | null;
  chosen_at: string;
  chosen_by: number | null;
}

export interface SmellChoiceTable {
  id: Generated<number>;
  client_id: number;
  visit_id: number | null;
  strips_json: string;
  chosen: number | null;
  done_at: string;
  done_by: number | null;
}

export interface PatchTestTable {
  id: Generated<number>;
  client_id: number;
  what: string;
  placed_at: string;
  placed_by: number | null;
  readings_json: Generated<string>;
  ended_at: string | null;
}

export interface TreatmentTemplateTable {
  id: Generated<number>;
  client_id: number | null;
  name: string;
  holds_json: string;
  made_at: string;
  made_by: number | null;
  removed_at: string | null;
}

export interface ClosingTable {
  id: Generated<number>;
  visit_id: number;
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
  visit_id: number;
  closing_version: number;
  therapist_id: number | null;
  signed_at: string;
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
  observation: ObservationTable;
  photo: PhotoTable;
  referral_flag: ReferralFlagTable;
  tape_protocol: TapeProtocolTable;
  library_entry: LibraryEntryTable;
  plan: PlanTable;
  table_event: TableEventTable;
  table_lead: TableLeadTable;
  treatment_template: TreatmentTemplateTable;
  home_sheet: HomeSheetTable;
  home_link: HomeLinkTable;
  home_tick: HomeTickTable;
  stone: StoneTable;
  stone_care: StoneCareTable;
  oil_bottle: OilBottleTable;
  oil_blend: OilBlendTable;
  oil_mix: OilMixTable;
  oil_draw: OilDrawTable;
  visit_blend: VisitBlendTable;
  smell_choice: SmellChoiceTable;
  patch_test: PatchTestTable;
  closing: ClosingTable;
  signature: SignatureTable;
  audit: AuditTable;
  client_version: ClientVersionTable;
  intake_answer: IntakeAnswerTable;
  consent_wording: ConsentWordingTable;
  consent: ConsentTable;
  attachment: AttachmentTable;
  screening_override: ScreeningOverrideTable;
  session: SessionTable;
  reminder: ReminderTable;
}

export type TherapistRow = Selectable<TherapistTable>;
export type LibraryEntryRow = Selectable<LibraryEntryTable>;
export type ConsentRow = Selectable<ConsentTable>;
export type SessionRow = Selectable<SessionTable>;
export type ReminderRow = Selectable<ReminderTable>;
export type TapingRow = Selectable<TapingTable>;
export type ObservationRow = Selectable<ObservationTable>;
export type ReferralFlagRow = Selectable<ReferralFlagTable>;
export type TapeProtocolRow = Selectable<TapeProtocolTable>;
export type OilMixRow = Selectable<OilMixTable>;
export type PlanRow = Selectable<PlanTable>;
export type VisitRow = Selectable<VisitTable>;
export type TreatmentTemplateRow = Selectable<TreatmentTemplateTable>;
export type ClientRow = Selectable<ClientTable>;
export type FindingRow = Selectable<FindingTable>;
export type ClosingRow = Selectable<ClosingTable>;
