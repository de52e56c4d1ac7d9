import type { VisitId } from '../../core/ids';
import type { VisitCheckInput } from '../../contracts/record';
import type { AskState } from '../../contracts/ask-views';
import type { StageOrEnd } from '../../contracts/people-views';
import { judgeVisitCheck, wordingOf } from '../../core/visit/visit-check';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { insertAnswers, setStage } from './visits.repository';
import { readAskState } from '../screening/read-ask';
import { readVisitFrame } from './read-visit';
import { visitCheckFor } from './visit-check';
import { type Actor, type SaveRefusal, advance } from '../shared/saving';

/** Stores the answers as they are given; a red flag stops the visit, a corrected answer opens it again. */
export async function answerCheck(
  db: Db,
  visitId: VisitId,
  input: VisitCheckInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly stage: StageOrEnd; readonly state: AskState } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const check = visitCheckFor(visit);
  const outcome = judgeVisitCheck(check, input.answers);
  const now = actor.now.toISOString();
  const stage = await db.transaction().execute(async (trx): Promise<StageOrEnd> => {
    await insertAnswers(
      trx,
      visitId,
      { answers: input.answers, asked: wordingOf(check, input.answers) },
      outcome.kind,
      actor.therapistId,
      now,
    );
    if (outcome.kind === 'stop') {
      await setStage(trx, visitId, 'stopped');
      const flags = outcome.stoppedBy.map((q) => q.id).join(', ');
      await insertAudit(trx, {
        at: now,
        by: actor.therapistId,
        action: 'visit stopped by the check',
        subject: `visit ${visitId}`,
        detail: flags,
      });
      return 'stopped';
    }
    if (visit.stage === 'stopped') await setStage(trx, visitId, outcome.kind === 'go' ? 'measure' : 'ask');
    else if (outcome.kind === 'go') await advance(trx, visitId, visit.stage, 'measure');
    return outcome.kind === 'go' ? 'measure' : 'ask';
  });
  const state = await readAskState(db, visitId);
  return state ? { kind: 'saved', stage, state } : { kind: 'not-found' };
}
