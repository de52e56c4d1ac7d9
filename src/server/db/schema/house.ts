import type { ClientId, TherapistId, VisitId } from '../../../core/ids';
import type { Generated } from 'kysely';

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
  left_at: string | null;
  hours_json: Generated<string>;
  is_learning: Generated<0 | 1>;
  plans_at_own_pace: Generated<0 | 1>;
}

export interface SessionTable {
  token_hash: string;
  staff_id: TherapistId;
  created_at: string;
  seen_at: string;
  expires_at: string;
  locked_at: string | null;
  handed_visit_id: VisitId | null;
  failed_pins: Generated<number>;
  /** What it is called where its person lists their devices; the token is nobody’s but the browser’s. */
  name: string;
  /** On what it is, as its browser says. */
  device: Generated<string>;
  /** When it was last at the table, where hands are busy for long. */
  at_table_at: Generated<string | null>;
  /** When its person last showed by PIN that it is they. */
  proved_at: Generated<string | null>;
}

/** Tries that have failed, by who and from where. */
export interface SignInTryTable {
  key: string;
  failures: number;
  next_at: string;
  at: string;
}

/** Devices on which somebody has signed in before. */
export interface KnownDeviceTable {
  token_hash: string;
  staff_id: TherapistId;
  created_at: string;
  seen_at: string;
}

export interface ConsentWordingTable {
  version: number;
  text_json: string;
  others_json: Generated<string>;
  made_at: string;
  made_by: number | null;
}

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

export interface TreatmentTemplateTable {
  id: Generated<number>;
  client_id: ClientId | null;
  name: string;
  holds_json: string;
  made_at: string;
  made_by: number | null;
  removed_at: string | null;
}

export interface AuditTable {
  id: Generated<number>;
  at: string;
  therapist_id: TherapistId | null;
  action: string;
  subject: string;
  detail: string;
}

/** What the house knows and nobody is told. */
export interface SecretTable {
  name: string;
  value: string;
}

/** A time-based code from something that one has. */
export interface SecondFactorTable {
  staff_id: TherapistId;
  secret: string;
  /** Null while it is being set up: it is not asked for yet. */
  confirmed_at: string | null;
  /** The newest step of time whose code was used: no code opens twice. */
  last_step: Generated<number>;
}

/** Codes that open once: beside the second factor, or for the owner on paper. */
export interface RecoveryCodeTable {
  code_hash: string;
  staff_id: TherapistId;
  kind: 'factor' | 'house';
  made_at: string;
  used_at: string | null;
}

/** The house, its people and what it has made its own. */
export interface HouseTables {
  secret: SecretTable;
  second_factor: SecondFactorTable;
  recovery_code: RecoveryCodeTable;
  house: HouseTable;
  therapist: TherapistTable;
  session: SessionTable;
  sign_in_try: SignInTryTable;
  known_device: KnownDeviceTable;
  consent_wording: ConsentWordingTable;
  library_entry: LibraryEntryTable;
  treatment_template: TreatmentTemplateTable;
  audit: AuditTable;
}
