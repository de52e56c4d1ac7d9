import { sql } from 'kysely';
import type { ClosingInput, VisitInput } from '../../contracts/record';
import type { StageOrEnd } from '../../contracts/people-views';
import type { ClosingView, TableLead } from '../../contracts/visit-views';
import type { MarkKind } from '../../core/table/marks';
import type { TableChange, TableEvent } from '../../core/table/progress';
import type { CheckAnswers } from '../../core/visit/visit-check';
import type { Db } from '../db/connection';
import type { ClosingRow, PlanRow, VisitRow } from '../db/schema';

export async function findVisit(db: Db, id: number): Promise<VisitRow | undefined> {
  return db.selectFrom('visit').selectAll().where('id', '=', id).executeTakeFirst();
}

/** Visits that start in [from, to), by time. */
export async function listVisits(
  db: Db,
  from: string,
  to: string,
): Promise<readonly (VisitRow & { readonly client_name: string; readonly born_on: string | null })[]> {
  return db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .selectAll('visit')
    .select(['client.name as client_name', 'client.born_on as born_on'])
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

export async function listVisitsOfClient(db: Db, clientId: number): Promise<readonly VisitRow[]> {
  return db
    .selectFrom('visit')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('cancelled_at', 'is', null)
    .orderBy('starts_at', 'desc')
    .execute();
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
  given: Omit<VisitInput, 'holds'>,
  series: string | null = null,
): Promise<number> {
  const row = await db
    .insertInto('visit')
    .values({
      client_id: given.clientId,
      therapist_id: given.therapistId,
      starts_at: given.startsAt,
      minutes: given.minutes,
      purpose: given.purpose,
      focus_json: JSON.stringify(given.focus),
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
export async function setHolds(db: Db, id: number, holds: object | null): Promise<void> {
  await db
    .updateTable('visit')
    .set({ holds_json: holds === null ? '' : JSON.stringify(holds) })
    .where('id', '=', id)
    .execute();
}

/** What of the room list is ready, by its words. */
export async function setReady(db: Db, id: number, ready: readonly string[]): Promise<void> {
  await db
    .updateTable('visit')
    .set({ ready_json: JSON.stringify(ready) })
    .where('id', '=', id)
    .execute();
}

export async function setTherapist(db: Db, id: number, therapistId: number): Promise<void> {
  await db.updateTable('visit').set({ therapist_id: therapistId }).where('id', '=', id).execute();
}

export async function latestAnswers(db: Db, visitId: number): Promise<CheckAnswers> {
  const row = await db
    .selectFrom('visit_check')
    .select('answers_json')
    .where('visit_id', '=', visitId)
    .orderBy('id', 'desc')
    .executeTakeFirst();
  return row ? (JSON.parse(row.answers_json) as CheckAnswers) : {};
}

export async function insertAnswers(
  db: Db,
  visitId: number,
  answers: CheckAnswers,
  outcome: string,
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('visit_check')
    .values({ visit_id: visitId, answers_json: JSON.stringify(answers), outcome, recorded_at: now, recorded_by: by })
    .execute();
}

export async function latestPlan(db: Db, visitId: number): Promise<PlanRow | undefined> {
  return db
    .selectFrom('plan')
    .selectAll()
    .where('visit_id', '=', visitId)
    .orderBy('version', 'desc')
    .executeTakeFirst();
}

/** Visit of a client → steps of its newest plan. */
export async function countStepsOfClient(db: Db, clientId: number): Promise<ReadonlyMap<number, number>> {
  const rows = await db
    .selectFrom('plan')
    .innerJoin('visit', 'visit.id', 'plan.visit_id')
    .select(['plan.visit_id', sql<number>`json_array_length(plan.steps_json)`.as('steps')])
    .where('visit.client_id', '=', clientId)
    .orderBy('plan.version')
    .execute();
  return new Map(rows.map(({ visit_id, steps }) => [visit_id, steps]));
}

/** Visit of a client → what was asked at its end, newest version. */
export async function listClosingsOfClient(db: Db, clientId: number): Promise<ReadonlyMap<number, ClosingView>> {
  const rows = await db
    .selectFrom('closing')
    .innerJoin('visit', 'visit.id', 'closing.visit_id')
    .selectAll('closing')
    .where('visit.client_id', '=', clientId)
    .orderBy('closing.version')
    .execute();
  return new Map(rows.map((row) => [row.visit_id, toClosing(row)]));
}

export async function insertPlan(db: Db, row: Omit<PlanRow, 'id'>): Promise<void> {
  await db.insertInto('plan').values(row).execute();
}

export interface EventOrigin {
  readonly deviceId: string | null;
  /** Sent by a device that does not lead (any more): on record, but not replayed. */
  readonly isAside: boolean;
}

/** Stores events that are not there yet, in the order given; sending again changes nothing. @returns how many were new */
export async function insertEvents(
  db: Db,
  visitId: number,
  events: readonly TableEvent[],
  now: string,
  { deviceId, isAside }: EventOrigin = { deviceId: null, isAside: false },
): Promise<number> {
  if (events.length === 0) return 0;
  const results = await db
    .insertInto('table_event')
    .values(
      events.map((event) => ({
        id: event.id,
        visit_id: visitId,
        kind: event.kind,
        step_id: event.stepId,
        plan_version: event.planVersion,
        happened_at: event.at,
        received_at: now,
        change_json: event.change ? JSON.stringify(event.change) : null,
        mark: event.mark ?? null,
        device_id: deviceId,
        number: event.number ?? null,
        is_aside: isAside ? (1 as const) : (0 as const),
      })),
    )
    .onConflict((oc) => oc.column('id').doNothing())
    .execute();
  return results.reduce((sum, { numInsertedOrUpdatedRows = 0n }) => sum + Number(numInsertedOrUpdatedRows), 0);
}

/** When a treatment came to its end at the table; null: it did not. */
export async function findEnd(db: Db, visitId: number): Promise<string | null> {
  const row = await db
    .selectFrom('table_event')
    .select('happened_at')
    .where('visit_id', '=', visitId)
    .where('kind', '=', 'finish')
    .where('is_aside', '=', 0)
    .orderBy('sequence')
    .executeTakeFirst();
  return row?.happened_at ?? null;
}

/** Which device leads a treatment. @returns undefined before it is begun */
export async function findLead(db: Db, visitId: number): Promise<TableLead | undefined> {
  const row = await db.selectFrom('table_lead').selectAll().where('visit_id', '=', visitId).executeTakeFirst();
  return row && { deviceId: row.device_id, takenAt: row.taken_at };
}

export async function setLead(db: Db, visitId: number, deviceId: string, now: string): Promise<void> {
  const row = { device_id: deviceId, taken_at: now };
  await db
    .insertInto('table_lead')
    .values({ visit_id: visitId, ...row })
    .onConflict((oc) => oc.column('visit_id').doUpdateSet(row))
    .execute();
}

/** Presses of devices that did not lead, oldest first. */
export async function countAside(db: Db, visitId: number): Promise<number> {
  const row = await db
    .selectFrom('table_event')
    .select((eb) => eb.fn.countAll<number>().as('count'))
    .where('visit_id', '=', visitId)
    .where('is_aside', '=', 1)
    .executeTakeFirstOrThrow();
  return row.count;
}

export async function listEvents(db: Db, visitId: number): Promise<readonly TableEvent[]> {
  const rows = await db
    .selectFrom('table_event')
    .selectAll()
    .where('visit_id', '=', visitId)
    .where('is_aside', '=', 0)
    .orderBy('sequence')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind as TableEvent['kind'],
    stepId: row.step_id,
    at: row.happened_at,
    planVersion: row.plan_version,
    ...(row.number === null ? {} : { number: row.number }),
    ...(row.change_json === null ? {} : { change: JSON.parse(row.change_json) as TableChange }),
    ...(row.mark === null ? {} : { mark: row.mark as MarkKind }),
  }));
}

/** What of a closing is kept as one document. */
type ClosingMore = Pick<ClosingInput, 'noteDoc' | 'byClient' | 'oilMl' | 'stonesUsed' | 'aftercare'>;
const noMore: ClosingMore = { noteDoc: null, byClient: [], oilMl: {}, stonesUsed: null, aftercare: null };

export function toClosing(row: ClosingRow): ClosingView {
  return {
    version: row.version,
    pressure: row.pressure as ClosingView['pressure'],
    comfort: row.comfort,
    redness: row.redness,
    rednessBefore: row.redness_before,
    fadeMinutes: row.fade_minutes,
    warmth: row.warmth,
    scent: row.scent,
    relaxationBefore: row.relaxation_before,
    relaxationAfter: row.relaxation_after,
    note: row.note,
    ...noMore,
    ...(JSON.parse(row.more_json) as Partial<ClosingMore>),
  };
}

export async function latestClosing(db: Db, visitId: number): Promise<ClosingView | undefined> {
  const row = await db
    .selectFrom('closing')
    .selectAll()
    .where('visit_id', '=', visitId)
    .orderBy('version', 'desc')
    .executeTakeFirst();
  return row && toClosing(row);
}

export async function insertClosing(
  db: Db,
  visitId: number,
  version: number,
  given: Omit<ClosingInput, keyof ClosingMore> & Partial<ClosingMore>,
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('closing')
    .values({
      visit_id: visitId,
      version,
      pressure: given.pressure,
      comfort: given.comfort,
      redness: given.redness,
      redness_before: given.rednessBefore,
      fade_minutes: given.fadeMinutes,
      warmth: given.warmth,
      scent: given.scent,
      relaxation_before: given.relaxationBefore,
      relaxation_after: given.relaxationAfter,
      note: given.note,
      recorded_at: now,
      recorded_by: by,
      more_json: JSON.stringify(moreOf({ ...noMore, ...given })),
    })
    .execute();
}

const moreOf = ({ noteDoc, byClient, oilMl, stonesUsed, aftercare }: ClosingMore): ClosingMore => ({
  ...{ noteDoc, byClient, oilMl, stonesUsed, aftercare },
});

export interface SignatureRecord {
  readonly version: number;
  readonly therapistId: number | null;
  readonly signedAt: string;
}

/** Who signed the record of a visit, and which version of it; oldest first. */
export async function listSignatures(db: Db, visitId: number): Promise<readonly SignatureRecord[]> {
  const rows = await db.selectFrom('signature').selectAll().where('visit_id', '=', visitId).orderBy('id').execute();
  return rows.map((row) => ({
    ...{ version: row.closing_version, therapistId: row.therapist_id, signedAt: row.signed_at },
  }));
}

export async function insertSignature(db: Db, visitId: number, given: SignatureRecord): Promise<void> {
  await db
    .insertInto('signature')
    .values({
      ...{ visit_id: visitId, closing_version: given.version },
      ...{ therapist_id: given.therapistId, signed_at: given.signedAt },
    })
    .execute();
}

export async function insertAudit(
  db: Db,
  entry: {
    readonly at: string;
    readonly by: number | null;
    readonly action: string;
    readonly subject: string;
    readonly detail?: string;
  },
): Promise<void> {
  await db
    .insertInto('audit')
    .values({
      at: entry.at,
      therapist_id: entry.by,
      action: entry.action,
      subject: entry.subject,
      detail: entry.detail ?? '',
    })
    .execute();
}
