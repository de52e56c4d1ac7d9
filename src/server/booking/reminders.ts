import type { VisitId } from '../../core/ids';
import { addHours, subHours } from 'date-fns';
import { clientWordsOf } from '../../catalogue/client-words/client-words';
import type { ReminderView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { findHouse } from '../people/people.repository';
import { readVisitLanguage } from '../clients/read-language';
import { clockTime, clockTimeIn, longDay, longDayIn } from '../shared/house-clock';
import {
  countReminders,
  findReminded,
  insertReminder,
  listReminderRows,
  type ReminderRow,
  setWords,
  settle,
} from './reminders.repository';
import { bookingAnswers } from './booking.answers';

/**
 * The reminder outbox: messages wait in it until they are due. A person sends them from their own phone or mail program
 * and says so; the stand-in of a message service on the devices page does as if it had.
 */

/** A day before the visit, or soon when it is nearer; by text when there is a number, else by mail, else not at all. */
export async function queueReminder(db: Db, visitId: VisitId, now: Date): Promise<void> {
  const visit = await findReminded(db, visitId);
  if (!visit || visit.starts_at <= now.toISOString()) return;
  const channel = visit.phone ? 'text' : visit.email ? 'mail' : undefined;
  if (!channel) return;
  const dayBefore = subHours(new Date(visit.starts_at), 24);
  const due = dayBefore > now ? dayBefore : addHours(now, 0);
  await insertReminder(db, {
    visit_id: visitId,
    channel,
    address: channel === 'text' ? visit.phone : visit.email,
    words: (await messageOf(db, visitId, visit)).words,
    due_at: due.toISOString(),
    settled_at: null,
  });
}

interface Message {
  readonly subject: string;
  readonly words: string;
}

/** What the client reads, in their language as it is now. */
async function messageOf(
  db: Db,
  visitId: VisitId,
  { starts_at, therapist }: { readonly starts_at: string; readonly therapist: string },
): Promise<Message> {
  const [language, house] = await Promise.all([readVisitLanguage(db, visitId), findHouse(db)]);
  const { reminder: words } = clientWordsOf(language);
  const [day, time] = [longDayIn(language, starts_at), clockTimeIn(language, starts_at)];
  return { subject: words.subject, words: words.expected(house?.name ?? words.we, day, time, therapist) };
}

/** A message that has not gone out follows the client's language; what went out stays as it was read. */
async function messageNow(db: Db, row: Pick<ReminderRow, 'visit_id' | 'words' | 'state'>): Promise<Message> {
  const visit = isOpen(row) ? await findReminded(db, row.visit_id) : undefined;
  return visit ? messageOf(db, row.visit_id, visit) : { subject: '', words: row.words };
}

const isOpen = ({ state }: Pick<ReminderRow, 'state'>) => state === 'waiting' || state === 'failed';

/** What waits first, the soonest first; then what is settled, the newest first. */
export async function listReminders(db: Db, now: Date, limit = 60): Promise<readonly ReminderView[]> {
  const rows = await listReminderRows(db, limit);
  const messages = await Promise.all(rows.map((row) => messageNow(db, row)));
  return rows.map((row, i) => ({
    id: row.id,
    visitId: row.visit_id,
    client: row.client,
    channel: row.channel,
    address: row.address,
    ...(messages[i] ?? { subject: '', words: row.words }),
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
  if (act.kind !== 'fail')
    for (const row of await listReminderRows(db, 1000))
      if (isOpen(row)) await setWords(db, row.id, (await messageNow(db, row)).words);
  return settle(
    db,
    act.kind === 'send-due' ? { dueAt: at } : { id: act.id },
    act.kind === 'fail'
      ? { state: 'failed', settled_at: at, trouble: bookingAnswers.itDidNotArrive }
      : { state: 'sent', settled_at: at, trouble: '' },
  );
}
