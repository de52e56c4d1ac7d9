import type { VisitId } from '../../core/ids';
import type { Insertable } from 'kysely';
import type { Db } from '../db/connection';
import type { ReminderTable } from '../db/schema/visits';

/** A visit with all that a reminder of it needs. */
export const findReminded = (db: Db, visitId: VisitId) =>
  db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .innerJoin('therapist', 'therapist.id', 'visit.therapist_id')
    .select(['visit.starts_at', 'client.phone', 'client.email', 'therapist.name as therapist'])
    .where('visit.id', '=', visitId)
    .executeTakeFirst();

export async function insertReminder(db: Db, reminder: Insertable<ReminderTable>): Promise<void> {
  await db.insertInto('reminder').values(reminder).execute();
}

export async function cancelReminders(db: Db, visitId: VisitId, now: string): Promise<void> {
  await db
    .updateTable('reminder')
    .set({ state: 'cancelled', settled_at: now })
    .where('visit_id', '=', visitId)
    .where('state', '=', 'waiting')
    .execute();
}

/** What waits first, the soonest first; then what is settled, the newest first. */
export const listReminderRows = (db: Db, limit: number) =>
  db
    .selectFrom('reminder')
    .innerJoin('visit', 'visit.id', 'reminder.visit_id')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .selectAll('reminder')
    .select('client.name as client')
    .orderBy((eb) => eb.case().when('reminder.state', 'in', ['waiting', 'failed']).then(0).else(1).end())
    .orderBy('reminder.settled_at', 'desc')
    .orderBy('reminder.due_at')
    .limit(limit)
    .execute();

export async function countReminders(db: Db, state: 'waiting' | 'failed', until: string): Promise<number> {
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

export type ReminderRow = Awaited<ReturnType<typeof listReminderRows>>[number];

export async function setWords(db: Db, id: number, words: string): Promise<void> {
  await db.updateTable('reminder').set({ words }).where('id', '=', id).execute();
}
