import { progressWords } from './progress.words';
import { format, parseISO } from 'date-fns';
import type { HomeCourse } from '../../contracts/progress-views';
import styles from './ProgressView.module.css';

const said = (day: string) => format(parseISO(day), 'd MMM');

/** What was done at home: each sheet with its share, and the last eight weeks as a row of days. */
export function AtHome({ home }: { readonly home: readonly HomeCourse[] }) {
  return (
    <section className={styles['home']} aria-label={progressWords.atHome}>
      <h2>{progressWords.atHome}</h2>
      {home.map((one) => (
        <div key={`${one.title} ${one.since}`}>
          <p>
            <strong>{one.title}</strong>
            {progressWords.since} {said(one.since)}
            {one.isEnded ? progressWords.ended : ''}: {one.done} {progressWords.of} {one.asked} {progressWords.times}
            {one.percent === null ? '' : ` (${one.percent} %)`}
          </p>
          <ol aria-label={progressWords.theLastEightWeeks(one.title)}>
            {one.days.map(({ day, times }) => (
              <li
                key={day}
                data-times={times === null ? 'none' : Math.min(times, 2)}
                title={`${said(day)}: ${times === null ? progressWords.noSheetYet : times === 0 ? progressWords.notDone : `done${times > 1 ? ` ${times} ×` : ''}`}`}
              />
            ))}
          </ol>
        </div>
      ))}
    </section>
  );
}
