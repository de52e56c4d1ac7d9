import { planWords } from './plan.words';
import type { VisitId } from '../../core/ids';
import type { ReactNode } from 'react';
import { Button, ButtonLink } from '../../ui/button/Button';
import type { PlanSaves } from './usePlanSaves';
import styles from './PlanActions.module.css';

interface Props {
  readonly visitId: VisitId;
  readonly saving: PlanSaves['saving'];
  readonly onUndo: () => void;
  readonly canUndo: boolean;
  /** Not to be carried out as it is, whatever is written down. */
  readonly isBlocked: boolean;
  /** Carried out only with a written reason. */
  readonly needsReason: boolean;
  readonly onAskReason: () => void;
  /** Other places to go. */
  readonly children: ReactNode;
}

/** Nothing is on its way; what is amiss is told above the steps. */
const calm: ReadonlySet<string> = new Set(['opening', 'saved']);

/** What can be done with a plan: places to go, undo, and the way to the table. */
export function PlanActions({
  visitId,
  saving: { status },
  onUndo,
  canUndo,
  isBlocked,
  needsReason,
  onAskReason,
  children,
}: Props) {
  return (
    <div className={styles['actions']}>
      {children}
      <Button look="link" onClick={onUndo} disabled={!canUndo}>
        {planWords.undo}
      </Button>
      <span role="status">
        {status.kind === 'saving' ? planWords.storing : calm.has(status.kind) ? planWords.stored : ''}
      </span>
      {isBlocked ? (
        <Button disabled>{planWords.toTheTable}</Button>
      ) : needsReason ? (
        <Button look="filled" onClick={onAskReason}>
          {planWords.toTheTable2}
        </Button>
      ) : (
        <ButtonLink look="filled" href={`/visits/${visitId}/table`}>
          {planWords.toTheTable}
        </ButtonLink>
      )}
    </div>
  );
}
