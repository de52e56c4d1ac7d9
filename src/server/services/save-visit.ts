import { anatomy } from '../../catalogue/anatomy';
import type { ClosingInput, CourseInput, PlanWishInput, TapingInput, VisitCheckInput } from '../../contracts/record';
import type { ClosingView, PlanView, StageOrEnd, TapingView } from '../../contracts/views';
import { readCase } from '../../core/drainage/case';
import { checkCourse } from '../../core/drainage/check';
import { planDrainage } from '../../core/drainage/plan';
import type { FieldError } from '../../core/result';
import { replay, type TableEvent } from '../../core/table/progress';
import { judgeVisitCheck } from '../../core/visit/visit-check';
import type { Db } from '../db/connection';
import {
  insertAnswers,
  insertAudit,
  insertClosing,
  insertEvents,
  insertPlan,
  insertTaping,
  latestClosing,
  latestPlan,
  latestTaping,
  listEvents,
  setStage,
  setTherapist,
} from '../repositories/visits';
import { caseOf, readVisitFrame, toPlanView } from './read-visit';
import { volumeOf, withVolume } from './taping-volume';

export interface Actor {
  readonly therapistId: number | null;
  readonly now: Date;
}

/** A save that could not be made, told apart so that each gets its own answer. */
export type SaveRefusal =
  | { readonly kind: 'not-found' }
  | { readonly kind: 'edited-elsewhere' }
  | { readonly kind: 'refused'; readonly errors: readonly FieldError[] };

const order: readonly StageOrEnd[] = ['ask', 'measure', 'plan', 'prepare', 'table', 'close', 'done'];

/** Moves a visit on, never back: looking at an earlier stage again does not undo a later one. */
async function advance(db: Db, visitId: number, stage: StageOrEnd, to: StageOrEnd): Promise<void> {
  if (order.indexOf(to) > order.indexOf(stage) || stage === 'stopped') await setStage(db, visitId, to);
}

/** Stores the answers as they are given; a red flag stops the visit, a corrected answer opens it again. */
export async function answerCheck(
  db: Db,
  visitId: number,
  input: VisitCheckInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly stage: StageOrEnd } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const outcome = judgeVisitCheck(input.answers);
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    await insertAnswers(trx, visitId, input.answers, outcome.kind, actor.therapistId, now);
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
      return { kind: 'saved', stage: 'stopped' } as const;
    }
    if (visit.stage === 'stopped') await setStage(trx, visitId, outcome.kind === 'go' ? 'measure' : 'ask');
    else if (outcome.kind === 'go') await advance(trx, visitId, visit.stage, 'measure');
    return { kind: 'saved', stage: outcome.kind === 'go' ? 'measure' : 'ask' } as const;
  });
}

/** Stores a taping as a new version; raw girths are never overwritten. */
export async function saveTaping(
  db: Db,
  visitId: number,
  input: TapingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly taping: TapingView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const errors = tapingErrors(input);
  if (errors.length > 0) return { kind: 'refused', errors };
  return db.transaction().execute(async (trx) => {
    const known = await latestTaping(trx, visitId, input.phase);
    if ((known?.version ?? 0) !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertTaping(
      trx,
      visitId,
      input.basedOn + 1,
      input,
      volumeOf(input),
      actor.therapistId,
      actor.now.toISOString(),
    );
    if (input.phase === 'before') await advance(trx, visitId, visit.stage, 'measure');
    const saved = await latestTaping(trx, visitId, input.phase);
    if (!saved) throw new Error('a taping vanished inside its own transaction');
    return { kind: 'saved', taping: withVolume(saved) } as const;
  });
}

function tapingErrors(input: TapingInput): FieldError[] {
  const errors: FieldError[] = [];
  for (const side of ['affected', 'reference'] as const) {
    if (input[side].length !== input.positions.length)
      errors.push({
        path: side,
        message: `There are ${input[side].length} girths for ${input.positions.length} positions.`,
      });
  }
  const step = input.positions.findIndex((x, i) => i > 0 && x <= (input.positions[i - 1] ?? 0));
  if (step > 0) errors.push({ path: `positions.${step}`, message: 'Positions must rise from the zero mark.' });
  const limitCm = input.unit === 'in' ? 400 / 2.54 : 400;
  for (const side of ['affected', 'reference'] as const) {
    input[side].forEach((girth, i) => {
      if (girth !== null && girth >= limitCm)
        errors.push({
          path: `${side}.${i}`,
          message: `No ${input.limb} measures ${girth} ${input.unit}: check the unit or the decimal point.`,
        });
    });
  }
  return errors;
}

const begun: FieldError = {
  path: 'plan',
  message: 'The treatment has begun: the plan stays as it is, so that the record matches what was done.',
};

/** Plans the visit anew from what is known now; a version that was edited elsewhere is not overwritten. */
export async function makePlan(
  db: Db,
  visitId: number,
  wish: PlanWishInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly plan: PlanView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if (visit.stage === 'stopped')
    return { kind: 'refused', errors: [{ path: '', message: 'The check stopped this visit: nothing is planned.' }] };
  if ((await listEvents(db, visitId)).length > 0) return { kind: 'refused', errors: [begun] };
  const given = caseOf(visit, wish);
  const read = readCase(anatomy, given);
  if (!read.ok) return { kind: 'refused', errors: read.errors };
  const plan = planDrainage(anatomy, read.value);
  return db.transaction().execute(async (trx) => {
    const known = await latestPlan(trx, visitId);
    if ((known?.version ?? 0) !== wish.basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertPlan(trx, {
      visit_id: visitId,
      version: wish.basedOn + 1,
      case_json: JSON.stringify(given),
      plan_json: JSON.stringify(plan),
      steps_json: JSON.stringify(plan.steps),
      is_rearranged: 0,
      reason: '',
      recorded_at: actor.now.toISOString(),
      recorded_by: actor.therapistId,
    });
    await advance(trx, visitId, visit.stage, 'plan');
    const saved = await latestPlan(trx, visitId);
    if (!saved) throw new Error('a plan vanished inside its own transaction');
    return { kind: 'saved', plan: toPlanView(saved, visit) } as const;
  });
}

/** Stores a rearranged course as a new version of the plan. */
export async function rearrangeCourse(
  db: Db,
  visitId: number,
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
    const byId = new Map(view.plan.steps.map((step) => [step.id, step]));
    const steps = input.order.flatMap((id) => byId.get(id) ?? []);
    if (steps.length !== input.order.length || new Set(input.order).size !== input.order.length) {
      return {
        kind: 'refused',
        errors: [{ path: 'order', message: 'The course names a step that is not in the plan, or one step twice.' }],
      } as const;
    }
    await insertPlan(trx, {
      visit_id: visitId,
      case_json: known.case_json,
      plan_json: known.plan_json,
      recorded_by: actor.therapistId,
      version: known.version + 1,
      steps_json: JSON.stringify(steps),
      is_rearranged: 1,
      reason: input.reason,
      recorded_at: actor.now.toISOString(),
    });
    const saved = await latestPlan(trx, visitId);
    if (!saved) throw new Error('a plan vanished inside its own transaction');
    return { kind: 'saved', plan: toPlanView(saved, visit) } as const;
  });
}

/** Whether the plan may be carried out: decided, without broken rules, or with a written reason for each that is kept. */
export async function readyForTable(db: Db, visitId: number): Promise<readonly FieldError[] | undefined> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return undefined;
  const row = await latestPlan(db, visitId);
  if (!row) return [{ path: 'plan', message: 'Make a plan first.' }];
  const view = toPlanView(row, visit);
  if (visit.stage === 'stopped') return [{ path: 'check', message: 'The check stopped this visit.' }];
  if (view.isStale)
    return [{ path: 'plan', message: 'Findings or therapist have changed since this plan was made: plan again.' }];
  if (view.plan.decision === 'refer' || view.plan.decision === 'stop')
    return [{ path: 'plan', message: view.plan.reasons[0]?.text ?? 'This plan is not to be carried out.' }];
  const read = readCase(anatomy, view.drainageCase);
  const errors = read.ok ? checkCourse(anatomy, read.value, view.steps).filter((v) => v.severity === 'error') : [];
  if (errors.length > 0 && view.reason === '')
    return [{ path: 'reason', message: 'The course breaks a rule: mend it, or write why you keep it.' }];
  return [];
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
    await setStage(trx, visitId, 'done', now);
    await insertAudit(trx, { at: now, by: actor.therapistId, action: 'visit closed', subject: `visit ${visitId}` });
  });
  return { kind: 'saved' };
}

/** Hands a visit over to a colleague, for instance one who holds the qualification that it needs. */
export async function handOver(
  db: Db,
  visitId: number,
  therapistId: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const exists = await db.selectFrom('therapist').select('id').where('id', '=', therapistId).executeTakeFirst();
  if (!exists)
    return { kind: 'refused', errors: [{ path: 'therapistId', message: 'There is no such therapist in this house.' }] };
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
