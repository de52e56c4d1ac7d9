import type { PictureAnswerInput, PicturesView } from '../../contracts/picture-views';
import type { ClientId } from '../../core/ids';
import type { PictureAnswer } from '../../core/pictures/agreement';
import { removeAttachment } from '../clients/attach-file';
import { findClient } from '../clients/clients.repository';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { picturesAnswers } from './pictures.answers';
import { insertPictureAnswer, listPhotos } from './pictures.repository';
import { readPictures } from './read-pictures';

const answerWords: Readonly<Record<PictureAnswer, string>> = {
  refused: picturesAnswers.saidNo,
  record: picturesAnswers.forTheRecord,
  letters: picturesAnswers.alsoInLetters,
};

/** Stores what a client has said about pictures. With a refusal those on record go too, if that is asked for; all or nothing. */
export async function answerPictures(
  db: Db,
  clientId: ClientId,
  { answer, isErasing }: PictureAnswerInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly pictures: PicturesView } | SaveRefusal> {
  if (isErasing && answer !== 'refused')
    return { kind: 'refused', errors: [{ path: 'isErasing', message: picturesAnswers.onlyWithARefusal }] };
  if (!(await findClient(db, clientId))) return { kind: 'not-found' };
  const at = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    await insertPictureAnswer(trx, clientId, { answer, answeredAt: at }, actor.therapistId);
    const photos = isErasing ? await listPhotos(trx, clientId) : [];
    for (const { attachmentId } of photos) await removeAttachment(trx, clientId, attachmentId, actor);
    await insertAudit(trx, {
      at,
      by: actor.therapistId,
      action: 'pictures agreed or refused',
      subject: `client ${clientId}`,
      detail: [answerWords[answer], ...(isErasing ? [picturesAnswers.removed(photos.length)] : [])].join(', '),
    });
    return { kind: 'saved', pictures: await readPictures(trx, clientId) } as const;
  });
}
