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
  failed_sign_ins: Generated<number>;
  locked_until: string | null;
  left_at: string | null;
  hours_json: Generated<string>;
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

/** The house, its people and what it has made its own. */
export interface HouseTables {
  house: HouseTable;
  therapist: TherapistTable;
  session: SessionTable;
  consent_wording: ConsentWordingTable;
  library_entry: LibraryEntryTable;
  treatment_template: TreatmentTemplateTable;
  audit: AuditTable;
}
