import type { ClientId, VisitId } from '../../core/ids';
import type { PictureAnswer } from '../../core/pictures/agreement';
import type { Light } from '../../core/pictures/light';
import type { Pose } from '../../core/pictures/poses';
import type { Db } from '../db/connection';

export interface StoredPhoto {
  readonly id: number;
  readonly attachmentId: number;
  readonly pose: Pose;
  readonly phase: 'before' | 'after';
  readonly takenAt: string;
  readonly visitId: VisitId | null;
  readonly light: Light | null;
}

/** The oldest first. */
export async function listPhotos(db: Db, clientId: ClientId): Promise<readonly StoredPhoto[]> {
  const rows = await db
    .selectFrom('photo')
    .selectAll()
    .where('client_id', '=', clientId)
    .orderBy('taken_at')
    .orderBy('id')
    .execute();
  return rows.map(({ light_left_percent: leftPercent, light_right_percent: rightPercent, ...row }) => ({
    id: row.id,
    attachmentId: row.attachment_id,
    pose: row.pose,
    phase: row.phase,
    takenAt: row.taken_at,
    visitId: row.visit_id,
    light: leftPercent === null || rightPercent === null ? null : { leftPercent, rightPercent },
  }));
}

export async function insertPhoto(
  db: Db,
  input: Omit<StoredPhoto, 'id'> & { readonly clientId: ClientId; readonly by: number | null },
): Promise<number> {
  const row = await db
    .insertInto('photo')
    .values({
      client_id: input.clientId,
      visit_id: input.visitId,
      attachment_id: input.attachmentId,
      pose: input.pose,
      phase: input.phase,
      taken_at: input.takenAt,
      recorded_by: input.by,
      light_left_percent: input.light?.leftPercent ?? null,
      light_right_percent: input.light?.rightPercent ?? null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

interface Answered {
  readonly answer: PictureAnswer;
  readonly answeredAt: string;
}

/** What was answered last; of two records that were merged the newest answer rules. */
export async function findPictureAnswer(db: Db, clientId: ClientId): Promise<Answered | undefined> {
  const row = await db
    .selectFrom('picture_answer')
    .select(['answer', 'answered_at'])
    .where('client_id', '=', clientId)
    .orderBy('answered_at', 'desc')
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row && { answer: row.answer, answeredAt: row.answered_at };
}

export async function insertPictureAnswer(
  db: Db,
  clientId: ClientId,
  { answer, answeredAt }: Answered,
  by: number | null,
): Promise<void> {
  await db
    .insertInto('picture_answer')
    .values({ client_id: clientId, answer, answered_at: answeredAt, recorded_by: by })
    .execute();
}
