import { tableWords } from './table.words';
import { useEffect } from 'react';
import type { Celsius } from '../../core/quantities';
import { useBath } from '../bench/useBath';
import styles from './TableView.module.css';

const everyMs = 5000;
const bad = ['silent', 'unreadable', 'too-hot', 'drifting', 'off'];

interface Props {
  readonly bathC: Celsius;
  /** Says it aloud, too; undefined once it is over. */
  readonly onTrouble: (words: string | undefined) => void;
}

/** While stones are worked with: says when the bath or its thermometer fails. Without the network it keeps quiet. */
export function BathWarning({ bathC, onTrouble }: Props) {
  const { bath, isLost } = useBath(bathC, everyMs);
  const isBad = bath !== undefined && bath !== null && !isLost && bad.includes(bath.reading.state);
  const words = isBad ? bath.reading.words : undefined;
  useEffect(() => {
    onTrouble(words && tableWords.stoneBathSays(words));
    return () => onTrouble(undefined);
  }, [onTrouble, words]);
  if (!isBad) return null;
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
