import { parseISO } from 'date-fns';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import type { VisitId } from '../../core/ids';
import { findVisit, listCancelledWith, unsetCancelled } from '../visits/visits.repository';
import { collision } from './booking';
import { bookingAnswers } from './booking.answers';
import { noteTakenBack } from '../messages/queue-messages';

/**
 * Takes back that a visit was cancelled, with those of its row that were cancelled with it: all or none of them. Refused
 * once its time is over or somebody else has it.
 */
export async function takeBackVisit(
  db: Db,
  visitId: VisitId,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly takenBack: number } | SaveRefusal> {
  return db.transaction().execute(async (trx) => {
    const visit = await findVisit(trx, visitId);
    if (!visit || visit.cancelled_at === null) return { kind: 'not-found' } as const;
    const refused = (message: string) => ({ kind: 'refused', errors: [{ path: '', message }] }) as const;
    if (parseISO(visit.starts_at) < actor.now) return refused(bookingAnswers.itsTimeIsOver);
    const all = await listCancelledWith(trx, visit);
    for (const one of all) {
      const taken = await collision(trx, {
        therapistId: one.therapist_id,
        clientId: one.client_id,
        startsAt: one.starts_at,
        minutes: one.minutes,
        butVisit: one.id,
      });
      if (taken) return refused(taken);
    }
    for (const one of all) {
      await unsetCancelled(trx, one.id);
      await insertAudit(trx, {
        at: actor.now.toISOString(),
        by: actor.therapistId,
        action: 'visit taken back',
        subject: `visit ${one.id}`,
      });
    }
    for (const { id } of all) await noteTakenBack(trx, id, actor.now);
    return { kind: 'saved', takenBack: all.length } as const;
  });
}
