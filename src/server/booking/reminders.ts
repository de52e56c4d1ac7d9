import type { VisitId } from '../../core/ids';
import { addHours, subHours } from 'date-fns';
import { clientWordsOf } from '../../catalogue/client-words/client-words';
import type { ReminderView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { findHouse } from '../people/people.repository';
import { readVisitLanguage } from '../clients/read-language';
import { clockTime, clockTimeIn, longDay, longDayIn } from '../shared/house-clock';
import { countReminders, findReminded, insertReminder, listReminderRows, settle } from './reminders.repository';

/**
 * The reminder outbox: a stand-in for a service that sends texts and mails. Messages wait in it until they are due;
 * a person, or a test, sends them or lets them fail. Nothing leaves the house.
 */

/** A day before the visit, or soon when it is nearer; by text when there is a number, else by mail, else not at all. */
export async function queueReminder(db: Db, visitId: VisitId, now: Date): Promise<void> {
  const [visit, house] = await Promise.all([findReminded(db, visitId), findHouse(db)]);
  if (!visit || visit.starts_at <= now.toISOString()) return;
  const channel = visit.phone ? 'text' : visit.email ? 'mail' : undefined;
  if (!channel) return;
  const language = await readVisitLanguage(db, visitId);
  const { reminder: words } = clientWordsOf(language);
  const dayBefore = subHours(new Date(visit.starts_at), 24);
  const due = dayBefore > now ? dayBefore : addHours(now, 0);
  await insertReminder(db, {
    visit_id: visitId,
    channel,
    address: channel === 'text' ? visit.phone : visit.email,
    words: words.expected(
      house?.name ?? words.we,
      longDayIn(language, visit.starts_at),
      clockTimeIn(language, visit.starts_at),
      visit.therapist,
    ),
    due_at: due.toISOString(),
    settled_at: null,
  });
}

/** What waits first, the soonest first; then what is settled, the newest first. */
export async function listReminders(db: Db, now: Date, limit = 60): Promise<readonly ReminderView[]> {
  const rows = await listReminderRows(db, limit);
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
  return {
    due: await countReminders(db, 'waiting', now.toISOString()),
    failed: await countReminders(db, 'failed', '9999'),
  };
}

/** What the stand-in does with messages: sends all that are due, or one of them, or lets one fail. */
export async function settleReminders(
  db: Db,
  act: { readonly kind: 'send-due' } | { readonly kind: 'send' | 'fail'; readonly id: number },
  now: Date,
): Promise<number> {
  const at = now.toISOString();
  return settle(
    db,
    act.kind === 'send-due' ? { dueAt: at } : { id: act.id },
    act.kind === 'fail'
      ? { state: 'failed', settled_at: at, trouble: 'The number does not answer.' }
      : { state: 'sent', settled_at: at, trouble: '' },
  );
}
