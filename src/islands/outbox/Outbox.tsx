import { outboxWords } from './outbox.words';
import { useState } from 'react';
import type { MailView, ReminderView } from '../../contracts/house-views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { ownMessage } from './own-message';
import styles from './Outbox.module.css';

interface Act {
  readonly kind: 'send' | 'fail';
  readonly id: number;
}

const writeWords: Readonly<Record<ReminderView['channel'], string>> = {
  text: outboxWords.writeTheText,
  mail: outboxWords.writeTheMail,
};

const stateWords: Readonly<Record<ReminderView['state'], string>> = {
  waiting: 'waits',
  sent: 'sent',
  failed: outboxWords.notDelivered,
  cancelled: outboxWords.notSent,
};

interface Props {
  readonly initial: readonly ReminderView[];
  /** The mail server that takes mails; null: every message is sent by hand. */
  readonly mail: MailView | null;
}

/** The outbox: mails go out by themselves where a mail server is connected, all else from one's own phone or mail program. */
export function Outbox({ initial, mail: firstMail }: Props) {
  const [reminders, setReminders] = useState(initial);
  const [mail, setMail] = useState(firstMail);
  const { say, toasts } = useToasts();
  const act = async (what: Act) => {
    try {
      const answer = await send('POST /api/reminders', { body: what });
      setReminders(answer.reminders);
      say(what.kind === 'fail' ? outboxWords.notedAsNotDelivered : outboxWords.notedAsSent);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const sendNow = async () => {
    try {
      const { sent, mail: newMail, reminders: now } = await send('POST /api/reminders/mails');
      setReminders(now);
      setMail(newMail);
      say(outboxWords.sentByMail(sent));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const isMailDue = reminders.some(({ state, isDue, isByItself }) => state === 'waiting' && isDue && isByItself);
  const open = reminders.filter(({ state }) => state === 'waiting' || state === 'failed');
  const settled = reminders.filter(({ state }) => state === 'sent' || state === 'cancelled');
  return (
    <>
      <main id="main" className={styles['view']}>
        <div className={styles['top']}>
          <div>
            <h1>{outboxWords.reminders}</h1>
            <p>{mail ? outboxWords.mailsGoByThemselves : outboxWords.aDayBeforeEachVisitBy}</p>
            {mail && <MailState mail={mail} />}
          </div>
          {isMailDue && <Button onClick={() => void sendNow()}>{outboxWords.sendMailsNow}</Button>}
        </div>
        <h2>{outboxWords.waiting}</h2>
        {open.length === 0 ? (
          <p className={styles['quiet']}>{outboxWords.nothingWaitsBookingAVisitPuts}</p>
        ) : (
          <ul className={styles['list']}>
            {open.map((one) => (
              <li key={one.id} data-failed={one.state === 'failed' ? true : undefined}>
                <Message one={one} />
                <div className={styles['acts']}>
                  <ButtonLink href={ownMessage(one)} aria-label={`${writeWords[one.channel]}: ${one.client}`}>
                    {writeWords[one.channel]}
                  </ButtonLink>
                  <Button
                    look="link"
                    onClick={() => void act({ kind: 'send', id: one.id })}
                    aria-label={`${outboxWords.itIsSent}: ${one.client}`}
                  >
                    {outboxWords.itIsSent}
                  </Button>
                  {one.state === 'waiting' && (
                    <Button
                      look="link"
                      onClick={() => void act({ kind: 'fail', id: one.id })}
                      aria-label={`${outboxWords.itDidNotArrive}: ${one.client}`}
                    >
                      {outboxWords.itDidNotArrive}
                    </Button>
                  )}
                </div>
              </li>
            ))}
          </ul>
        )}
        <h2>{outboxWords.settled}</h2>
        {settled.length === 0 ? (
          <p className={styles['quiet']}>{outboxWords.nothingHasBeenSentYet}</p>
        ) : (
          <ul className={styles['list']}>
            {settled.map((one) => (
              <li key={one.id} data-settled>
                <Message one={one} />
              </li>
            ))}
          </ul>
        )}
      </main>
      {toasts}
    </>
  );
}

function MailState({ mail }: { readonly mail: MailView }) {
  return mail.trouble ? (
    <p className={styles['alarm']} role="alert">
      {outboxWords.noMailGetsThrough(mail.server, mail.since, mail.trouble)}
    </p>
  ) : (
    <p>
      {outboxWords.through(mail.server)}
      {mail.last && outboxWords.lastAt(mail.last)}
    </p>
  );
}

const kindWords: Readonly<Record<ReminderView['kind'], string>> = {
  expected: outboxWords.reminder,
  booked: outboxWords.booked,
  moved: outboxWords.moved,
  cancelled: outboxWords.cancelled,
};

function Message({ one }: { readonly one: ReminderView }) {
  const state =
    one.state === 'waiting'
      ? one.isDue
        ? outboxWords.dueNow
        : outboxWords.due(one.due)
      : `${stateWords[one.state]}${one.settled ? `, ${one.settled}` : ''}`;
  return (
    <div className={styles['message']}>
      <p>
        <strong>{one.client}</strong>
        <span>{kindWords[one.kind]}</span>
        <span>
          {one.channel === 'text' ? outboxWords.textTo : outboxWords.mailTo} {one.address}
        </span>
        <span data-state={one.state} data-due={one.isDue && one.state === 'waiting' ? true : undefined}>
          {state}
        </span>
      </p>
      <blockquote>{one.words}</blockquote>
      {one.state === 'waiting' && one.isByItself && (
        <p className={styles['note']}>
          {one.nextTry ? outboxWords.triedAgain(one.trouble, one.nextTry) : outboxWords.byItself}
        </p>
      )}
      {one.state === 'waiting' && !one.isAsked && (
        <p className={styles['note']}>
          {outboxWords.notAskedYet} <a href={`/clients/${one.clientId}`}>{outboxWords.toTheRecord}</a>
        </p>
      )}
      {(one.state === 'sent' || one.state === 'cancelled') && one.trouble !== '' && (
        <p className={styles['note']}>{one.trouble}</p>
      )}
      {one.trouble !== '' && one.state === 'failed' && (
        <p className={styles['trouble']}>{outboxWords.ringTheClient(one.trouble)}</p>
      )}
    </div>
  );
}
