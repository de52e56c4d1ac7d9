import type { PhotoView } from '../../contracts/picture-views';
import type { VisitId } from '../../core/ids';
import { mayBeTaken } from '../../core/pictures/agreement';
import type { Pose } from '../../core/pictures/poses';
import { attachWithin, readAttachment } from '../clients/attach-file';
import type { Db } from '../db/connection';
import { takenAt } from '../measures/save-taping';
import type { Actor, SaveRefusal } from '../shared/saving';
import { readVisitFrame } from '../visits/read-visit';
import { measureLight } from './measure-light';
import { picturesAnswers } from './pictures.answers';
import { findPictureAnswer, insertPhoto } from './pictures.repository';
import { shownPhoto } from './read-pictures';

/** Keeps a photograph with its view and its light, so that it can be laid beside earlier ones; only where the client has agreed. */
export async function savePhoto(
  db: Db,
  visitId: VisitId,
  input: { readonly pose: Pose; readonly phase: 'before' | 'after'; readonly content: Uint8Array },
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly photo: PhotoView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const file = { name: `${input.pose}, ${input.phase}`, content: input.content };
  return db.transaction().execute(async (trx) => {
    const answer = (await findPictureAnswer(trx, visit.client.id))?.answer ?? null;
    if (!mayBeTaken(answer)) {
      const message = answer === null ? picturesAnswers.notAsked : picturesAnswers.refused;
      return { kind: 'refused', errors: [{ path: 'pictures', message }] } as const;
    }
    const kept = await attachWithin(trx, visit.client.id, file, actor, 'picture');
    if (kept.kind !== 'saved') return kept;
    const { id: attachmentId } = kept.attachment;
    const stored = await readAttachment(trx, visit.client.id, attachmentId);
    const photo = {
      ...{ visitId, attachmentId, pose: input.pose, phase: input.phase },
      takenAt: takenAt(visit, actor.now),
      light: stored ? await measureLight(stored.content) : null,
    };
    const id = await insertPhoto(trx, { ...photo, clientId: visit.client.id, by: actor.therapistId });
    return { kind: 'saved', photo: shownPhoto({ ...photo, id }) } as const;
  });
}
