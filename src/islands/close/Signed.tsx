import { format } from 'date-fns';
import type { VisitView } from '../../contracts/visit-views';
import styles from './Signed.module.css';

/** Who signed the record, and that it was corrected since. */
export function Signed({
  signatures,
  version,
}: {
  readonly signatures: VisitView['signatures'];
  readonly version: number;
}) {
  const last = signatures.at(-1);
  if (!last) return null;
  return (
    <p className={styles['signed']} role="status">
      {signatures.length > 1 ? `Signed ${signatures.length} times, last` : 'Signed'} by {last.by} on{' '}
      {format(new Date(last.at), 'd MMMM, H:mm')}, version {last.version}.
      {version > last.version && ' What was changed since is not signed yet.'}
    </p>
  );
}
