import { anatomy } from '../../catalogue/anatomy';
import { referralWords } from '../../catalogue/swelling/scales.data';
import { readCase } from '../../core/drainage/case';
import { checkCourse } from '../../core/drainage/check';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { FieldError } from '../../core/result';
import { rankOf } from '../../core/screening/tables';
import { stopsTreatment } from '../../core/swelling/referral';
import { type TableEvent, replay } from '../../core/table/progress';
import type { Db } from '../db/connection';
import { insertEvents, latestPlan, listEvents } from '../repositories/visits';
import { readFlags } from './raise-flags';
import { readVisitFrame, toPlanView } from './read-visit';
import { type Actor, type SaveRefusal, advance } from './saving';

/** Whether the plan may be carried out: decided, without broken rules, or with a written reason for each that is kept. */
export async function readyForTable(db: Db, visitId: number): Promise<readonly FieldError[] | undefined> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return undefined;
  const row = await latestPlan(db, visitId);
  if (!row) return [{ path: 'plan', message: 'Make a plan first.' }];
  const view = toPlanView(row, visit);
  if (visit.stage === 'stopped') return [{ path: 'check', message: 'The check stopped this visit.' }];
  const stopping = (await readFlags(db, visit.client.id, visitId)).find(({ level }) => stopsTreatment(level));
  if (stopping)
    return [
      {
        path: 'flags',
        message: `${referralWords[stopping.level].label}: ${stopping.why}. Close it with a note first.`,
      },
    ];
  if (view.isStale)
    return [{ path: 'plan', message: 'Findings or therapist have changed since this plan was made: plan again.' }];
  if (view.treatment) return readyTreatment(view.treatment, view.reason);
  if (rankOf(view.plan.decision) >= rankOf('clear-first'))
    return [{ path: 'plan', message: view.plan.reasons[0]?.text ?? 'This plan is not to be carried out.' }];
  const read = readCase(anatomy, view.drainageCase);
  const errors = read.ok ? checkCourse(anatomy, read.value, view.steps).filter((v) => v.severity === 'error') : [];
  if (errors.length > 0 && view.reason === '')
    return [{ path: 'reason', message: 'The course breaks a rule: mend it, or write why you keep it.' }];
  return [];
}

/** The same of a treatment of several parts: nothing broken, or a reason why it is kept; in the time there is. */
function readyTreatment(treatment: TreatmentView, reason: string): readonly FieldError[] {
  if (treatment.blocks.length === 0) return [{ path: 'plan', message: 'Nothing of what was chosen may be given.' }];
  if (!treatment.fits)
    return [
      { path: 'minutes', message: `The least of it takes ${treatment.shortBySeconds} seconds more than there are.` },
    ];
  const broken = [...treatment.faults, ...treatment.stepFaults, ...treatment.conflicts].find(
    ({ severity }) => severity === 'error',
  );
  return broken && reason === ''
    ? [{ path: 'reason', message: `${broken.message} Mend it, or write why you keep it.` }]
    : [];
}

/** Keeps events of the table as they come; sending again is harmless. @returns all that is stored, in order */
export async function recordEvents(
  db: Db,
  visitId: number,
  events: readonly TableEvent[],
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly events: readonly TableEvent[] } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const stored = await listEvents(db, visitId);
  if (stored.length === 0) {
    const errors = await readyForTable(db, visitId);
    if (errors && errors.length > 0) return { kind: 'refused', errors };
  }
  return db.transaction().execute(async (trx) => {
    await insertEvents(trx, visitId, events, actor.now.toISOString());
    const all = await listEvents(trx, visitId);
    await advance(trx, visitId, visit.stage, replay(all).status === 'finished' ? 'close' : 'table');
    return { kind: 'saved', events: all } as const;
  });
}
