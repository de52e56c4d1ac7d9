import { tableWords } from './table.words';
import { markWords, type Mark } from '../../core/table/marks';
import type { MarkKind } from '../../core/table/mark-kinds';
import { Kbd } from '../../ui/kbd/Kbd';
import styles from './MarkBar.module.css';

/** In the order of their keys. */
const shown: readonly MarkKind[] = ['tighter', 'redness', 'tender', 'warmer', 'cooler', 'lighter', 'deeper', 'pain'];

interface Props {
  /** Of the step at hand. */
  readonly marks: readonly Mark[];
  readonly onMark: (kind: MarkKind) => void;
  readonly onStay: () => void;
  /** Only where there are two sides to compare. */
  readonly onCompare: (() => void) | undefined;
}

/** What is noted with one key, with the time and the place; those of this step are ticked. */
export function MarkBar({ marks, onMark, onStay, onCompare }: Props) {
  return (
    <div className={styles['marks']} role="group" aria-label={tableWords.marks}>
      {shown.map((kind) => {
        const isMade = marks.some((mark) => mark.kind === kind);
        return (
          <button
            key={kind}
            type="button"
            className={styles['mark']}
            data-made={isMade || undefined}
            data-pain={kind === 'pain' || undefined}
            aria-pressed={isMade}
            onClick={(event) => {
              onMark(kind);
              event.currentTarget.blur();
            }}
          >
            <Kbd>{markWords[kind].key}</Kbd> {markWords[kind].name}
            {isMade && ' ✓'}
          </button>
        );
      })}
      <button
        type="button"
        className={styles['mark']}
        onClick={(event) => {
          onStay();
          event.currentTarget.blur();
        }}
      >
        <Kbd>+</Kbd> {tableWords.stayLonger}
      </button>
      {onCompare && (
        <button
          type="button"
          className={styles['mark']}
          onClick={(event) => {
            onCompare();
            event.currentTarget.blur();
          }}
        >
          <Kbd>V</Kbd> {tableWords.compareThem}
        </button>
      )}
    </div>
  );
}
