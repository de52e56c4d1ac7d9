import type { EarnedRow, EarnedView } from '../../contracts/earned-views';
import { capitalise } from '../../core/wording/capitalise';
import { countOf } from '../../core/wording/count';
import { formatClock, formatNumber } from '../../core/units';
import { Difference, TogetherTable } from './TogetherTable';
import styles from './Together.module.css';
import { togetherWords } from './together.words';

/** What is least sure is not listed. */
const mostRows = 12;

/** Which work went together with what changed: visits with more of it beside those with less, never as a cause. */
export function Earned({ earned }: { readonly earned: EarnedView }) {
  const { visits, leastVisits, looked, rows } = earned;
  if (visits === 0) return null;
  return (
    <section className={styles['together']} aria-label={togetherWords.title}>
      <h2>{togetherWords.title}</h2>
      {visits < leastVisits && <p>{togetherWords.moreVisitsFirst(leastVisits, visits)}</p>}
      {visits >= leastVisits && rows.length === 0 && <p>{togetherWords.nothingDiffered}</p>}
      {rows.length > 0 && (
        <>
          <p>
            {togetherWords.neverACause} {chanceText(looked)}
          </p>
          <TogetherTable label={togetherWords.title} middle={togetherWords.moreAndLess}>
            {rows.slice(0, mostRows).map((row) => (
              <tr key={`${row.work} ${row.figure}`} data-apart={row.isApart || undefined}>
                <th scope="row">{row.work}</th>
                <td>{capitalise(row.figure)}</td>
                <td>
                  {timeText(row.more)}
                  <br />
                  {timeText(row.less)}
                </td>
                <Difference row={row} />
              </tr>
            ))}
          </TogetherTable>
        </>
      )}
    </section>
  );
}

/** One in twenty comparisons stands out by chance. */
export const chanceText = (looked: number): string =>
  togetherWords.byChance(countOf(looked, 'pair'), formatNumber(looked / 20, 1));

const timeText = ({ meanSeconds, visits }: EarnedRow['more']): string =>
  togetherWords.timeOfVisits(formatClock(meanSeconds), countOf(visits, 'visit'));
