import { markWords } from '../../core/table/marks';
import type { MarkKind, MarkSide } from '../../core/table/mark-kinds';
import { Kbd } from '../../ui/kbd/Kbd';
import styles from './SideAsk.module.css';

const choices: readonly { readonly side: MarkSide; readonly key: string; readonly words: string }[] = [
  { side: 'left', key: '←', words: 'client’s left' },
  { side: 'both', key: '↓', words: 'both' },
  { side: 'right', key: '→', words: 'client’s right' },
];

/** On which side, for a mark in a step on both: one more key, within four seconds; the foot switch says left or right. */
export function SideAsk({ kind, onSide }: { readonly kind: MarkKind; readonly onSide: (side: MarkSide) => void }) {
  return (
    <div className={styles['ask']} role="group" aria-label={`${markWords[kind].name}: which side?`}>
      <p role="status">{markWords[kind].name}: which side?</p>
      {choices.map(({ side, key, words }) => (
        <button
          key={side}
          type="button"
          data-side={side}
          onClick={(event) => {
            onSide(side);
            event.currentTarget.blur();
          }}
        >
          <Kbd>{key}</Kbd> {words}
        </button>
      ))}
    </div>
  );
}
