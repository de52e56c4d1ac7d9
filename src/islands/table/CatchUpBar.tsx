import { tableWords } from './table.words';
import type { CatchUp } from '../../core/table/refit';
import { formatClock } from '../../core/units';
import { Kbd } from '../../ui/kbd/Kbd';
import shared from './TableView.module.css';
import styles from './CatchUpBar.module.css';
import { catchUpKeys } from './useTableKeys';

interface Props {
  readonly ways: readonly CatchUp[];
  readonly isChanged: boolean;
  readonly onTake: (way: CatchUp) => void;
  readonly onUndo: () => void;
}

/** What can be done when clock and plan have drifted apart; nothing is changed unasked, and all of it can be put back. */
export function CatchUpBar({ ways, isChanged, onTake, onUndo }: Props) {
  if (ways.length === 0 && !isChanged) return null;
  return (
    <div
      className={styles['catchUp']}
      data-quiet={ways.length === 0 || undefined}
      role="status"
      aria-label={tableWords.time}
    >
      {ways.length > 0 && (
        <strong>{ways[0]?.kind === 'stretch' ? tableWords.timeIsLeft : tableWords.timeRunsShort}</strong>
      )}
      {ways.map((way) => (
        <button
          key={way.kind}
          type="button"
          className={shared['key']}
          onClick={(event) => {
            onTake(way);
            event.currentTarget.blur();
          }}
        >
          <Kbd>{catchUpKeys[way.kind]}</Kbd> {way.words}
          {saved(way)}
        </button>
      ))}
      {isChanged && (
        <button
          type="button"
          className={shared['key']}
          onClick={(event) => {
            onUndo();
            event.currentTarget.blur();
          }}
        >
          <Kbd>U</Kbd> {tableWords.asPlannedAgain}
        </button>
      )}
    </div>
  );
}

/** What it brings; running over brings nothing but peace. */
function saved({ kind, savesSeconds }: CatchUp): string {
  if (kind === 'over') return '';
  return `, ${savesSeconds >= 0 ? 'saves' : 'takes'} ${formatClock(Math.abs(savesSeconds))}`;
}
