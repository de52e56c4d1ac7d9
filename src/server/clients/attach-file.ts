import type { ClientId } from '../../core/ids';
import { createHash } from 'node:crypto';
import { fileTypeFromBuffer } from 'file-type';
import type { Db } from '../db/connection';
import type { FileView } from '../../contracts/client-views';
import { largestFileBytes } from '../../contracts/routes/clients';
import { bytesOf, deleteAttachment, findAttachment, insertAttachment } from './attachments.repository';
import { findClient } from './clients.repository';
import { plainPicture } from './plain-picture';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { clientsAnswers } from './clients.answers';

/** What may be kept: pictures and PDF, told by their content, whatever their name says. */
const keptTypes: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp', 'application/pdf']);

/** What the files of one client may take up together. */
const mostBytesOfClient = 250_000_000;

type Attached = { readonly kind: 'saved'; readonly attachment: FileView } | SaveRefusal;

interface NewFile {
  readonly name: string;
  readonly content: Uint8Array;
}

export async function attachFile(
  db: Db,
  clientId: ClientId,
  file: NewFile,
  actor: Actor,
  as: 'file' | 'picture' = 'file',
): Promise<Attached> {
  return db.transaction().execute((trx) => attachWithin(trx, clientId, file, actor, as));
}

/** The same inside a transaction that somebody else has begun. */
export async function attachWithin(
  db: Db,
  clientId: ClientId,
  file: NewFile,
  actor: Actor,
  as: 'file' | 'picture',
): Promise<Attached> {
  if (!(await findClient(db, clientId))) return { kind: 'not-found' };
  const refuse = (message: string) => ({ kind: 'refused', errors: [{ path: 'file', message }] }) as const;
  if (file.content.length === 0) return refuse(clientsAnswers.thatFileIsEmpty);
  if (file.content.length > largestFileBytes) return refuse(clientsAnswers.keepFilesWithin10MbSend);
  const type = await fileTypeFromBuffer(file.content);
  if (!type || !keptTypes.has(type.mime)) return refuse(clientsAnswers.onlyPicturesJpegPngWebpAnd);
  if (as === 'picture' && !type.mime.startsWith('image/')) return refuse(clientsAnswers.thatIsNotAPictureChoose);
  const content = type.mime.startsWith('image/') ? await plainPicture(file.content) : Buffer.from(file.content);
  if (!content) return refuse(clientsAnswers.thatPictureCannotBeReadIt);
  if ((await bytesOf(db, clientId)) + content.length > mostBytesOfClient)
    return refuse(clientsAnswers.filesOfThisClientTakeUp);
  const now = actor.now.toISOString();
  const name = safeName(file.name, type.ext);
  const id = await insertAttachment(db, {
    client_id: clientId,
    name,
    media_type: type.mime,
    bytes: content.length,
    sha256: createHash('sha256').update(content).digest('hex'),
    content,
    added_at: now,
    added_by: actor.therapistId,
  });
  await insertAudit(db, { at: now, by: actor.therapistId, action: 'file added', subject: `client ${clientId}` });
  return {
    kind: 'saved',
    attachment: { id, name, mediaType: type.mime, bytes: content.length, addedAt: now },
  };
}

/** A name without paths, controls or another ending than the content has. */
export function safeName(name: string, extension: string): string {
  const plain = (name.split(/[/\\]/).at(-1) ?? '')
    .replace(/\p{C}/gu, '')
    .replace(/\.[^.]*$/, '')
    .trim();
  return `${plain.slice(0, 80) || 'file'}.${extension}`;
}

/** A file with its content. @returns undefined when the client has no such file */
export const readAttachment = findAttachment;

export async function removeAttachment(
  db: Db,
  clientId: ClientId,
  id: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  if (!(await deleteAttachment(db, clientId, id))) return { kind: 'not-found' };
  const at = actor.now.toISOString();
  await insertAudit(db, { at, by: actor.therapistId, action: 'file removed', subject: `client ${clientId}` });
  return { kind: 'saved' };
}
