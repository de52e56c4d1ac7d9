import type { Insertable, Updateable } from 'kysely';
import type { ClientId, VisitId } from '../../core/ids';
import type { MessageKind } from '../../core/messages/kinds';
import type { Db } from '../db/connection';
import type { ReminderTable } from '../db/schema/visits';

/** A visit with all that a message on it needs. */
export const findReminded = (db: Db, visitId: VisitId) =>
  db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .innerJoin('therapist', 'therapist.id', 'visit.therapist_id')
    .select(['visit.id', 'visit.starts_at', 'visit.minutes', 'visit.sequence', 'visit.series', 'visit.cancelled_at'])
    .select(['client.name as client', 'client.phone', 'client.email', 'client.messages_by as wish'])
    .select('therapist.name as therapist')
    .where('visit.id', '=', visitId)
    .executeTakeFirst();
export type Reminded = NonNullable<Awaited<ReturnType<typeof findReminded>>>;

/** The visits of a row that are to come and stand, the next one first. */
export async function listStanding(db: Db, series: string, from: string): Promise<readonly Reminded[]> {
  const ids = await db
    .selectFrom('visit')
    .select('id')
    .where('series', '=', series)
    .where('cancelled_at', 'is', null)
    .where('starts_at', '>', from)
    .orderBy('starts_at')
    .execute();
  const all = await Promise.all(ids.map(({ id }) => findReminded(db, id)));
  return all.filter((one) => one !== undefined);
}

/** The visits of a client that are to come and stand. */
export async function listComing(db: Db, clientId: ClientId, from: string): Promise<readonly number[]> {
  const rows = await db
    .selectFrom('visit')
    .select('id')
    .where('client_id', '=', clientId)
    .where('cancelled_at', 'is', null)
    .where('stage', '=', 'ask')
    .where('starts_at', '>', from)
    .execute();
  return rows.map(({ id }) => id);
}

export async function insertMessage(db: Db, message: Insertable<ReminderTable>): Promise<void> {
  await db.insertInto('reminder').values(message).execute();
}

/** What has been put into the outbox about a visit, whatever became of it, the newest first. */
export const listMessagesOfVisit = (db: Db, visitId: VisitId) =>
  db.selectFrom('reminder').selectAll().where('visit_id', '=', visitId).orderBy('id', 'desc').execute();

/** Whether a client has been told of a visit: by a message on it, or by one on the row it belongs to. */
export async function wasTold(db: Db, { id, series }: Pick<Reminded, 'id' | 'series'>): Promise<boolean> {
  const row = await db
    .selectFrom('reminder')
    .innerJoin('visit', 'visit.id', 'reminder.visit_id')
    .select('reminder.id')
    .where('reminder.state', '=', 'sent')
    .where((eb) =>
      series === null
        ? eb('visit.id', '=', id)
        : eb.or([
            eb('visit.id', '=', id),
            eb.and([eb('visit.series', '=', series), eb('reminder.kind', '=', 'booked')]),
          ]),
    )
    .limit(1)
    .executeTakeFirst();
  return row !== undefined;
}

/** Takes what still waits about a visit out of the outbox. */
export async function dropWaiting(
  db: Db,
  visitId: VisitId,
  kinds: readonly MessageKind[],
  now: string,
): Promise<number> {
  const { numUpdatedRows } = await db
    .updateTable('reminder')
    .set({ state: 'cancelled', settled_at: now })
    .where('visit_id', '=', visitId)
    .where('kind', 'in', kinds)
    .where('state', '=', 'waiting')
    .executeTakeFirstOrThrow();
  return Number(numUpdatedRows);
}

export async function changeMessage(db: Db, id: number, change: Updateable<ReminderTable>): Promise<void> {
  await db.updateTable('reminder').set(change).where('id', '=', id).execute();
}

const withClient = (db: Db) =>
  db
    .selectFrom('reminder')
    .innerJoin('visit', 'visit.id', 'reminder.visit_id')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .selectAll('reminder')
    .select(['client.id as client_id', 'client.name as client', 'client.messages_by as wish', 'visit.starts_at']);

/** What waits first, the soonest first; then what is settled, the newest first. */
export const listMessages = (db: Db, limit: number) =>
  withClient(db)
    .orderBy((eb) => eb.case().when('reminder.state', 'in', ['waiting', 'failed']).then(0).else(1).end())
    .orderBy('reminder.settled_at', 'desc')
    .orderBy('reminder.due_at')
    .limit(limit)
    .execute();
export type MessageRow = Awaited<ReturnType<typeof listMessages>>[number];

/** Mails that are due and whose clients have agreed to them, those that wait longest first. */
export const listMailsToSend = (db: Db, now: string, limit: number): Promise<readonly MessageRow[]> =>
  withClient(db)
    .where('reminder.state', '=', 'waiting')
    .where('reminder.channel', '=', 'mail')
    .where('client.messages_by', '=', 'mail')
    .where('reminder.due_at', '<=', now)
    .where((eb) => eb.or([eb('reminder.next_try_at', 'is', null), eb('reminder.next_try_at', '<=', now)]))
    .orderBy('reminder.due_at')
    .limit(limit)
    .execute();

export const findMailByKey = (db: Db, key: string): Promise<MessageRow | undefined> =>
  withClient(db).where('reminder.mail_key', '=', key).executeTakeFirst();

export async function countMessages(db: Db, state: 'waiting' | 'failed', until: string): Promise<number> {
  const { count } = await db
    .selectFrom('reminder')
    .select((eb) => eb.fn.countAll<number>().as('count'))
    .where('state', '=', state)
    .where('due_at', '<=', until)
    .executeTakeFirstOrThrow();
  return count;
}

/** Settles one message, or all that are due. @returns how many */
export async function settle(
  db: Db,
  which: { readonly id: number } | { readonly dueAt: string },
  to: { readonly state: 'sent' | 'failed'; readonly settled_at: string; readonly trouble: string },
): Promise<number> {
  const open = db.updateTable('reminder').where('state', 'in', ['waiting', 'failed']);
  const chosen =
    'id' in which
      ? open.where('id', '=', which.id)
      : open.where('state', '=', 'waiting').where('due_at', '<=', which.dueAt);
  const result = await chosen.set(to).executeTakeFirst();
  return Number(result.numUpdatedRows);
}
