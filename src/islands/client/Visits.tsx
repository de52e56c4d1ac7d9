import { clientWords } from './client.words';
import { lazy } from 'react';
import type { HistoryEntry } from '../../contracts/client-views';
import type { ShownVolumes } from '../../core/volume-units';
import { Drawn } from '../../ui/charts/Drawn';
import shared from './ClientPage.module.css';
import styles from './Visits.module.css';

const ExcessChart = lazy(() => import('./ExcessChart'));

/** All visits as a thread, and how the swelling has changed. */
export function Visits({
  history,
  volumes,
}: {
  readonly history: readonly HistoryEntry[];
  readonly volumes: ShownVolumes;
}) {
  return (
    <>
      <div className={shared['heading']}>
        <h2>{titleOf(history, volumes)}</h2>
      </div>
      {history.filter((entry) => entry.excessMl !== null).length > 1 && (
        <Drawn className={styles['chart']}>
          <ExcessChart history={history} volumes={volumes} className={styles['chart'] ?? ''} />
        </Drawn>
      )}
      {history.length === 0 ? (
        <p className={shared['quiet']}>{clientWords.noVisitYetBookOneAnd}</p>
      ) : (
        <ol className={shared['history']}>
          {history.map((entry) => (
            <Entry key={entry.visitId} entry={entry} volumes={volumes} />
          ))}
        </ol>
      )}
    </>
  );
}

function titleOf(history: readonly HistoryEntry[], volumes: ShownVolumes): string {
  const measured = history.filter((entry) => entry.excessMl !== null);
  const [latest] = measured;
  const first = measured.at(-1);
  if (!latest || !first || latest === first || latest.excessMl === null || first.excessMl === null)
    return clientWords.visits2;
  const change = latest.excessMl - first.excessMl;
  return clientWords.overTheOtherSideThanAt(
    volumes.text(latest.excessMl),
    volumes.bare(Math.abs(change)),
    change < 0 ? 'less' : 'more',
  );
}

/** A score in words; nothing where it was not asked. */
function scoreWords(name: string, score: number | null | undefined, most: number): string {
  return score === null || score === undefined ? '' : `${name} ${score} of ${most}`;
}

function Entry({ entry, volumes }: { readonly entry: HistoryEntry; readonly volumes: ShownVolumes }) {
  const open = entry.stage !== 'done' && entry.stage !== 'stopped';
  const href = open ? `/visits/${entry.visitId}/${entry.stage}` : `/visits/${entry.visitId}/close`;
  return (
    <li data-open={open ? true : undefined}>
      <div className={shared['when']}>
        <a href={href}>{entry.date}</a>
        <span>{entry.therapist}</span>
      </div>
      <div>
        <p>
          {entry.work}
          {entry.stage === 'stopped' && clientWords.stoppedAtTheCheck}
          {open && clientWords.notClosedYet}
        </p>
        <p className={shared['quiet']}>
          {[
            entry.steps === null ? '' : clientWords.steps(entry.steps),
            scoreWords('comfort', entry.closing?.comfort, 10),
            scoreWords('redness', entry.closing?.redness, 4),
            entry.closing?.note ? `“${entry.closing.note}”` : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <div className={shared['figure']}>
        {entry.excessMl !== null && (
          <>
            <strong>{volumes.text(entry.excessMl)}</strong>
            {entry.afterExcessMl !== null && (
              <span>{clientWords.inTheVisit(volumes.signed(entry.afterExcessMl - entry.excessMl))}</span>
            )}
            {entry.change && (
              <span>
                {volumes.signed(entry.change.ml)} {clientWords.sinceBefore}{' '}
                {entry.change.beyond ? clientWords.beyond : clientWords.within} {clientWords.measuringError}
                {volumes.text(entry.change.limitMl)})
              </span>
            )}
          </>
        )}
      </div>
    </li>
  );
}
