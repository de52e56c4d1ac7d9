import { planWords } from './plan.words';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button/Button';
import { useRefresh } from './refresh';
import type { PlanStatus } from './usePlanSaves';
import styles from './PlanNotices.module.css';

interface Props {
  /** Why the plan no longer holds; left out while it does. */
  readonly stale: string | undefined;
  readonly onPlanAgain: () => void;
  readonly status: PlanStatus;
  readonly onRetry: () => void;
  /** How many rules the order breaks. */
  readonly broken: number;
  /** Why that is kept. */
  readonly reason: string;
  readonly onMendAll: () => void;
  /** What else may be done about broken rules. */
  readonly children?: ReactNode;
}

/** What is to be known of a plan above its steps: it is stale, it could not be stored, it breaks rules. */
export function PlanNotices({ stale, onPlanAgain, status, onRetry, broken, reason, onMendAll, children }: Props) {
  const refresh = useRefresh();
  return (
    <>
      {stale !== undefined && (
        <p className={styles['notice']}>
          {stale}{' '}
          <Button look="link" onClick={onPlanAgain}>
            {planWords.planAgain}
          </Button>
        </p>
      )}
      {status.kind === 'conflict' && (
        <p className={styles['notice']} role="alert">
          {planWords.thisPlanWasSavedInAnother}{' '}
          <Button look="link" onClick={() => void refresh()}>
            {planWords.loadTheOtherOne}
          </Button>
        </p>
      )}
      {status.kind === 'trouble' && (
        <p className={styles['notice']} role="alert">
          {status.text}{' '}
          <Button look="link" onClick={onRetry}>
            {planWords.tryAgain}
          </Button>
        </p>
      )}
      {broken > 0 && (
        <div className={styles['faults']} role="status">
          <span>
            {broken === 1 ? planWords.oneRuleIsBroken : planWords.rulesAreBroken(broken)}{' '}
            {reason && planWords.keptBecause(reason)}
          </span>
          <Button look="link" onClick={onMendAll}>
            {planWords.mendAll}
          </Button>
          {children}
        </div>
      )}
    </>
  );
}
