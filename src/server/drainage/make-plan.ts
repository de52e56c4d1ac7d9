import type { VisitId } from '../../core/ids';
import { anatomy } from '../../catalogue/anatomy';
import type { CourseInput, PlanWishInput } from '../../contracts/record';
import type { PlanView } from '../../contracts/visit-views';
import { planDrainage, readChosen } from '../../core/drainage/plan';
import type { FieldError } from '../../core/result';
import { withTeaching } from '../../core/treatment/taught';
import { readHouseLibrary } from '../library/read-library';
import type { Db } from '../db/connection';
import { listEvents } from '../table/table-events.repository';
import { insertPlan, latestPlan, setHolds } from '../visits/visits.repository';
import { readVisitFrame, toPlanView } from '../visits/read-visit';
import { caseOf } from '../visits/visit-case';
import { type Actor, type SaveRefusal, advance } from '../shared/saving';
import { fingerprintOfCase } from '../visits/fingerprint';
import { caseColumn, planColumn, stepsColumn } from '../visits/plan.documents';
import { drainageAnswers } from './drainage.answers';

const begun: FieldError = {
  path: 'plan',
  message: drainageAnswers.theTreatmentHasBegunThePlan,
};

/** Plans the visit anew from what is known now; a version that was edited elsewhere is not overwritten. */
export async function makePlan(
  db: Db,
  visitId: VisitId,
  wish: Omit<PlanWishInput, 'use' | 'refuse'> & Partial<Pick<PlanWishInput, 'use' | 'refuse'>>,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly plan: PlanView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if (visit.stage === 'stopped')
    return { kind: 'refused', errors: [{ path: '', message: drainageAnswers.theCheckStoppedThisVisitNothing }] };
  if ((await listEvents(db, visitId)).length > 0) return { kind: 'refused', errors: [begun] };
  const input = caseOf(visit, wish);
  const read = readChosen(anatomy, input);
  if (!read.ok) return { kind: 'refused', errors: read.errors };
  const plan = planDrainage(anatomy, read.value);
  const library = await readHouseLibrary(db);
  return db.transaction().execute(async (trx) => {
    const known = await latestPlan(trx, visitId);
    if ((known?.version ?? 0) !== wish.basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertPlan(trx, {
      visit_id: visitId,
      version: wish.basedOn + 1,
      case_json: caseColumn.write(input),
      plan_json: planColumn.write({ ...plan, facts: fingerprintOfCase(input) }),
      steps_json: stepsColumn.write(withTeaching(library, read.value.school.hand, plan.steps)),
      is_rearranged: 0,
      reason: '',
      recorded_at: actor.now.toISOString(),
      recorded_by: actor.therapistId,
    });
    await setHolds(trx, visitId, null);
    await advance(trx, visitId, visit.stage, 'plan');
    const saved = await latestPlan(trx, visitId);
    if (!saved) throw new Error('a plan vanished inside its own transaction');
    return { kind: 'saved', plan: toPlanView(saved, visit) } as const;
  });
}

/** Stores a rearranged course as a new version of the plan. */
export async function rearrangeCourse(
  db: Db,
  visitId: VisitId,
  input: CourseInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly plan: PlanView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if ((await listEvents(db, visitId)).length > 0) return { kind: 'refused', errors: [begun] };
  return db.transaction().execute(async (trx) => {
    const known = await latestPlan(trx, visitId);
    if (!known || known.version !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
    const view = toPlanView(known, visit);
    if (view.treatment)
      return {
        kind: 'refused',
        errors: [{ path: 'order', message: drainageAnswers.itIsOfSeveralParts }],
      } as const;
    const byId = new Map([...view.plan.steps, ...view.steps].map((step) => [step.id, step]));
    const steps = input.order.flatMap((id) => byId.get(id) ?? []);
    if (steps.length !== input.order.length || new Set(input.order).size !== input.order.length) {
      return {
        kind: 'refused',
        errors: [{ path: 'order', message: drainageAnswers.theOrderIsNotThatOfThePlan }],
      } as const;
    }
    await insertPlan(trx, {
      visit_id: visitId,
      case_json: known.case_json,
      plan_json: known.plan_json,
      recorded_by: actor.therapistId,
      version: known.version + 1,
      steps_json: stepsColumn.write(steps),
      is_rearranged: 1,
      reason: input.reason,
      recorded_at: actor.now.toISOString(),
    });
    const saved = await latestPlan(trx, visitId);
    if (!saved) throw new Error('a plan vanished inside its own transaction');
    return { kind: 'saved', plan: toPlanView(saved, visit) } as const;
  });
}
