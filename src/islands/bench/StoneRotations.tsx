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
        <section aria-label="Rotation">
          <div className={shared['line']}>
            <h2>Rotation</h2>
            <span>
              {visit.minutes} minutes ·{' '}
              {visit.rotations.every(({ rotation }) => rotation.feasible) ? 'enough stones' : 'not enough stones'}
            </span>
          </div>
          <Lanes rotations={visit.rotations} minutes={visit.minutes} />
        </section>
      )}
      {day && (
        <section aria-label="Rotation">
          <div className={shared['line']}>
            <h2>The whole day</h2>
            <span>minutes from {day.from}, one bath for all</span>
          </div>
          <Lanes rotations={day.rotations} minutes={day.minutes} />
        </section>
      )}
      {!visit && !day && (
        <section aria-label="Rotation">
          <h2>The whole day</h2>
          <p className={shared['soft']}>
            {visits.length === 0
              ? 'No visit of today takes stones.'
              : 'Which stone serves when is worked out as soon as a visit with stones is planned: '}
            {visits.map(({ id, client, time }, i) => (
              <Fragment key={id}>
                {i > 0 && ', '}
                <a href={`/visits/${id}/plan`}>
                  {client} at {time}
                </a>
              </Fragment>
            ))}
          </p>
        </section>
      )}
      {visit && visit.rotations.length === 0 && (
        <p className={shared['soft']}>
          {visit.noHeat || 'The plan of this visit takes no stones yet.'}{' '}
          <a href={`/visits/${visit.id}/plan`}>To the plan</a>
        </p>
      )}
    </>
  );
}

function FirstTouch({ visit }: { readonly visit: VisitStones }) {
  if (visit.noHeat) return <p className={styles['note']}>No heat today: {visit.noHeat}</p>;
  return (
    <p className={styles['note']}>
      First touch at {visit.moving.firstC}° gliding, {visit.resting.firstC}° at rest on a cloth:{' '}
      {visit.moving.why.join(' ')} Back of your hand first, turn it every second pass, light behind the knee, never on
      bone; and ask.
    </p>
  );
}
