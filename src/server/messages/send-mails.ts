import { clientWordsOf } from '../../catalogue/client-words/client-words';
import { returnAddress } from '../../core/messages/bounce';
import { type Handing, nextTryMs } from '../../core/messages/delivery';
import type { Db } from '../db/connection';
import { composeMessage, type Message } from './compose';
import { writeInvitation } from './invitation';
import type { MailWay, OutgoingMail } from './mail-way';
import { messagesAnswers } from './messages.answers';
import { changeMessage, listMailsToSend, type MessageRow } from './messages.repository';

const mostAtOnce = 200;

export interface SentMails {
  readonly sent: number;
  /** For good. */
  readonly failed: number;
  /** Tried again later. */
  readonly later: number;
  /** Why no mail gets through at all; '' when they do. */
  readonly trouble: string;
}

/**
 * Hands over what is due, one after the other. One that is refused stays open for a person; one that is put off is tried
 * again with growing pauses; where nothing gets through, all wait and no try is counted.
 */
export async function sendDueMails(db: Db, way: MailWay, now: Date): Promise<SentMails> {
  const done = { sent: 0, failed: 0, later: 0 };
  for (const row of await listMailsToSend(db, now.toISOString(), mostAtOnce)) {
    const message = await composeMessage(db, row, now);
    if (!message || row.mail_key === null) continue;
    if (row.starts_at <= now.toISOString()) {
      await changeMessage(db, row.id, {
        ...{ state: 'cancelled', settled_at: now.toISOString(), trouble: messagesAnswers.tooLate },
      });
      continue;
    }
    const outcome = await way.hand(mailOf(message, row, row.mail_key, way, now));
    if (outcome.kind === 'closed') return { ...done, trouble: outcome.why };
    const change = afterTry(row, message, outcome, now);
    await changeMessage(db, row.id, change);
    done[change.state === 'waiting' ? 'later' : change.state] += 1;
  }
  return { ...done, trouble: '' };
}

function mailOf(message: Message, row: MessageRow, key: string, way: MailWay, now: Date): OutgoingMail {
  const { reminder: words } = clientWordsOf(message.language);
  const client = { name: row.client, address: row.address };
  return {
    to: client,
    fromName: message.house,
    returnTo: returnAddress(way.from, key),
    messageId: `<${key}@${way.from.slice(way.from.lastIndexOf('@') + 1)}>`,
    subject: message.subject,
    text: [message.words, [message.house, message.housePhone].filter(Boolean).join(', '), words.ratherNot].join('\n\n'),
    method: row.kind === 'cancelled' ? 'CANCEL' : 'REQUEST',
    invitations: message.visits.map((visit) =>
      writeInvitation(
        {
          ...{ visitId: visit.id, sequence: visit.sequence, startsAt: visit.starts_at, minutes: visit.minutes },
          isCancelled: row.kind === 'cancelled',
          summary: words.visitAt(message.house),
          house: { name: message.house, address: way.from },
          client,
        },
        now,
      ),
    ),
  };
}

function afterTry(
  row: MessageRow,
  { words }: Message,
  outcome: Exclude<Handing, { readonly kind: 'closed' }>,
  now: Date,
) {
  const tries = row.tries + 1;
  const at = now.toISOString();
  if (outcome.kind === 'sent') return { state: 'sent', settled_at: at, trouble: '', words, tries } as const;
  if (outcome.kind === 'refused')
    return { state: 'failed', settled_at: at, trouble: messagesAnswers.refused(outcome.why), tries } as const;
  const next = nextTryMs(tries, now.getTime());
  if (next === undefined)
    return { state: 'failed', settled_at: at, trouble: messagesAnswers.givenUp(tries, outcome.why), tries } as const;
  return {
    state: 'waiting',
    ...{ tries, next_try_at: new Date(next).toISOString() },
    trouble: messagesAnswers.notYet(outcome.why),
  } as const;
}
