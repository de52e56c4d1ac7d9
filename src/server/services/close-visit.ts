import type { ClosingInput } from '../../contracts/record';
import type { ClosingView } from '../../contracts/visit-views';
import type { Db } from '../db/connection';
import { insertAudit, insertClosing, latestClosing, setStage } from '../repositories/visits';
import { readVisitFrame } from './read-visit';
import { pourForVisit } from './visit-blends';
import type { Actor, SaveRefusal } from './saving';

/** Stores what is asked at the end; every change is a new version. */
export async function saveClosing(
  db: Db,
  visitId: number,
  input: ClosingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly closing: ClosingView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  return db.transaction().execute(async (trx) => {
    const known = await latestClosing(trx, visitId);
    if ((known?.version ?? 0) !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertClosing(trx, visitId, input.basedOn + 1, input, actor.therapistId, actor.now.toISOString());
    const { basedOn, ...rest } = input;
    return { kind: 'saved', closing: { ...rest, version: basedOn + 1 } } as const;
  });
}

export async function finishVisit(
  db: Db,
  visitId: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    // Signed off again after a correction, nothing is poured a second time.
    if (visit.stage !== 'done') await pourForVisit(trx, visitId);
    await setStage(trx, visitId, 'done', now);
    await insertAudit(trx, { at: now, by: actor.therapistId, action: 'visit closed', subject: `visit ${visitId}` });
  });
  return { kind: 'saved' };
}
