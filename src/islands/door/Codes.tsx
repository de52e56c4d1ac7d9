import { Button } from '../../ui/button/Button';
import styles from './Codes.module.css';
import { doorWords } from './door.words';

interface Props {
  readonly title: string;
  readonly codes: readonly string[];
  readonly whatFor: string;
  readonly onDone: () => void;
}

/** Codes that are shown this once: to be printed, or written down. */
export function Codes({ title, codes, whatFor, onDone }: Props) {
  return (
    <section className={styles['codes']} aria-label={title}>
      <h2>{title}</h2>
      <p>{whatFor}</p>
      <ol data-count={codes.length}>
        {codes.map((code) => (
          <li key={code}>
            <code>{code}</code>
          </li>
        ))}
      </ol>
      <p>{codes.length === 1 ? doorWords.shownOnceAlone : doorWords.shownOnce}</p>
      <div className={styles['buttons']}>
        <Button onClick={() => window.print()}>{doorWords.print}</Button>
        <Button look="filled" onClick={onDone}>
          {doorWords.writtenDown}
        </Button>
      </div>
    </section>
  );
}
