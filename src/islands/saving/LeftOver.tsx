import { useEffect, useState } from 'react';
import { unsentPresses } from '../table/event-store';
import { writerOfPage } from './device-drafts';
import { sendLeftOver } from './left-over';
import styles from './LeftOver.module.css';
import { savingWords } from './saving.words';

const againMs = 30_000;

/** What earlier views could not send: sent from here, and to be seen as long as it is not. */
export function LeftOver() {
  const [left, setLeft] = useState<readonly string[]>([]);
  useEffect(() => {
    const writer = writerOfPage();
    if (!writer) return;
    let isHere = true;
    const look = async () => {
      const drafts = (await sendLeftOver(writer)).map(({ where }) => where);
      // Presses are sent by the table only, which knows who leads; here they are to be seen.
      const presses = (await unsentPresses(writer.owner)).map((visitId) => `/visits/${visitId}/table`);
      const elsewhere = presses.filter((where) => where !== window.location.pathname);
      if (isHere) setLeft([...drafts, ...elsewhere]);
    };
    void look();
    const timer = setInterval(() => void look(), againMs);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, []);
  const [first] = left;
  if (first === undefined) return null;
  return (
    <a href={first} className={styles['left']}>
      {savingWords.leftOver(left.length)}
    </a>
  );
}
