import type { MailView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { troubleOf } from '../db/trouble';
import { log } from '../log';
import { clockTime, longDay } from '../shared/house-clock';
import { houseMailWay, type MailWay } from './mail-way';
import { sendDueMails, type SentMails } from './send-mails';

/** What is known of the mail server since this process began. */
interface Known {
  lastAt: string | undefined;
  trouble: string;
  since: string | undefined;
}

const known: Known = { lastAt: undefined, trouble: '', since: undefined };
let round: Promise<SentMails> | undefined;

/** Hands over what is due; whoever asks while a round is under way waits for that one. */
export function sendMails(db: Db, now: Date, way: MailWay): Promise<SentMails> {
  round ??= sendDueMails(db, way, now)
    .then((done) => {
      if (done.sent > 0) known.lastAt = now.toISOString();
      if (done.trouble !== '' && known.trouble === '') log.error({ why: done.trouble }, 'no mail gets through');
      known.since = done.trouble === '' ? undefined : (known.since ?? now.toISOString());
      known.trouble = done.trouble;
      return done;
    })
    .finally(() => {
      round = undefined;
    });
  return round;
}

/** What the owner is shown of the mail server; null where none is connected. */
export function readMail(way: MailWay | undefined = houseMailWay()): MailView | null {
  if (!way) return null;
  const at = (iso: string | undefined) => (iso === undefined ? '' : `${longDay(iso)}, ${clockTime(iso)}`);
  return { server: way.server, from: way.from, last: at(known.lastAt), trouble: known.trouble, since: at(known.since) };
}

const everyMs = 20_000;

/** Looks after the mails as long as the process lives; an encrypted house that nobody has opened sends none. */
export function keepPosting(house: () => Promise<Db>, clock: () => Date = () => new Date()): void {
  const way = houseMailWay();
  if (!way) return;
  setInterval(() => {
    house()
      .then((db) => sendMails(db, clock(), way))
      .catch((error: unknown) => {
        if (troubleOf(error).kind !== 'sealed') log.error({ err: error }, 'mails could not be looked after');
      });
  }, everyMs).unref();
}
