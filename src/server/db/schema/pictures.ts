import type { Generated } from 'kysely';
import type { ClientId, VisitId } from '../../../core/ids';
import type { PictureAnswer } from '../../../core/pictures/agreement';
import type { Pose } from '../../../core/pictures/poses';

export interface PhotoTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  attachment_id: number;
  pose: Pose;
  phase: 'before' | 'after';
  taken_at: string;
  recorded_by: number | null;
  /** Per cent of white; null for pictures from before it was measured. */
  light_left_percent: number | null;
  light_right_percent: number | null;
}

/** Each answer stays; the newest rules. */
export interface PictureAnswerTable {
  id: Generated<number>;
  client_id: ClientId;
  answer: PictureAnswer;
  answered_at: string;
  recorded_by: number | null;
}

/** Photographs, and who has agreed to them. */
export interface PicturesTables {
  photo: PhotoTable;
  picture_answer: PictureAnswerTable;
}
