import type { ClientId } from '../../core/ids';
import type { Insertable } from 'kysely';
import type { FileView } from '../../contracts/client-views';
import type { Db } from '../db/connection';
import type { AttachmentTable } from '../db/schema/clients';

export async function insertAttachment(db: Db, file: Insertable<AttachmentTable>): Promise<number> {
  const row = await db.insertInto('attachment').values(file).returning('id').executeTakeFirstOrThrow();
  return row.id;
}

export async function listAttachments(db: Db, clientId: ClientId): Promise<readonly FileView[]> {
  const rows = await db
    .selectFrom('attachment')
    .select(['id', 'name', 'media_type', 'bytes', 'added_at'])
    .where('client_id', '=', clientId)
    .orderBy('id', 'desc')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    mediaType: row.media_type,
    bytes: row.bytes,
    addedAt: row.added_at,
  }));
}

export async function findAttachment(
  db: Db,
  clientId: ClientId,
  id: number,
): Promise<{ readonly name: string; readonly mediaType: string; readonly content: Buffer } | undefined> {
  const row = await db
    .selectFrom('attachment')
    .selectAll()
    .where('id', '=', id)
    .where('client_id', '=', clientId)
    .executeTakeFirst();
  return row && { name: row.name, mediaType: row.media_type, content: row.content };
}

/** Takes a file away, and the picture that it was. @returns false when the client has no such file */
export async function deleteAttachment(db: Db, clientId: ClientId, id: number): Promise<boolean> {
  await db.deleteFrom('photo').where('attachment_id', '=', id).where('client_id', '=', clientId).execute();
  const result = await db
    .deleteFrom('attachment')
    .where('id', '=', id)
    .where('client_id', '=', clientId)
    .executeTakeFirst();
  return result.numDeletedRows > 0n;
}

/** What the files of a client take up together. */
export async function bytesOf(db: Db, clientId: ClientId): Promise<number> {
  const row = await db
    .selectFrom('attachment')
    .select((eb) => eb.fn.sum<number>('bytes').as('sum'))
    .where('client_id', '=', clientId)
    .executeTakeFirst();
  return Number(row?.sum ?? 0);
}
