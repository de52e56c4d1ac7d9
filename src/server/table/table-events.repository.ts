import type { ClientId, TherapistId, VisitId } from '../../core/ids';
import type { TableLead } from '../../contracts/visit-views';
import type { MarkKind } from '../../core/table/mark-kinds';
import type { TableEvent } from '../../core/table/table-event';
import type { Db } from '../db/connection';
import { changeColumn } from './table.documents';

export interface EventOrigin {
  readonly deviceId: string | null;
  /** Sent by a device that does not lead (any more): on record, but not replayed. */
  readonly isAside: boolean;
}

/** Stores events that are not there yet, in the order given; sending again changes nothing. @returns how many were new */
export async function insertEvents(
  db: Db,
  visitId: VisitId,
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
        change_json: event.change ? changeColumn.write(event.change) : null,
        mark: event.mark ?? null,
        side: event.side ?? null,
        oil: event.oil ?? null,
        drops: event.drops ?? null,
        device_id: deviceId,
        number: event.number ?? null,
        is_aside: isAside ? (1 as const) : (0 as const),
      })),
    )
    .onConflict((oc) => oc.column('id').doNothing())
    .execute();
  return results.reduce((sum, { numInsertedOrUpdatedRows = 0n }) => sum + Number(numInsertedOrUpdatedRows), 0);
}

/** When treatments came to their end at the table: visit → time; one that did not is left out. */
export async function findEndsOf(db: Db, visitIds: readonly number[]): Promise<ReadonlyMap<number, string>> {
  if (visitIds.length === 0) return new Map();
  const rows = await db
    .selectFrom('table_event')
    .select(['visit_id', 'happened_at'])
    .where('visit_id', 'in', visitIds)
    .where('kind', '=', 'finish')
    .where('is_aside', '=', 0)
    .orderBy('sequence', 'desc')
    .execute();
  return new Map(rows.map(({ visit_id, happened_at }) => [visit_id, happened_at]));
}

/** Which device leads a treatment. @returns undefined before it is begun */
export async function findLead(db: Db, visitId: VisitId): Promise<TableLead | undefined> {
  const row = await db.selectFrom('table_lead').selectAll().where('visit_id', '=', visitId).executeTakeFirst();
  return row && { deviceId: row.device_id, takenAt: row.taken_at };
}

export async function setLead(db: Db, visitId: VisitId, deviceId: string, now: string): Promise<void> {
  const row = { device_id: deviceId, taken_at: now };
  await db
    .insertInto('table_lead')
    .values({ visit_id: visitId, ...row })
    .onConflict((oc) => oc.column('visit_id').doUpdateSet(row))
    .execute();
}

/** How many presses came from devices that did not lead. */
export async function countAside(db: Db, visitId: VisitId): Promise<number> {
  const row = await db
    .selectFrom('table_event')
    .select((eb) => eb.fn.countAll<number>().as('count'))
    .where('visit_id', '=', visitId)
    .where('is_aside', '=', 1)
    .executeTakeFirstOrThrow();
  return row.count;
}

/** Visits of a client in a span of time in which drops fell straight onto the skin, with those counts. */
export async function listDropsOfClient(
  db: Db,
  clientId: ClientId,
  from: string,
  until: string,
): Promise<
  readonly { readonly visitId: VisitId; readonly startsAt: string; readonly events: readonly TableEvent[] }[]
> {
  const rows = await db
    .selectFrom('table_event')
    .innerJoin('visit', 'visit.id', 'table_event.visit_id')
    .select(['visit.id as visit', 'visit.starts_at', 'table_event.id', 'step_id', 'happened_at', 'plan_version'])
    .select(['oil', 'drops'])
    .where('visit.client_id', '=', clientId)
    .where('visit.starts_at', '>=', from)
    .where('visit.starts_at', '<=', until)
    .where('table_event.kind', '=', 'drops')
    .where('is_aside', '=', 0)
    .orderBy('table_event.sequence')
    .execute();
  const visits = new Map(rows.map(({ visit, starts_at }) => [visit, starts_at]));
  return [...visits].map(([visitId, startsAt]) => ({
    visitId,
    startsAt,
    events: rows
      .filter(({ visit }) => visit === visitId)
      .map((row) => ({
        ...{ id: row.id, kind: 'drops', stepId: row.step_id, at: row.happened_at, planVersion: row.plan_version },
        ...(row.oil === null || row.drops === null ? {} : { oil: row.oil, drops: row.drops }),
      })),
  }));
}

export async function listEvents(db: Db, visitId: VisitId): Promise<readonly TableEvent[]> {
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
    ...(row.change_json === null ? {} : { change: changeColumn.read(row.change_json) }),
    ...(row.mark === null ? {} : { mark: row.mark as MarkKind }),
    ...(row.side === null ? {} : { side: row.side }),
    ...(row.oil === null || row.drops === null ? {} : { oil: row.oil, drops: row.drops }),
  }));
}

/** The treatments that a therapist brought to their end at the table, the latest first. */
export const listLatestFinishedBy = (db: Db, therapist: TherapistId, most: number): Promise<readonly VisitId[]> =>
  latestFinished(db, 'therapist_id', therapist, most);

/** The treatments of a client that were brought to their end at the table, the latest first. */
export const listLatestFinishedOf = (db: Db, client: ClientId, most: number): Promise<readonly VisitId[]> =>
  latestFinished(db, 'client_id', client, most);

async function latestFinished(
  db: Db,
  whose: 'client_id' | 'therapist_id',
  id: number,
  most: number,
): Promise<readonly VisitId[]> {
  const rows = await finishedVisits(db)
    .select('visit.id')
    .distinct()
    .where(`visit.${whose}`, '=', id)
    .orderBy('visit.starts_at', 'desc')
    .limit(most)
    .execute();
  return rows.map(({ id: visit }) => visit);
}

/** Clients with so many treatments that were brought to their end, and more. */
export async function listClientsFinishedOften(db: Db, least: number): Promise<readonly ClientId[]> {
  const rows = await finishedVisits(db)
    .select('visit.client_id')
    .groupBy('visit.client_id')
    .having((eb) => eb.fn.count('visit.id').distinct(), '>=', least)
    .execute();
  return rows.map(({ client_id }) => client_id);
}

const finishedVisits = (db: Db) =>
  db
    .selectFrom('visit')
    .innerJoin('table_event', 'table_event.visit_id', 'visit.id')
    .where('table_event.kind', '=', 'finish')
    .where('table_event.is_aside', '=', 0);
