import { addHours, subHours } from 'date-fns';
import type { ReminderView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { clockTime, longDay } from '../shared/house-clock';

/**
 * The reminder outbox: a stand-in for a service that sends texts and mails. Messages wait in it until they are due;
 * a person, or a test, sends them or lets them fail. Nothing leaves the house.
 */

/** A day before the visit, or soon when it is nearer; by text when there is a number, else by mail, else not at all. */
export async function queueReminder(db: Db, visitId: number, now: Date): Promise<void> {
  const visit = await db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .innerJoin('therapist', 'therapist.id', 'visit.therapist_id')
    .select(['visit.starts_at', 'client.phone', 'client.email', 'therapist.name as therapist'])
    .where('visit.id', '=', visitId)
    .executeTakeFirst();
  const house = await db.selectFrom('house').select('name').executeTakeFirst();
  if (!visit || visit.starts_at <= now.toISOString()) return;
  const channel = visit.phone ? 'text' : visit.email ? 'mail' : undefined;
  if (!channel) return;
  const dayBefore = subHours(new Date(visit.starts_at), 24);
  const due = dayBefore > now ? dayBefore : addHours(now, 0);
  await db
    .insertInto('reminder')
    .values({
      visit_id: visitId,
      channel,
      address: channel === 'text' ? visit.phone : visit.email,
      words: `${house?.name ?? 'We'}: we expect you on ${longDay(visit.starts_at)} at ${clockTime(visit.starts_at)}, with ${visit.therapist}. If you feel feverish or unwell, please ring us first.`,
      due_at: due.toISOString(),
      settled_at: null,
    })
    .execute();
}

export async function cancelReminders(db: Db, visitId: number, now: string): Promise<void> {
  await db
    .updateTable('reminder')
    .set({ state: 'cancelled', settled_at: now })
    .where('visit_id', '=', visitId)
    .where('state', '=', 'waiting')
    .execute();
}

/** What waits first, the soonest first; then what is settled, the newest first. */
export async function listReminders(db: Db, now: Date, limit = 60): Promise<readonly ReminderView[]> {
  const rows = await db
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
  return rows.map((row) => ({
    id: row.id,
    visitId: row.visit_id,
    client: row.client,
    channel: row.channel,
    address: row.address,
    words: row.words,
    due: `${longDay(row.due_at)}, ${clockTime(row.due_at)}`,
    isDue: row.due_at <= now.toISOString(),
    state: row.state,
    trouble: row.trouble,
    settled: row.settled_at === null ? '' : `${longDay(row.settled_at)}, ${clockTime(row.settled_at)}`,
  }));
}

/** How many messages are due now, and how many went wrong. */
export async function countOutbox(db: Db, now: Date): Promise<{ readonly due: number; readonly failed: number }> {
  const count = async (state: 'waiting' | 'failed', until: string) =>
    (
      await db
        .selectFrom('reminder')
        .select((eb) => eb.fn.countAll<number>().as('count'))
        .where('state', '=', state)
        .where('due_at', '<=', until)
        .executeTakeFirstOrThrow()
    ).count;
  return { due: await count('waiting', now.toISOString()), failed: await count('failed', '9999') };
}

/** What the stand-in does with messages: sends all that are due, or one of them, or lets one fail. */
export async function settleReminders(
  db: Db,
  act: { readonly kind: 'send-due' } | { readonly kind: 'send' | 'fail'; readonly id: number },
  now: Date,
): Promise<number> {
  const at = now.toISOString();
  let query = db.updateTable('reminder').where('state', 'in', ['waiting', 'failed']);
  query =
    act.kind === 'send-due'
      ? query.where('state', '=', 'waiting').where('due_at', '<=', at)
      : query.where('id', '=', act.id);
  const result = await query
    .set(
      act.kind === 'fail'
        ? { state: 'failed', settled_at: at, trouble: 'The number does not answer.' }
        : { state: 'sent', settled_at: at, trouble: '' },
    )
    .executeTakeFirst();
  return Number(result.numUpdatedRows);
}
