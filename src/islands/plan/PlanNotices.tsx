import { planWords } from './plan.words';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button/Button';
import { useRefresh } from '../visit-head/refresh';
import { SaveLine } from '../saving/SaveLine';
import type { PlanSaves } from './usePlanSaves';
import styles from './PlanNotices.module.css';

interface Props {
  /** Why the plan no longer holds; left out while it does. */
  readonly stale: string | undefined;
  readonly onPlanAgain: () => void;
  readonly saves: Pick<PlanSaves, 'saving' | 'compare'>;
  /** How many rules the order breaks. */
  readonly broken: number;
  /** Why that is kept. */
  readonly reason: string;
  readonly onMendAll: () => void;
  /** What else may be done about broken rules. */
  readonly children?: ReactNode;
}

/** What is to be known of a plan above its steps: it is stale, it could not be stored, it breaks rules. */
export function PlanNotices({ stale, onPlanAgain, saves, broken, reason, onMendAll, children }: Props) {
  const refresh = useRefresh();
  const isTroubled = !['opening', 'saved', 'saving'].includes(saves.saving.status.kind);
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
      {isTroubled && (
        <p className={styles['notice']}>
          <SaveLine {...saves} onGivenUp={() => void refresh()} />
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
