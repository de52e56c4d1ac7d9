import type { TherapistId, VisitId } from '../../core/ids';
import type { Db } from '../db/connection';
import { listBookable } from '../people/people.repository';
import { insertAudit } from '../house/audit.repository';
import { setTherapist } from './visits.repository';
import { readVisitFrame } from './read-visit';
import type { Actor, SaveRefusal } from '../shared/saving';
import { visitsAnswers } from './visits.answers';

/** Hands a visit over to a colleague, for instance one who holds the qualification that it needs. */
export async function handOver(
  db: Db,
  visitId: VisitId,
  therapistId: TherapistId,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if (!(await listBookable(db)).some(({ id }) => id === therapistId))
    return { kind: 'refused', errors: [{ path: 'therapistId', message: visitsAnswers.thereIsNoSuchTherapistIn }] };
  await db.transaction().execute(async (trx) => {
    await setTherapist(trx, visitId, therapistId);
    await insertAudit(trx, {
      at: actor.now.toISOString(),
      by: actor.therapistId,
      action: 'visit handed over',
      subject: `visit ${visitId}`,
      detail: `therapist ${therapistId}`,
    });
  });
  return { kind: 'saved' };
}
