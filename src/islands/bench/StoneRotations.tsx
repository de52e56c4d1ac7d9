import { benchWords } from './bench.words';
import { Fragment } from 'react';
import type { StoneBenchView } from '../../contracts/stone-views';
import shared from './Bench.module.css';
import styles from './StoneRotations.module.css';
import { Lanes } from './Lanes';

type VisitStones = NonNullable<StoneBenchView['visit']>;

/** Which stone serves when: of one visit, with how the first touch has to be, or of the whole day. */
export function StoneRotations({ visit, day, visits }: Pick<StoneBenchView, 'visit' | 'day' | 'visits'>) {
  return (
    <>
      {visit && <FirstTouch visit={visit} />}
      {visit && visit.rotations.length > 0 && (
        <section aria-label={benchWords.rotation}>
          <div className={shared['line']}>
            <h2>{benchWords.rotation}</h2>
            <span>
              {visit.minutes} {benchWords.minutes}{' '}
              {visit.rotations.every(({ rotation }) => rotation.feasible)
                ? benchWords.enoughStones
                : benchWords.notEnoughStones}
            </span>
          </div>
          <Lanes rotations={visit.rotations} minutes={visit.minutes} />
        </section>
      )}
      {day && (
        <section aria-label={benchWords.rotation}>
          <div className={shared['line']}>
            <h2>{benchWords.theWholeDay}</h2>
            <span>{benchWords.minutesFromOneBathForAll(day.from)}</span>
          </div>
          <Lanes rotations={day.rotations} minutes={day.minutes} />
        </section>
      )}
      {!visit && !day && (
        <section aria-label={benchWords.rotation}>
          <h2>{benchWords.theWholeDay}</h2>
          <p className={shared['soft']}>
            {visits.length === 0 ? benchWords.noVisitOfTodayTakesStones : benchWords.whichStoneServesWhenIsWorked}
            {visits.map(({ id, client, time }, i) => (
              <Fragment key={id}>
                {i > 0 && ', '}
                <a href={`/visits/${id}/plan`}>{benchWords.at(client, time)}</a>
              </Fragment>
            ))}
          </p>
        </section>
      )}
      {visit && visit.rotations.length === 0 && (
        <p className={shared['soft']}>
          {visit.noHeat || benchWords.thePlanOfThisVisitTakes}{' '}
          <a href={`/visits/${visit.id}/plan`}>{benchWords.toThePlan}</a>
        </p>
      )}
    </>
  );
}

function FirstTouch({ visit }: { readonly visit: VisitStones }) {
  if (visit.noHeat) return <p className={styles['note']}>{benchWords.noHeatToday(visit.noHeat)}</p>;
  return (
    <p className={styles['note']}>
      {benchWords.firstTouchAtGlidingAtRest(visit.moving.firstC, visit.resting.firstC, visit.moving.why.join(' '))}
    </p>
  );
}
