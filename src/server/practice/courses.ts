import { trainingBooks } from '../../catalogue/training';
import type { TherapistId, VisitId } from '../../core/ids';
import { courseCaseOf } from '../../core/training/bodies';
import type { DrillKind, Level } from '../../core/training/kinds';
import { questionOf } from '../../core/training/drills';
import type { Db } from '../db/connection';
import type { Actor, SaveRefusal } from '../shared/saving';
import { caseColumn } from '../visits/plan.documents';
import { latestPlan } from '../visits/visits.repository';
import { markOr, readBody } from './answer-drill';
import { practiceAnswers } from './practice.answers';
import { insertCourse } from './practice.repository';

/** Takes the course of a visit’s plan, without its client, for oneself. */
export async function takeCourse(
  db: Db,
  visitId: VisitId,
  person: TherapistId,
  { now }: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number } | SaveRefusal> {
  const plan = await latestPlan(db, visitId);
  if (!plan) return { kind: 'not-found' };
  const of = courseCaseOf(caseColumn.read(plan.case_json));
  const id = await insertCourse(db, person, of, now.toISOString());
  return { kind: 'saved', id };
}

interface Asked {
  readonly id: number;
  readonly kind: Extract<DrillKind, 'order' | 'route'>;
  readonly level: Level;
}

/** What is asked of a course. */
export async function readCourse(
  db: Db,
  person: TherapistId,
  { id, kind, level }: Asked,
): Promise<{ readonly question: Record<string, unknown>; readonly key: string } | SaveRefusal> {
  const body = await readBody(db, person, id);
  if (!body) return { kind: 'not-found' };
  if (!body.ok) return { kind: 'refused', errors: body.errors };
  const asked = markOr(() => questionOf(trainingBooks, { kind, level, seed: id, body: body.value }));
  if (!asked) return { kind: 'refused', errors: [{ path: 'kind', message: practiceAnswers.noDrillInThisCourse }] };
  return { question: asked.question as Record<string, unknown>, key: `${kind}-course-${id}` };
}
