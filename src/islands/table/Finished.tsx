import type { VisitView } from '../../contracts/visit-views';
import { formatClock } from '../../core/units';
import { keepingWords } from './keeping';
import shared from './TableView.module.css';
import styles from './Finished.module.css';
import type { Keeping } from './useEvents';

/** After the last step. */
export function Finished({
  visit,
  visitMs,
  done,
  total,
  keeping,
}: {
  readonly visit: VisitView;
  readonly visitMs: number;
  readonly done: number;
  readonly total: number;
  readonly keeping: Keeping;
}) {
  return (
    <main id="main" className={shared['finished']}>
      <h1>All done</h1>
      <p>
        {done} of {total} steps in {formatClock(visitMs / 1000)}. Let the client rest a moment; water stands ready.
      </p>
      <p className={shared['kept']} role="status">
        {keepingWords(keeping)}
      </p>
      <a className={styles['onward']} href={`/visits/${visit.id}/close`}>
        Look again and close
      </a>
    </main>
  );
}
