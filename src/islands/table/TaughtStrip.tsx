import type { Taught } from '../../core/table/table-step';
import { withoutNever } from '../taught/without-never';
import { tableWords } from './table.words';
import styles from './TaughtStrip.module.css';

interface Props {
  readonly taught: Taught | undefined;
  /** `W` puts why in their place, and them back. */
  readonly isWhyShown: boolean;
}

/** In sight all the time: what is never done in this step, and what tells the hands that it has worked. */
export function TaughtStrip({ taught, isWhyShown }: Props) {
  if (!taught) return null;
  const { never, feel, why } = taught;
  return (
    <div className={styles['strip']} role="status">
      {isWhyShown && why ? (
        <p data-whole>
          <strong>{tableWords.why}</strong> {why}
        </p>
      ) : (
        <>
          {never && (
            <p data-tone="never">
              <strong>{tableWords.never}</strong> {withoutNever(never)}
            </p>
          )}
          {feel && (
            <p>
              <strong>{tableWords.itHasWorkedWhen}</strong> {feel}
            </p>
          )}
        </>
      )}
    </div>
  );
}
