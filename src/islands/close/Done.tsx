import { anatomy } from '../../catalogue/anatomy';
import type { VisitView } from '../../contracts/visit-views';
import { titleOf } from '../../core/table/table-step';
import { clocksAt, replay } from '../../core/table/progress';
import { formatClock } from '../../core/units';
import styles from './CloseView.module.css';

/** What was done at the table, against the plan. */
export function Done({ visit }: { readonly visit: VisitView }) {
  const state = replay(visit.events);
  const steps = visit.plan?.steps ?? [];
  if (visit.events.length === 0) return <p className={styles['soft']}>Nothing was done at the table yet.</p>;
  const skipped = steps.filter((step) => state.outcomes.get(step.id)?.state === 'skipped');
  const done = steps.filter((step) => state.outcomes.get(step.id)?.state === 'done').length;
  const lastAt = Date.parse(visit.events.at(-1)?.at ?? visit.startsAt);
  return (
    <>
      <p>
        {done} of {steps.length} steps in {formatClock(clocksAt(state, lastAt).visitMs / 1000)} min.
      </p>
      {skipped.length > 0 && (
        <p className={styles['soft']}>Skipped: {skipped.map((step) => titleOf(anatomy, step)).join(', ')}.</p>
      )}
      {state.status !== 'finished' && (
        <p>
          <a href={`/visits/${visit.id}/table`}>The treatment is not at its end: back to the table</a>
        </p>
      )}
    </>
  );
}
