import { tableWords } from './table.words';
import type { Celsius } from '../../core/quantities';
import { useBath } from '../bench/useBath';
import styles from './TableView.module.css';

const everyMs = 5000;
const bad = ['silent', 'unreadable', 'too-hot', 'drifting', 'off'];

/** While stones are worked with: says when the bath or its thermometer fails. Without the network it keeps quiet. */
export function BathWarning({ bathC }: { readonly bathC: Celsius }) {
  const { bath, isLost } = useBath(bathC, everyMs);
  if (!bath || isLost || !bad.includes(bath.reading.state)) return null;
  return (
    <p className={styles['cue']} role="alert">
      <strong>
        {tableWords.stoneBath}
        {bath.reading.bathC === null ? '' : ` ${bath.reading.bathC.toFixed(1)}°`}.
      </strong>{' '}
      {bath.reading.words}
    </p>
  );
}
