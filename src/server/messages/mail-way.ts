import { createTransport } from 'nodemailer';
import { type Handing, type HandingTrouble, outcomeOf } from '../../core/messages/delivery';
import { log } from '../log';
import { messagesAnswers } from './messages.answers';

/** A mail as it leaves the house. */
export interface OutgoingMail {
  readonly to: { readonly name: string; readonly address: string };
  readonly fromName: string;
  /** Where reports on it come back to: an address of this mail alone. */
  readonly returnTo: string;
  readonly messageId: string;
  readonly subject: string;
  readonly text: string;
  /** For the client's own calendar (RFC 5546), one of each visit. */
  readonly invitations: readonly string[];
  readonly method: 'REQUEST' | 'CANCEL';
}

/** A way by which mails leave the house. */
export interface MailWay {
  /** The house's address. */
  readonly from: string;
  /** As the owner may see it; without user and password. */
  readonly server: string;
  readonly hand: (mail: OutgoingMail) => Promise<Handing>;
}

const patienceMs = 20_000;
const longestWhy = 200;

/** A mail server (SMTP). Beyond this machine nothing is said in the clear: without TLS no mail goes out. */
export function smtpWay(address: URL, from: string): MailWay {
  const isNear = ['localhost', '127.0.0.1', '[::1]'].includes(address.hostname);
  const transport = createTransport({
    host: address.hostname.replace(/^\[|\]$/g, ''),
    port: Number(address.port || (address.protocol === 'smtps:' ? 465 : 587)),
    secure: address.protocol === 'smtps:',
    ...(isNear ? { ignoreTLS: true } : { requireTLS: true }),
    ...(address.username && {
      auth: { user: decodeURIComponent(address.username), pass: decodeURIComponent(address.password) },
    }),
    ...{ connectionTimeout: patienceMs, greetingTimeout: patienceMs, socketTimeout: patienceMs },
    // What a text says is sent as it stands, never fetched from a file or an address.
    ...{ disableFileAccess: true, disableUrlAccess: true },
  });
  return {
    from,
    server: address.host,
    async hand(mail) {
      const [only] = mail.invitations;
      const type = `text/calendar; charset=utf-8; method=${mail.method}`;
      try {
        await transport.sendMail({
          envelope: { from: mail.returnTo, to: mail.to.address },
          from: { name: mail.fromName, address: from },
          to: mail.to,
          messageId: mail.messageId,
          subject: mail.subject,
          text: mail.text,
          // Nobody’s “I am away” is answered to a mail that no person wrote.
          headers: { 'Auto-Submitted': 'auto-generated' },
          ...(mail.invitations.length === 1 && only !== undefined
            ? { icalEvent: { method: mail.method, filename: 'visit.ics', content: only } }
            : {
                attachments: mail.invitations.map((content, i) => ({
                  ...{ filename: `visit-${i + 1}.ics`, content, contentType: type },
                })),
              }),
        });
        return { kind: 'sent' };
      } catch (error) {
        return outcomeOf(troubleOf(error));
      }
    },
  };
}

/** What the library says went wrong, by where it happened. */
function troubleOf(error: unknown): HandingTrouble {
  const { code, command, responseCode, response, message } = error as Error & {
    readonly code?: string;
    readonly command?: string;
    readonly responseCode?: number;
    readonly response?: string;
  };
  const why = (response ?? message).replace(/\s+/g, ' ').slice(0, longestWhy);
  if (code === 'EENVELOPE' && command !== 'MAIL FROM') return { why, replyCode: responseCode, at: 'recipient' };
  // With no answer at all in the midst of the text, the line broke: the mail is tried again.
  if (code === 'EMESSAGE' || command === 'DATA') return { why, replyCode: responseCode, at: 'text' };
  return { why, replyCode: responseCode, at: 'line' };
}

type Environment = Readonly<Record<string, string | undefined>>;

/**
 * What the environment says of a mail server: its address and the house's own.
 * @returns undefined: none; a sentence: what is wrong with it
 */
export function readMailSettings(
  environment: Environment = process.env,
): { readonly address: URL; readonly from: string } | string | undefined {
  const server = environment['VELVET_STONE_SMTP'] ?? '';
  const from = environment['VELVET_STONE_MAIL_FROM'] ?? '';
  if (server === '' && from === '') return undefined;
  if (!URL.canParse(server) || !/^smtps?:$/.test(new URL(server).protocol)) return messagesAnswers.noServer;
  if (!/^[^\s@+]+@[^\s@]+\.[^\s@]+$/.test(from)) return messagesAnswers.noSender;
  return { address: new URL(server), from };
}

let way: { readonly is: MailWay | undefined } | undefined;

/** The mail server of this house; undefined where none is connected: messages are then sent by hand. */
export function houseMailWay(): MailWay | undefined {
  if (way) return way.is;
  const settings = readMailSettings();
  if (typeof settings === 'string') log.error({ why: settings }, 'no mail goes out');
  way = { is: settings && typeof settings !== 'string' ? smtpWay(settings.address, settings.from) : undefined };
  return way.is;
}
