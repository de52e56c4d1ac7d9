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
  failed: 'not delivered',
  cancelled: 'cancelled with the visit',
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
      say(what.kind === 'fail' ? 'Noted as not delivered.' : `${many} sent.`);
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
            <h1>Reminders</h1>
            <p>
              A day before each visit, by text or by mail. This is a stand-in for a message service: nothing leaves the
              house; you play the service yourself.
            </p>
          </div>
          <Button look="filled" onClick={() => void act({ kind: 'send-due' })} disabled={due === 0}>
            Send the {due} due
          </Button>
        </div>
        <h2>Waiting</h2>
        {open.length === 0 ? (
          <p className={styles['quiet']}>Nothing waits. Booking a visit puts its reminder here.</p>
        ) : (
          <ul className={styles['list']}>
            {open.map((one) => (
              <li key={one.id} data-failed={one.state === 'failed' ? true : undefined}>
                <Message one={one} />
                <div className={styles['acts']}>
                  <Button
                    look="link"
                    onClick={() => void act({ kind: 'send', id: one.id })}
                    aria-label={`${one.state === 'failed' ? 'Try again' : 'Send now'}: ${one.client}`}
                  >
                    {one.state === 'failed' ? 'Try again' : 'Send now'}
                  </Button>
                  {one.state === 'waiting' && (
                    <Button
                      look="link"
                      onClick={() => void act({ kind: 'fail', id: one.id })}
                      aria-label={`Let it fail: ${one.client}`}
                    >
                      Let it fail
                    </Button>
                  )}
                </div>
              </li>
            ))}
          </ul>
        )}
        <h2>Settled</h2>
        {settled.length === 0 ? (
          <p className={styles['quiet']}>Nothing has been sent yet.</p>
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
        ? 'due now'
        : `due ${one.due}`
      : `${stateWords[one.state]}${one.settled ? `, ${one.settled}` : ''}`;
  return (
    <div className={styles['message']}>
      <p>
        <strong>{one.client}</strong>
        <span>
          {one.channel === 'text' ? 'text to' : 'mail to'} {one.address}
        </span>
        <span data-state={one.state} data-due={one.isDue && one.state === 'waiting' ? true : undefined}>
          {state}
        </span>
      </p>
      <blockquote>{one.words}</blockquote>
      {one.trouble !== '' && one.state === 'failed' && (
        <p className={styles['trouble']}>{one.trouble} Ring the client.</p>
      )}
    </div>
  );
}
