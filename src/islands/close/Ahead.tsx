import type { CloseView } from '../../contracts/visit-views';
import { closeWords } from './close.words';
import styles from './Ahead.module.css';

interface Props {
  readonly ahead: NonNullable<CloseView['ahead']>;
  readonly clientId: number;
}

/** How often is often enough, in short: said where the next visit is booked, never without its range. */
export function Ahead({ ahead, clientId }: Props) {
  const { limb, words, plateau, rows } = ahead;
  return (
    <section className={styles['ahead']} aria-label={closeWords.theCourseAheadOf(limb)}>
      <h3>{closeWords.theCourseAheadOf(limb)}</h3>
      <p>{words}</p>
      {plateau && <p role="note">{plateau}</p>}
      {rows.length > 0 && (
        <>
          <p>{closeWords.excessInTwelveWeeks}</p>
          <ul>
            {rows.map(({ every, visits, comesTo }) => (
              <li key={every}>
                <strong>{closeWords.aVisitEvery(every)}</strong> {closeWords.visitsOf(visits)}
                <br />
                {comesTo}
              </li>
            ))}
          </ul>
        </>
      )}
      <p>
        {closeWords.anEstimate} <a href={`/clients/${clientId}/progress`}>{closeWords.moreOnProgress}</a>
      </p>
    </section>
  );
}
