import { outboxWords } from './outbox.words';
import { useState } from 'react';
import type { ReminderView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import styles from './Outbox.module.css';

type Act = { readonly kind: 'send-due' } | { readonly kind: 'send' | 'fail'; readonly id: number };

const stateWords: Readonly<Record<ReminderView['state'], string>> = {
  waiting: 'waits',
  sent: 'sent',
  failed: outboxWords.notDelivered,
  cancelled: outboxWords.cancelledWithTheVisit,
};

/** The outbox of reminders: a stand-in for a message service, driven by hand. */
export function Outbox({ initial }: { readonly initial: readonly ReminderView[] }) {
  const [reminders, setReminders] = useState(initial);
  const { say, toasts } = useToasts();
  const act = async (what: Act) => {
    try {
      const answer = await send('POST /api/reminders', { body: what });
      setReminders(answer.reminders);
      const many = `${answer.settled} ${answer.settled === 1 ? 'message' : 'messages'}`;
      say(what.kind === 'fail' ? outboxWords.notedAsNotDelivered : outboxWords.sent(many));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const open = reminders.filter(({ state }) => state === 'waiting' || state === 'failed');
  const settled = reminders.filter(({ state }) => state === 'sent' || state === 'cancelled');
  const due = open.filter(({ state, isDue }) => state === 'waiting' && isDue).length;
  return (
    <>
      <main id="main" className={styles['view']}>
        <div className={styles['top']}>
          <div>
            <h1>{outboxWords.reminders}</h1>
            <p>{outboxWords.aDayBeforeEachVisitBy}</p>
          </div>
          <Button look="filled" onClick={() => void act({ kind: 'send-due' })} disabled={due === 0}>
            {outboxWords.sendTheDue(due)}
          </Button>
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
                  <Button
                    look="link"
                    onClick={() => void act({ kind: 'send', id: one.id })}
                    aria-label={`${one.state === 'failed' ? outboxWords.tryAgain : outboxWords.sendNow}: ${one.client}`}
                  >
                    {one.state === 'failed' ? outboxWords.tryAgain : outboxWords.sendNow}
                  </Button>
                  {one.state === 'waiting' && (
                    <Button
                      look="link"
                      onClick={() => void act({ kind: 'fail', id: one.id })}
                      aria-label={outboxWords.letItFail2(one.client)}
                    >
                      {outboxWords.letItFail}
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
        <span>
          {one.channel === 'text' ? outboxWords.textTo : outboxWords.mailTo} {one.address}
        </span>
        <span data-state={one.state} data-due={one.isDue && one.state === 'waiting' ? true : undefined}>
          {state}
        </span>
      </p>
      <blockquote>{one.words}</blockquote>
      {one.trouble !== '' && one.state === 'failed' && (
        <p className={styles['trouble']}>{outboxWords.ringTheClient(one.trouble)}</p>
      )}
    </div>
  );
}
