import { tableWords } from './table.words';
import { markWords } from '../../core/table/marks';
import type { MarkKind, MarkSide } from '../../core/table/mark-kinds';
import { Kbd } from '../../ui/kbd/Kbd';
import styles from './SideAsk.module.css';

const choices: readonly { readonly side: MarkSide; readonly key: string; readonly words: string }[] = [
  { side: 'left', key: '←', words: tableWords.clientsLeft },
  { side: 'both', key: '↓', words: tableWords.both },
  { side: 'right', key: '→', words: tableWords.clientsRight },
];

/** On which side, for a mark in a step on both: one more key, within four seconds; the foot switch says left or right. */
export function SideAsk({ kind, onSide }: { readonly kind: MarkKind; readonly onSide: (side: MarkSide) => void }) {
  return (
    <div className={styles['ask']} role="group" aria-label={tableWords.whichSide(markWords[kind].name)}>
      <p role="status">{tableWords.whichSide(markWords[kind].name)}</p>
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
