import { useEffect, useState } from 'react';
import { devicesWords } from './devices.words';
import styles from './Devices.module.css';
import { type Manner, openEar } from './speech';

const mostLines = 8;

interface Heard {
  readonly no: number;
  readonly text: string;
  readonly manner: Manner;
}

/** The simulated ear-bud: what a table in another window of this browser says, written down instead of said. */
export function EarPanel() {
  const [heard, setHeard] = useState<readonly Heard[]>([]);
  useEffect(
    () =>
      openEar((text, manner) =>
        setHeard((before) => [...before, { no: (before.at(-1)?.no ?? 0) + 1, text, manner }].slice(-mostLines)),
      ),
    [],
  );
  const last = heard.at(-1);
  return (
    <section className={styles['device']} aria-label={devicesWords.earBud}>
      <h2>{devicesWords.earBud}</h2>
      <p className={styles['state']} role="status">
        {last
          ? devicesWords.atPaceAndLoudness(last.manner.rate, Math.round(100 * last.manner.volume))
          : devicesWords.nothingSaidYet}
      </p>
      <p className={styles['soft']}>{devicesWords.whileThisWindowIsOpen}</p>
      <ol className={styles['heard']} aria-label={devicesWords.heard}>
        {heard.map(({ no, text }) => (
          <li key={no}>{text}</li>
        ))}
      </ol>
    </section>
  );
}
