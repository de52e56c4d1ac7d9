import { z } from 'zod';
import { MailView, ReminderView } from '../house-views';
import { ReminderInput } from '../record';
import { Key, post, saved } from './route';

const reminders = z.array(ReminderView).readonly();

export const messageRoutes = {
  settleReminders: post('/api/reminders', {
    who: 'assistant',
    what: 'reminder',
    summary:
      'Notes that a message went out or did not arrive; `send-due` has the stand-in send all that are due, and is refused where a mail server is connected.',
    body: ReminderInput,
    answer: saved({ settled: z.number(), reminders }),
  }),
  sendMails: post('/api/reminders/mails', {
    who: 'assistant',
    what: 'reminder',
    summary: 'Hands over the mails that are due to the mail server now, instead of within the next seconds.',
    answer: saved({
      ...{ sent: z.number(), failed: z.number(), later: z.number() },
      ...{ mail: MailView.nullable(), reminders },
    }),
  }),
  takeReport: post('/api/mail/reports/{token}', {
    who: 'everybody',
    mostPerMinute: 120,
    what: 'mailbox',
    summary:
      'Takes a report on a mail that could not be delivered (RFC 3464), as the mail server got it; the address itself is the secret.',
    params: { token: Key },
    body: { bytes: { most: 2_000_000, what: 'The mail as it came, message/rfc822.' } },
    answer: saved({ what: z.enum(['failed', 'delayed', 'delivered', 'not-ours', 'no-report']) }),
    audit: ['message came back'],
  }),
} as const;
