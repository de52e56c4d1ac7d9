import type { Selectable } from 'kysely';
import type { TherapistId } from '../../core/ids';
import type { CourseCase } from '../../core/training/bodies';
import { type DrillKind, drillKinds, type Level, levels } from '../../core/training/kinds';
import type { Db } from '../db/connection';
import type { PracticeAnswerTable, PracticeSessionTable, PracticeSetTable } from '../db/schema/practice';
import { brokenColumn, cardColumn, courseColumn, type PracticeCard } from './practice.documents';

export interface KeptAnswer {
  readonly sessionId: number;
  readonly setId: number | null;
  readonly courseId: number | null;
  readonly at: string;
  readonly kind: DrillKind;
  readonly level: Level;
  readonly seed: number;
  readonly score: number;
  readonly seconds: number;
  readonly broken: readonly string[];
}

export interface KeptSession {
  readonly id: number;
  readonly beganAt: string;
  readonly seconds: number;
  readonly endedAt: string | null;
}

export interface KeptSet {
  readonly id: number;
  readonly kind: DrillKind;
  readonly level: Level;
  readonly seed: number;
  readonly dueOn: string;
  readonly modality: string | null;
}

const kindOf = (kind: string): DrillKind => drillKinds.find((one) => one === kind) ?? 'order';
const levelOf = (level: number): Level => levels.find((one) => one === level) ?? 1;

const toAnswer = (row: Selectable<PracticeAnswerTable>): KeptAnswer => ({
  sessionId: row.session_id,
  setId: row.set_id,
  courseId: row.course_id,
  at: row.answered_at,
  kind: kindOf(row.kind),
  level: levelOf(row.level),
  seed: row.seed,
  score: row.score,
  seconds: row.seconds,
  broken: brokenColumn.read(row.broken_json),
});
const toSession = (row: Selectable<PracticeSessionTable>): KeptSession => ({
  id: row.id,
  beganAt: row.began_at,
  seconds: row.seconds,
  endedAt: row.ended_at,
});
const toSet = (row: Selectable<PracticeSetTable>): KeptSet => ({
  id: row.id,
  kind: kindOf(row.kind),
  level: levelOf(row.level),
  seed: row.seed,
  dueOn: row.due_on,
  modality: row.modality,
});

/** Answers of somebody, the newest first. */
export async function listAnswers(db: Db, person: TherapistId): Promise<readonly KeptAnswer[]> {
  const rows = await db
    .selectFrom('practice_answer')
    .selectAll()
    .where('person_id', '=', person)
    .orderBy('answered_at', 'desc')
    .orderBy('id', 'desc')
    .execute();
  return rows.map(toAnswer);
}

export async function insertAnswer(db: Db, person: TherapistId, answer: KeptAnswer): Promise<void> {
  await db
    .insertInto('practice_answer')
    .values({
      person_id: person,
      session_id: answer.sessionId,
      set_id: answer.setId,
      course_id: answer.courseId,
      answered_at: answer.at,
      ...{ kind: answer.kind, level: answer.level, seed: answer.seed, score: answer.score, seconds: answer.seconds },
      broken_json: brokenColumn.write(answer.broken),
    })
    .execute();
}

/** Sessions of somebody, the newest first. */
export async function listSessions(db: Db, person: TherapistId): Promise<readonly KeptSession[]> {
  const rows = await db
    .selectFrom('practice_session')
    .selectAll()
    .where('person_id', '=', person)
    .orderBy('began_at', 'desc')
    .orderBy('id', 'desc')
    .execute();
  return rows.map(toSession);
}

export async function insertSession(db: Db, person: TherapistId, beganAt: string): Promise<KeptSession> {
  const row = await db
    .insertInto('practice_session')
    .values({ person_id: person, began_at: beganAt, ended_at: null })
    .returningAll()
    .executeTakeFirstOrThrow();
  return toSession(row);
}

export async function updateSession(db: Db, { id, seconds, endedAt }: Omit<KeptSession, 'beganAt'>): Promise<void> {
  await db.updateTable('practice_session').set({ seconds, ended_at: endedAt }).where('id', '=', id).execute();
}

/** Cards of somebody, by skill. */
export async function readCards(db: Db, person: TherapistId): Promise<ReadonlyMap<string, PracticeCard>> {
  const rows = await db.selectFrom('practice_card').selectAll().where('person_id', '=', person).execute();
  return new Map(rows.map((row) => [row.skill, cardColumn.read(row.card_json)]));
}

export async function putCard(db: Db, person: TherapistId, skill: string, card: PracticeCard): Promise<void> {
  const kept = { card_json: cardColumn.write(card), due_at: card.dueAt };
  await db
    .insertInto('practice_card')
    .values({ person_id: person, skill, ...kept })
    .onConflict((conflict) => conflict.columns(['person_id', 'skill']).doUpdateSet(kept))
    .execute();
}

/** Drills that are set and not ended, the earliest due first. */
export async function listSets(db: Db): Promise<readonly KeptSet[]> {
  const rows = await db
    .selectFrom('practice_set')
    .selectAll()
    .where('ended_at', 'is', null)
    .orderBy('due_on')
    .orderBy('id')
    .execute();
  return rows.map(toSet);
}

export async function insertSet(
  db: Db,
  set: Omit<KeptSet, 'id'> & { readonly madeBy: TherapistId; readonly madeAt: string },
): Promise<number> {
  const { id } = await db
    .insertInto('practice_set')
    .values({
      ...{ kind: set.kind, level: set.level, seed: set.seed, modality: set.modality },
      due_on: set.dueOn,
      made_by: set.madeBy,
      made_at: set.madeAt,
      ended_at: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** @returns false where there is none that has not ended */
export async function endSet(db: Db, id: number, at: string): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('practice_set')
    .set({ ended_at: at })
    .where('id', '=', id)
    .where('ended_at', 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export async function insertCourse(db: Db, person: TherapistId, of: CourseCase, at: string): Promise<number> {
  const { id } = await db
    .insertInto('practice_course')
    .values({ person_id: person, case_json: courseColumn.write(of), made_at: at })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** A course that somebody took themselves. */
export async function findCourse(db: Db, person: TherapistId, id: number): Promise<CourseCase | undefined> {
  const row = await db
    .selectFrom('practice_course')
    .select('case_json')
    .where('id', '=', id)
    .where('person_id', '=', person)
    .executeTakeFirst();
  return row && courseColumn.read(row.case_json);
}

/** All that somebody has practised, erased for good. */
export async function deletePractice(db: Db, person: TherapistId): Promise<void> {
  await db.deleteFrom('practice_answer').where('person_id', '=', person).execute();
  await db.deleteFrom('practice_session').where('person_id', '=', person).execute();
  await db.deleteFrom('practice_course').where('person_id', '=', person).execute();
  await db.deleteFrom('practice_card').where('person_id', '=', person).execute();
}
