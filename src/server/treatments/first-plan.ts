import type { VisitId } from '../../core/ids';
import type { PlanView } from '../../contracts/visit-views';
import type { Db } from '../db/connection';
import { makePlan } from '../drainage/make-plan';
import type { Actor, SaveRefusal } from '../shared/saving';
import { readVisit } from '../visits/read-visit';
import { makeTreatment } from './make-treatment';
import { treatmentsAnswers } from './treatments.answers';

/** The first plan of a visit: of what it was booked for, or a drainage that fills the time booked. */
export async function makeFirstPlan(
  db: Db,
  visitId: VisitId,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly plan: PlanView } | SaveRefusal> {
  const visit = await readVisit(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if (visit.plan) return { kind: 'saved', plan: visit.plan };
  if (visit.stage === 'stopped' || visit.stage === 'ask')
    return { kind: 'refused', errors: [{ path: '', message: treatmentsAnswers.askFirstTheCheckComesBefore }] };
  const { minutes, holds, school } = visit;
  return holds
    ? makeTreatment(db, visitId, { ...holds, minutes, reason: '', basedOn: 0 }, actor)
    : makePlan(db, visitId, { school, minutes, fill: true, basedOn: 0 }, actor);
}
