import type { ClientId, ConditionId, VisitId } from '../../../core/ids';
import type { Generated } from 'kysely';
import type { LanguageId } from '../../../core/language';
import type { MessageWish } from '../../../core/messages/reach';

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
  language: Generated<LanguageId | ''>;
  messages_by: Generated<MessageWish>;
  /** When they said by which way, or that they would rather not. */
  messages_said_at: string | null;
}

export interface ClientVersionTable {
  id: Generated<number>;
  client_id: ClientId;
  version: number;
  before_json: string;
  changed_at: string;
  changed_by: number | null;
}

export interface FindingTable {
  id: Generated<number>;
  client_id: ClientId;
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
  client_id: ClientId;
  visit_id: VisitId | null;
  condition: ConditionId;
  answer: 'yes' | 'no' | 'unsure';
  source: 'therapist' | 'client';
  recorded_at: string;
  recorded_by: number | null;
}

export interface ConsentTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  wording_version: number;
  areas_json: string;
  signer: 'client' | 'guardian';
  name: string;
  drawing: string | null;
  signed_at: string;
  recorded_by: number | null;
  withdrawn_at: string | null;
  language: Generated<LanguageId>;
}

export interface AttachmentTable {
  id: Generated<number>;
  client_id: ClientId;
  name: string;
  media_type: string;
  bytes: number;
  sha256: string;
  content: Buffer;
  added_at: string;
  added_by: number | null;
}

export interface ClientImportTable {
  id: Generated<number>;
  at: string;
  by: number | null;
  file: string;
  added: Generated<number>;
  completed: Generated<number>;
  undone_at: string | null;
}

/** Who came with an import, or was completed by it: enough to take it back. */
export interface ClientImportRowTable {
  import_id: number;
  client_id: ClientId;
  kind: 'added' | 'completed';
  /** The version of the record that the import left; a later one is somebody's work. */
  version: number;
  /** The version that it found; 0 for somebody new. */
  before_version: number;
}

/** Clients and what is on record of them. */
export interface ClientsTables {
  client: ClientTable;
  client_version: ClientVersionTable;
  finding: FindingTable;
  intake_answer: IntakeAnswerTable;
  consent: ConsentTable;
  attachment: AttachmentTable;
  client_import: ClientImportTable;
  client_import_row: ClientImportRowTable;
}
