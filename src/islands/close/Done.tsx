import { closeWords } from './close.words';
import { anatomy } from '../../catalogue/anatomy';
import type { VisitAtWork } from '../../contracts/visit-views';
import { list } from '../../core/drainage/wording';
import { givenOf } from '../../core/table/given';
import { replay } from '../../core/table/progress';
import { titleOf } from '../../core/table/table-step';
import { formatClock } from '../../core/units';
import styles from './CloseView.module.css';

const mostNamed = 4;

/** What was done at the table, against the plan: steps, time, repetitions, what was left out. */
export function Done({ visit }: { readonly visit: VisitAtWork }) {
  const state = replay(visit.events);
  const input = givenOf(visit.plan?.steps ?? [], state, visit.events);
  if (!input) return <p className={styles['soft']}>{closeWords.nothingWasDoneAtTheTable}</p>;
  const missed = [...new Set(input.missed.map((step) => titleOf(anatomy, step).toLowerCase()))];
  const more = missed.length > mostNamed ? [closeWords.more(missed.length - mostNamed)] : [];
  return (
    <>
      <p>
        {closeWords.ofStepsInOfMin(
          input.done,
          input.planned,
          formatClock(input.seconds),
          formatClock(input.plannedSeconds),
        )}
      </p>
      {missed.length > 0 && (
        <p className={styles['soft']}>{closeWords.notGiven(list([...missed.slice(0, mostNamed), ...more]))}</p>
      )}
      {input.changed.length > 0 && (
        <p className={styles['soft']}>
          {closeWords.otherRepetitions}{' '}
          {list(
            input.changed
              .slice(0, mostNamed)
              .map(({ step, repetitions }) => `${titleOf(anatomy, step).toLowerCase()} ${repetitions}`),
          )}
          .
        </p>
      )}
      {visit.asideCount > 0 && (
        <p className={styles['soft']}>
          {visit.asideCount} {visit.asideCount === 1 ? closeWords.press : closeWords.presses}{' '}
          {closeWords.ofAnotherDeviceAreOnRecord}
        </p>
      )}
      {state.status !== 'finished' && (
        <p>
          <a href={`/visits/${visit.id}/table`}>{closeWords.theTreatmentIsNotAtIts}</a>
        </p>
      )}
    </>
  );
}
