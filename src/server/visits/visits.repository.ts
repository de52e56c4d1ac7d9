import type { ClientId, TherapistId, VisitId } from '../../core/ids';
import { sql } from 'kysely';
import type { VisitInput } from '../../contracts/record';
import type { StageOrEnd } from '../../contracts/people-views';
import type { CheckAnswers, CheckWording } from '../../core/visit/visit-check';
import type { Db } from '../db/connection';
import type { PlanRow, VisitRow } from '../db/schema';
import { askedColumn, checkColumn, focusColumn, holdsColumn, readyColumn, type VisitHolds } from './visit.documents';

export async function findVisit(db: Db, id: number): Promise<VisitRow | undefined> {
  return db.selectFrom('visit').selectAll().where('id', '=', id).executeTakeFirst();
}

/** Visits that start in [from, to), by time. */
export async function listVisits(
  db: Db,
  from: string,
  to: string,
): Promise<
  readonly (VisitRow & {
    readonly client_name: string;
    readonly born_on: string | null;
    readonly due_on: string | null;
  })[]
> {
  return db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .selectAll('visit')
    .select(['client.name as client_name', 'client.born_on as born_on', 'client.due_on as due_on'])
    .where('starts_at', '>=', from)
    .where('starts_at', '<', to)
    .where('cancelled_at', 'is', null)
    .orderBy('starts_at')
    .execute();
}

export async function countVisits(db: Db, from: string, to: string): Promise<number> {
  const row = await db
    .selectFrom('visit')
    .select((eb) => eb.fn.countAll<number>().as('count'))
    .where('starts_at', '>=', from)
    .where('starts_at', '<', to)
    .where('cancelled_at', 'is', null)
    .executeTakeFirstOrThrow();
  return row.count;
}

export async function listVisitsOfClient(db: Db, clientId: ClientId): Promise<readonly VisitRow[]> {
  return db
    .selectFrom('visit')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('cancelled_at', 'is', null)
    .orderBy('starts_at', 'desc')
    .execute();
}

/** How many visits their clients had before some visits, the cancelled not counted: visit → number. */
export async function countEarlierOf(db: Db, visitIds: readonly number[]): Promise<ReadonlyMap<number, number>> {
  if (visitIds.length === 0) return new Map();
  const rows = await db
    .selectFrom('visit')
    .leftJoin('visit as earlier', (join) =>
      join
        .onRef('earlier.client_id', '=', 'visit.client_id')
        .onRef('earlier.starts_at', '<', 'visit.starts_at')
        .on('earlier.cancelled_at', 'is', null),
    )
    .select((eb) => ['visit.id', eb.fn.count<number>('earlier.id').as('earlier')])
    .where('visit.id', 'in', visitIds)
    .groupBy('visit.id')
    .execute();
  return new Map(rows.map(({ id, earlier }) => [id, earlier]));
}

/** When a client was last treated before a time; null: never. */
export async function lastTreatedBefore(db: Db, clientId: ClientId, before: string): Promise<string | null> {
  const row = await db
    .selectFrom('visit')
    .select('starts_at')
    .where('client_id', '=', clientId)
    .where('starts_at', '<', before)
    .where('stage', '=', 'done')
    .where('cancelled_at', 'is', null)
    .orderBy('starts_at', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row?.starts_at ?? null;
}

/** Visits of the same client before this one, the cancelled not counted. */
export async function countEarlierVisits(db: Db, visit: VisitRow): Promise<number> {
  const row = await db
    .selectFrom('visit')
    .select((eb) => eb.fn.countAll<number>().as('count'))
    .where('client_id', '=', visit.client_id)
    .where('starts_at', '<', visit.starts_at)
    .where('cancelled_at', 'is', null)
    .executeTakeFirstOrThrow();
  return row.count;
}

export async function insertVisit(
  db: Db,
  input: Omit<VisitInput, 'holds'>,
  series: string | null = null,
): Promise<number> {
  const row = await db
    .insertInto('visit')
    .values({
      client_id: input.clientId,
      therapist_id: input.therapistId,
      starts_at: input.startsAt,
      minutes: input.minutes,
      purpose: input.purpose,
      focus_json: focusColumn.write(input.focus),
      closed_at: null,
      cancelled_at: null,
      series,
      moved_from: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

export async function setStage(db: Db, id: number, stage: StageOrEnd, closedAt: string | null = null): Promise<void> {
  await db
    .updateTable('visit')
    .set(closedAt ? { stage, closed_at: closedAt } : { stage })
    .where('id', '=', id)
    .execute();
}

/** What a visit holds, as it was booked or planned; null for drainage alone. */
export async function setHolds(db: Db, id: number, holds: VisitHolds | null): Promise<void> {
  await db
    .updateTable('visit')
    .set({ holds_json: holds === null ? '' : holdsColumn.write(holds) })
    .where('id', '=', id)
    .execute();
}

/** What of the room list is ready, by its words. */
export async function setReady(db: Db, id: number, ready: readonly string[]): Promise<void> {
  await db
    .updateTable('visit')
    .set({ ready_json: readyColumn.write(ready) })
    .where('id', '=', id)
    .execute();
}

export async function setTherapist(db: Db, id: number, therapistId: TherapistId): Promise<void> {
  await db.updateTable('visit').set({ therapist_id: therapistId }).where('id', '=', id).execute();
}

export async function latestAnswers(db: Db, visitId: VisitId): Promise<CheckAnswers> {
  const row = await db
    .selectFrom('visit_check')
    .select('answers_json')
    .where('visit_id', '=', visitId)
    .orderBy('id', 'desc')
    .executeTakeFirst();
  return row ? checkColumn.read(row.answers_json) : {};
}

export async function insertAnswers(
  db: Db,
  visitId: VisitId,
  { answers, asked }: { readonly answers: CheckAnswers; readonly asked: CheckWording },
  outcome: string,
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('visit_check')
    .values({
      visit_id: visitId,
      answers_json: checkColumn.write(answers),
      asked_json: askedColumn.write(asked),
      outcome,
      recorded_at: now,
      recorded_by: by,
    })
    .execute();
}

export async function latestPlan(db: Db, visitId: VisitId): Promise<PlanRow | undefined> {
  return db
    .selectFrom('plan')
    .selectAll()
    .where('visit_id', '=', visitId)
    .orderBy('version', 'desc')
    .executeTakeFirst();
}

/** Steps of a visit's newest plan alone: the plan itself is long. */
export async function latestSteps(db: Db, visitId: VisitId): Promise<string | undefined> {
  const row = await db
    .selectFrom('plan')
    .select('steps_json')
    .where('visit_id', '=', visitId)
    .orderBy('version', 'desc')
    .executeTakeFirst();
  return row?.steps_json;
}

/** Visit of a client → steps of its newest plan. */
export async function countStepsOfClient(db: Db, clientId: ClientId): Promise<ReadonlyMap<number, number>> {
  const rows = await db
    .selectFrom('plan')
    .innerJoin('visit', 'visit.id', 'plan.visit_id')
    .select([
      'plan.visit_id',
      sql<number>`json_array_length(coalesce(json_extract(plan.steps_json, '$.document'), plan.steps_json))`.as(
        'steps',
      ),
    ])
    .where('visit.client_id', '=', clientId)
    .orderBy('plan.version')
    .execute();
  return new Map(rows.map(({ visit_id, steps }) => [visit_id, steps]));
}

export async function insertPlan(db: Db, row: Omit<PlanRow, 'id'>): Promise<void> {
  await db.insertInto('plan').values(row).execute();
}

/** Moves a visit that has not begun, and counts the change for calendars that follow. */
export async function moveTo(
  db: Db,
  visit: VisitRow,
  { startsAt, therapistId }: { readonly startsAt: string; readonly therapistId: TherapistId },
): Promise<void> {
  await db
    .updateTable('visit')
    .set({
      starts_at: startsAt,
      therapist_id: therapistId,
      moved_from: visit.starts_at,
      sequence: visit.sequence + 1,
    })
    .where('id', '=', visit.id)
    .execute();
}

export async function setCancelled(db: Db, id: number, reason: string, now: string): Promise<void> {
  await db
    .updateTable('visit')
    .set((eb) => ({ cancelled_at: now, cancel_reason: reason, sequence: eb('sequence', '+', 1) }))
    .where('id', '=', id)
    .execute();
}

/** A cancelled visit, and those of its row that were cancelled in the same moment. */
export async function listCancelledWith(db: Db, visit: VisitRow): Promise<readonly VisitRow[]> {
  return db
    .selectFrom('visit')
    .selectAll()
    .where('cancelled_at', '=', visit.cancelled_at)
    .where((eb) => (visit.series ? eb('series', '=', visit.series) : eb('id', '=', visit.id)))
    .orderBy('starts_at')
    .execute();
}

/** It takes place after all. */
export async function unsetCancelled(db: Db, id: number): Promise<void> {
  await db
    .updateTable('visit')
    .set((eb) => ({ cancelled_at: null, cancel_reason: '', sequence: eb('sequence', '+', 1) }))
    .where('id', '=', id)
    .execute();
}

/** A visit and all later ones of its row that have not begun. */
export async function listFollowing(db: Db, visit: VisitRow): Promise<readonly number[]> {
  const rows = await db
    .selectFrom('visit')
    .select('id')
    .where('cancelled_at', 'is', null)
    .where('stage', '=', 'ask')
    .where((eb) =>
      visit.series
        ? eb.and([eb('series', '=', visit.series), eb('starts_at', '>=', visit.starts_at)])
        : eb('id', '=', visit.id),
    )
    .execute();
  return rows.map(({ id }) => id);
}

/** A therapist's visits from a day on, cancelled ones too, with whom they are for. */
export const listForCalendar = (db: Db, therapistId: TherapistId, from: string) =>
  db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .selectAll('visit')
    .select('client.name as client')
    .where('visit.therapist_id', '=', therapistId)
    .where('visit.starts_at', '>=', from)
    .orderBy('visit.starts_at')
    .limit(2000)
    .execute();

/** The last visit of a client before a time that held a treatment and was given. */
export const lastGivenTreatment = (db: Db, clientId: ClientId, before: string) =>
  db
    .selectFrom('visit')
    .select(['id', 'starts_at', 'holds_json'])
    .where('client_id', '=', clientId)
    .where('starts_at', '<', before)
    .where('holds_json', '<>', '')
    .where('stage', 'in', ['close', 'done'])
    .where('cancelled_at', 'is', null)
    .orderBy('starts_at', 'desc')
    .executeTakeFirst();

/** Visits of the same client up to the beginning of this one, as far as they count for how often work is given. */
export const listLedgerVisits = (
  db: Db,
  visit: { readonly id: number; readonly clientId: ClientId; readonly startsAt: string },
  since: string,
) =>
  db
    .selectFrom('visit')
    .select(['holds_json', 'starts_at', 'stage'])
    .where('client_id', '=', visit.clientId)
    .where('id', '!=', visit.id)
    .where('starts_at', '<=', visit.startsAt)
    .where('starts_at', '>', since)
    .where('stage', '!=', 'stopped')
    .where('cancelled_at', 'is', null)
    .execute();

/** Visits before a time whose record is not closed, the latest first. */
export const listOpenBefore = (db: Db, before: string, limit: number) =>
  db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .select(['visit.id', 'visit.stage', 'client.name', 'visit.starts_at'])
    .where('starts_at', '<', before)
    .where('cancelled_at', 'is', null)
    // Written out, so that SQLite can use the index over visits that were left open.
    .where(sql<boolean>`stage not in ('done', 'stopped')`)
    .orderBy('starts_at', 'desc')
    .limit(limit)
    .execute();
