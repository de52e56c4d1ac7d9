import type { ReminderView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { clockTime, longDay } from '../shared/house-clock';
import type { SaveRefusal } from '../shared/saving';
import { composeMessage, type Message } from './compose';
import { houseMailWay } from './mail-way';
import { messagesAnswers } from './messages.answers';
import { changeMessage, countMessages, listMessages, type MessageRow, settle } from './messages.repository';

/**
 * The outbox: messages wait in it until they are due. Mails to those who agreed go out by themselves where the house has
 * a mail server; all others a person sends from their own phone or mail program, and says so.
 */

/** What went out stays as it was read. */
async function messageNow(db: Db, row: MessageRow, now: Date): Promise<Pick<Message, 'subject' | 'words'>> {
  const message = isOpen(row) ? await composeMessage(db, row, now) : undefined;
  return message ?? { subject: '', words: row.words };
}

const isOpen = ({ state }: Pick<MessageRow, 'state'>) => state === 'waiting' || state === 'failed';

/** What waits first, the soonest first; then what is settled, the newest first. */
export async function listReminders(
  db: Db,
  now: Date,
  { limit = 60, isByItself = houseMailWay() !== undefined } = {},
): Promise<readonly ReminderView[]> {
  const rows = await listMessages(db, limit);
  const messages = await Promise.all(rows.map((row) => messageNow(db, row, now)));
  const at = (iso: string | null) => (iso === null ? '' : `${longDay(iso)}, ${clockTime(iso)}`);
  return rows.map((row, i) => ({
    ...{ id: row.id, visitId: row.visit_id, clientId: row.client_id, client: row.client },
    ...{ kind: row.kind, channel: row.channel, address: row.address },
    subject: messages[i]?.subject ?? '',
    words: messages[i]?.words ?? row.words,
    due: at(row.due_at),
    isDue: row.due_at <= now.toISOString(),
    isAsked: row.wish !== '',
    isByItself: isByItself && row.channel === 'mail' && row.wish === 'mail',
    nextTry: row.tries > 0 && row.state === 'waiting' ? at(row.next_try_at) : '',
    state: row.state,
    trouble: row.trouble,
    settled: at(row.settled_at),
  }));
}

/** How many messages are due now, and how many went wrong. */
export async function countOutbox(db: Db, now: Date): Promise<{ readonly due: number; readonly failed: number }> {
  return {
    due: await countMessages(db, 'waiting', now.toISOString()),
    failed: await countMessages(db, 'failed', '9999'),
  };
}

type Act = { readonly kind: 'send-due' } | { readonly kind: 'send' | 'fail'; readonly id: number };

/**
 * Notes what became of a message. `send-due` is what the stand-in of a message service does; it is refused where a real
 * mail server is connected: nothing is said to have gone out that has not.
 */
export async function settleReminders(
  db: Db,
  act: Act,
  now: Date,
  isConnected = houseMailWay() !== undefined,
): Promise<{ readonly kind: 'saved'; readonly settled: number } | SaveRefusal> {
  if (act.kind === 'send-due' && isConnected)
    return { kind: 'refused', errors: [{ path: 'kind', message: messagesAnswers.aRealWayIsConnected }] };
  const at = now.toISOString();
  if (act.kind !== 'fail')
    for (const row of await listMessages(db, 1000))
      if (isOpen(row) && (act.kind === 'send-due' || row.id === act.id))
        await changeMessage(db, row.id, { words: (await messageNow(db, row, now)).words });
  const settled = await settle(
    db,
    act.kind === 'send-due' ? { dueAt: at } : { id: act.id },
    act.kind === 'fail'
      ? { state: 'failed', settled_at: at, trouble: messagesAnswers.itDidNotArrive }
      : { state: 'sent', settled_at: at, trouble: '' },
  );
  return { kind: 'saved', settled };
}
