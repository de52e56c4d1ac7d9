import type { VisitId } from '../../core/ids';
import type { Pose } from '../../core/skin/poses';
import type { PhotoView } from '../../contracts/measure-views';
import type { Db } from '../db/connection';
import { insertPhoto } from '../measures/measures.repository';
import { attachWithin } from './attach-file';
import { shortDay } from '../shared/house-clock';
import { readVisitFrame } from '../visits/read-visit';
import { takenAt } from '../measures/save-taping';
import type { Actor, SaveRefusal } from '../shared/saving';

/** Keeps a photograph with the pose that it shows, so that it can be laid beside earlier ones. */
export async function savePhoto(
  db: Db,
  visitId: VisitId,
  input: { readonly pose: Pose; readonly phase: 'before' | 'after'; readonly content: Uint8Array },
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly photo: PhotoView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const at = takenAt(visit, actor.now);
  const file = { name: `${input.pose}, ${input.phase}`, content: input.content };
  return db.transaction().execute(async (trx) => {
    const kept = await attachWithin(trx, visit.client.id, file, actor, 'picture');
    if (kept.kind !== 'saved') return kept;
    const fileId = kept.attachment.id;
    const id = await insertPhoto(trx, {
      clientId: visit.client.id,
      visitId,
      attachmentId: fileId,
      pose: input.pose,
      phase: input.phase,
      takenAt: at,
      by: actor.therapistId,
    });
    const { pose, phase } = input;
    const photo = { id, fileId, pose, phase, takenAt: at, date: shortDay(at), isOfThisVisit: true };
    return { kind: 'saved', photo } as const;
  });
}
