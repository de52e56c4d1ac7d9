import { tableWords } from './table.words';
import type { VisitAtWork } from '../../contracts/visit-views';
import { formatClock } from '../../core/units';
import { type Keeping, keepingWords } from './keeping';
import shared from './TableView.module.css';
import styles from './Finished.module.css';

/** After the last step. */
export function Finished({
  visit,
  visitMs,
  done,
  total,
  keeping,
}: {
  readonly visit: VisitAtWork;
  readonly visitMs: number;
  readonly done: number;
  readonly total: number;
  readonly keeping: Keeping;
}) {
  return (
    <main id="main" className={shared['finished']}>
      <h1>{tableWords.allDone}</h1>
      <p>{tableWords.ofStepsInLetTheClient(done, total, formatClock(visitMs / 1000))}</p>
      <p className={shared['kept']} role="status">
        {keepingWords(keeping)}
      </p>
      <a className={styles['onward']} href={`/visits/${visit.id}/close`}>
        {tableWords.lookAgainAndClose}
      </a>
    </main>
  );
}
