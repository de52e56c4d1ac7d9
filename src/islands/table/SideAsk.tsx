import { tableWords } from './table.words';
import { markWords } from '../../core/table/marks';
import type { MarkKind, MarkSide } from '../../core/table/mark-kinds';
import { SideButtons } from './SideButtons';
import styles from './SideAsk.module.css';

/** On which side, for a mark in a step on both: one more key, within four seconds; the foot switch says left or right. */
export function SideAsk({ kind, onSide }: { readonly kind: MarkKind; readonly onSide: (side: MarkSide) => void }) {
  return (
    <div className={styles['ask']} role="group" aria-label={tableWords.whichSide(markWords[kind].name)}>
      <p role="status">{tableWords.whichSide(markWords[kind].name)}</p>
      <SideButtons both={tableWords.both} onSide={onSide} />
    </div>
  );
}
