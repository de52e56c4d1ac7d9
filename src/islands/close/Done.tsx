import { anatomy } from '../../catalogue/anatomy';
import type { VisitView } from '../../contracts/visit-views';
import { list } from '../../core/drainage/wording';
import { givenOf } from '../../core/table/given';
import { replay } from '../../core/table/progress';
import { titleOf } from '../../core/table/table-step';
import { formatClock } from '../../core/units';
import styles from './CloseView.module.css';

const mostNamed = 4;

/** What was done at the table, against the plan: steps, time, repetitions, what was left out. */
export function Done({ visit }: { readonly visit: VisitView }) {
  const state = replay(visit.events);
  const given = givenOf(visit.plan?.steps ?? [], state, visit.events);
  if (!given) return <p className={styles['soft']}>Nothing was done at the table yet.</p>;
  const missed = [...new Set(given.missed.map((step) => titleOf(anatomy, step).toLowerCase()))];
  const more = missed.length > mostNamed ? [`${missed.length - mostNamed} more`] : [];
  return (
    <>
      <p>
        {given.done} of {given.planned} steps in {formatClock(given.seconds)} of {formatClock(given.plannedSeconds)}{' '}
        min.
      </p>
      {missed.length > 0 && (
        <p className={styles['soft']}>Not given: {list([...missed.slice(0, mostNamed), ...more])}.</p>
      )}
      {given.changed.length > 0 && (
        <p className={styles['soft']}>
          Other repetitions:{' '}
          {list(
            given.changed
              .slice(0, mostNamed)
              .map(({ step, repetitions }) => `${titleOf(anatomy, step).toLowerCase()} ${repetitions}`),
          )}
          .
        </p>
      )}
      {visit.asideCount > 0 && (
        <p className={styles['soft']}>
          {visit.asideCount} {visit.asideCount === 1 ? 'press' : 'presses'} of another device are on record, and not
          counted.
        </p>
      )}
      {state.status !== 'finished' && (
        <p>
          <a href={`/visits/${visit.id}/table`}>The treatment is not at its end: back to the table</a>
        </p>
      )}
    </>
  );
}
