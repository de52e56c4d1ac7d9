import { closeWords } from './close.words';
import { format } from 'date-fns';
import type { VisitAtWork } from '../../contracts/visit-views';
import styles from './Signed.module.css';

/** Who signed the record, and that it was corrected since. */
export function Signed({
  signatures,
  version,
}: {
  readonly signatures: VisitAtWork['signatures'];
  readonly version: number;
}) {
  const last = signatures.at(-1);
  if (!last) return null;
  return (
    <p className={styles['signed']} role="status">
      {signatures.length > 1 ? closeWords.signedTimesLast(signatures.length) : closeWords.signed} {closeWords.by}{' '}
      {last.by} {closeWords.on} {format(new Date(last.at), 'd MMMM, H:mm')}
      {closeWords.version} {last.version}.{version > last.version && closeWords.whatWasChangedSinceIsNot}
    </p>
  );
}
