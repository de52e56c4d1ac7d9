import { timingSafeEqual } from 'node:crypto';
import { type Attachment, simpleParser } from 'mailparser';
import { mailKeysIn, readDeliveryReport } from '../../core/messages/bounce';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { messagesAnswers } from './messages.answers';
import { changeMessage, findMailByKey } from './messages.repository';

/** Whether somebody shows the token that the environment names; without one no report is taken. */
export function mayReport(token: string, expected = process.env['VELVET_STONE_BOUNCE_TOKEN'] ?? ''): boolean {
  const [shown, known] = [Buffer.from(token), Buffer.from(expected)];
  return known.length > 0 && shown.length === known.length && timingSafeEqual(shown, known);
}

/** What became of a mail that somebody else’s mail server wrote about. */
export interface Reported {
  readonly kind: 'saved';
  /** `not-ours`: a report on something that this house did not send; `no-report`: some other mail. */
  readonly what: 'failed' | 'delayed' | 'delivered' | 'not-ours' | 'no-report';
}

/**
 * Takes a mail that came back (RFC 3462, RFC 3464), as the house's mail server got it, and notes it at the message: one
 * that failed is open again. Anything else, such as “I am away”, changes nothing.
 */
export async function takeReport(db: Db, mail: Uint8Array, now: Date): Promise<Reported> {
  const parsed = await simpleParser(Buffer.from(mail), {
    keepDeliveryStatus: true,
    skipTextToHtml: true,
    skipImageLinks: true,
  });
  const parts = parsed.attachments.map(textOf);
  const report = parsed.attachments
    .filter(({ contentType }) => contentType === 'message/delivery-status')
    .map((part) => readDeliveryReport(textOf(part)))
    .find((one) => one !== undefined);
  if (!report) return { kind: 'saved', what: 'no-report' };
  const heads = parsed.headerLines.map(({ line }) => line);
  for (const key of mailKeysIn([...heads, ...parts, parsed.text ?? ''].join('\n'))) {
    const message = await findMailByKey(db, key);
    if (!message) continue;
    // A person may have rung since, or the visit is off: only what counts as sent comes back.
    if (message.state === 'sent' && report.action !== 'delivered') {
      const hasFailed = report.action === 'failed';
      await changeMessage(db, message.id, {
        ...(hasFailed && { state: 'failed', settled_at: now.toISOString() }),
        trouble: hasFailed ? messagesAnswers.cameBack(report.why) : messagesAnswers.delayed(report.why),
      });
      await insertAudit(db, {
        ...{ at: now.toISOString(), by: null, action: 'message came back', subject: `visit ${message.visit_id}` },
      });
    }
    return { kind: 'saved', what: report.action };
  }
  return { kind: 'saved', what: 'not-ours' };
}

const textOf = (part: Attachment): string => part.content.toString('utf8');
