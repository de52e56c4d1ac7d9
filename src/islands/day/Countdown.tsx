import { dayWords } from './day.words';
import type { Minutes } from '../../core/quantities';
import { useEffect, useState } from 'react';
import styles from './DayThread.module.css';

/** Minutes until a visit, or since it should have begun; nothing while it is more than two hours away. */
export function Countdown({ startsAt, now }: { readonly startsAt: string; readonly now: string }) {
  const [at, setAt] = useState(() => Date.parse(now));
  useEffect(() => {
    const tick = () => setAt(Date.now());
    tick();
    const timer = setInterval(tick, 20_000);
    return () => clearInterval(timer);
  }, []);
  const words = countdownInWords(Math.round((Date.parse(startsAt) - at) / 60_000));
  return words === '' ? null : <span className={styles['countdown']}>{words}</span>;
}

/** @param minutes until the start; negative when it is over */
export function countdownInWords(minutes: Minutes): string {
  if (minutes > 120 || minutes < -60) return '';
  if (minutes === 0) return 'now';
  return minutes > 0 ? dayWords.inMin(minutes) : dayWords.minLate(-minutes);
}
