import { lazy } from 'react';
import type { HistoryEntry } from '../../contracts/views';
import { formatNumber, formatSigned } from '../../core/units';
import { Drawn } from '../../ui/charts/Drawn';
import styles from './ClientPage.module.css';

const ExcessChart = lazy(() => import('./ExcessChart'));

/** All visits as a thread, and how the swelling has changed. */
export function Visits({ history }: { readonly history: readonly HistoryEntry[] }) {
  return (
    <>
      <div className={styles['heading']}>
        <h2>{titleOf(history)}</h2>
      </div>
      {history.filter((entry) => entry.excessMl !== null).length > 1 && (
        <Drawn className={styles['chart']}>
          <ExcessChart history={history} className={styles['chart'] ?? ''} />
        </Drawn>
      )}
      {history.length === 0 ? (
        <p className={styles['quiet']}>No visit yet. Book one, and it will stand here.</p>
      ) : (
        <ol className={styles['history']}>
          {history.map((entry) => (
            <Entry key={entry.visitId} entry={entry} />
          ))}
        </ol>
      )}
    </>
  );
}

function titleOf(history: readonly HistoryEntry[]): string {
  const measured = history.filter((entry) => entry.excessMl !== null);
  const [latest] = measured;
  const first = measured.at(-1);
  if (!latest || !first || latest === first || latest.excessMl === null || first.excessMl === null) return 'Visits';
  const change = latest.excessMl - first.excessMl;
  return `${formatNumber(latest.excessMl)} mL over the other side, ${formatNumber(Math.abs(change))} ${change < 0 ? 'less' : 'more'} than at the first visit`;
}

/** A score in words; nothing where it was not asked. */
function scoreWords(name: string, score: number | null | undefined, most: number): string {
  return score === null || score === undefined ? '' : `${name} ${score} of ${most}`;
}

function Entry({ entry }: { readonly entry: HistoryEntry }) {
  const open = entry.stage !== 'done' && entry.stage !== 'stopped';
  const href = open
    ? `/visits/${entry.visitId}/${entry.stage === 'prepare' ? 'plan' : entry.stage}`
    : `/visits/${entry.visitId}/close`;
  return (
    <li data-open={open ? true : undefined}>
      <div className={styles['when']}>
        <a href={href}>{entry.date}</a>
        <span>{entry.therapist}</span>
      </div>
      <div>
        <p>
          {entry.work}
          {entry.stage === 'stopped' && ' · stopped at the check'}
          {open && ' · not closed yet'}
        </p>
        <p className={styles['quiet']}>
          {[
            entry.steps === null ? '' : `${entry.steps} steps`,
            scoreWords('comfort', entry.closing?.comfort, 10),
            scoreWords('redness', entry.closing?.redness, 4),
            entry.closing?.note ? `“${entry.closing.note}”` : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <div className={styles['figure']}>
        {entry.excessMl !== null && (
          <>
            <strong>{formatNumber(entry.excessMl)} mL</strong>
            {entry.afterExcessMl !== null && (
              <span>{formatSigned(entry.afterExcessMl - entry.excessMl)} mL in the visit</span>
            )}
            {entry.change && (
              <span>
                {formatSigned(entry.change.ml)} mL since before: {entry.change.beyond ? 'beyond' : 'within'} measuring
                error ({formatNumber(entry.change.limitMl)} mL)
              </span>
            )}
          </>
        )}
      </div>
    </li>
  );
}
