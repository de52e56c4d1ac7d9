import { importsWords } from './imports.words';
import { Button } from '../../ui/button/Button';
import styles from './imports.module.css';

interface ProgressProps {
  readonly words: string;
  readonly share: number;
  readonly onCancel: () => void;
}

/** How far something long has got, with a way to stop it. */
export function Progress({ words, share, onCancel }: ProgressProps) {
  const percent = Math.round(share * 100);
  return (
    <div className={styles['progress']}>
      <label>
        {words}, {percent} %
        <progress max={100} value={percent} />
      </label>
      <Button onClick={onCancel}>{importsWords.stop}</Button>
    </div>
  );
}
