import { useState } from 'react';
import type { ReminderView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import styles from './Devices.module.css';
import { devicesWords } from './devices.words';

interface Props {
  /** Messages that are due or went wrong. */
  readonly first: { readonly due: number; readonly failed: number };
  /** The first that waits, to be let fail. */
  readonly waiting: Pick<ReminderView, 'id' | 'client'> | undefined;
}

/** The stand-in for a message service: it sends what is due, or does not deliver. Nothing leaves the house. */
export function OutboxPanel({ first, waiting: firstWaiting }: Props) {
  const [{ due, failed }, setCounts] = useState(first);
  const [waiting, setWaiting] = useState(firstWaiting);
  const [said, setSaid] = useState('');
  const act = async (body: { readonly kind: 'send-due' } | { readonly kind: 'fail'; readonly id: number }) => {
    try {
      const { settled, reminders } = await send('POST /api/reminders', { body });
      setCounts({
        due: reminders.filter(({ state, isDue }) => state === 'waiting' && isDue).length,
        failed: reminders.filter(({ state }) => state === 'failed').length,
      });
      setWaiting(reminders.find(({ state }) => state === 'waiting'));
      setSaid(body.kind === 'fail' ? devicesWords.itDidNotArrive : devicesWords.sentSoMany(settled));
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  return (
    <section className={styles['device']} aria-label={devicesWords.outboxOfReminders}>
      <h2>{devicesWords.outbox}</h2>
      <p className={styles['state']} role="status">
        {said || (
          <>
            {due === 0 ? devicesWords.nothingIsDue : devicesWords.due(due)}
            {failed > 0 && devicesWords.notDelivered(failed)}
          </>
        )}
      </p>
      <p className={styles['soft']}>{devicesWords.standsInForAMessageService}</p>
      <div className={styles['drive']}>
        <Button onClick={() => void act({ kind: 'send-due' })} disabled={due === 0}>
          {devicesWords.sendTheDue(due)}
        </Button>
        {waiting && (
          <Button onClick={() => void act({ kind: 'fail', id: waiting.id })}>
            {devicesWords.letItFail(waiting.client)}
          </Button>
        )}
      </div>
      <a href="/outbox">{devicesWords.seeTheReminders}</a>
    </section>
  );
}
