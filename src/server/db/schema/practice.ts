import type { Generated } from 'kysely';
import type { TherapistId } from '../../../core/ids';

export interface PracticeSessionTable {
  id: Generated<number>;
  person_id: TherapistId;
  began_at: string;
  seconds: Generated<number>;
  ended_at: string | null;
}

export interface PracticeCourseTable {
  id: Generated<number>;
  person_id: TherapistId;
  case_json: string;
  made_at: string;
}

export interface PracticeSetTable {
  id: Generated<number>;
  kind: string;
  level: number;
  seed: number;
  due_on: string;
  modality: string | null;
  made_by: TherapistId;
  made_at: string;
  ended_at: string | null;
}

export interface PracticeAnswerTable {
  id: Generated<number>;
  person_id: TherapistId;
  session_id: number;
  set_id: number | null;
  course_id: number | null;
  answered_at: string;
  kind: string;
  level: number;
  seed: number;
  score: number;
  seconds: number;
  broken_json: string;
}

export interface PracticeCardTable {
  person_id: TherapistId;
  skill: string;
  card_json: string;
  due_at: string;
}

/** What people of the house practised, and what they know. */
export interface PracticeTables {
  practice_session: PracticeSessionTable;
  practice_course: PracticeCourseTable;
  practice_set: PracticeSetTable;
  practice_answer: PracticeAnswerTable;
  practice_card: PracticeCardTable;
}
