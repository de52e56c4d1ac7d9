import { lazy, Suspense, useState } from 'react';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { BodySheet } from '../../ui/body-sheet/BodySheet';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { caseMarks } from './case-marks';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';
import { titleOf } from './step-title';

const OrderList = lazy(async () => ({ default: (await import('./OrderList')).OrderList }));
const OrderAfter = lazy(async () => ({ default: (await import('./OrderAfter')).OrderAfter }));

/** Steps as pebbles that are put into their order; the body of the case beside them. */
export function OrderDrill({ question, onChange, best, faults }: DrillProps<'order'>) {
  const [order, setOrder] = useKept<readonly string[]>('order', []);
  const [chosenOrder, setChosenOrder] = useState<'best' | 'own'>();
  // What was not right is looked at in the own order, where it stands at its steps.
  const shownOrder = chosenOrder ?? (order.length > 0 && faults.length > 0 ? 'own' : 'best');
  const stepOf = new Map(question.steps.map((step) => [step.id, step]));
  const shown = best && shownOrder === 'best' ? best.order : order;
  const put = (next: readonly string[]) => {
    setOrder(next);
    onChange(next.length > 0 ? { order: next } : undefined);
  };
  const move = (from: number, to: number) => {
    const moved = order[from];
    if (moved === undefined || to < 0 || to >= order.length) return;
    const rest = order.filter((_, i) => i !== from);
    put([...rest.slice(0, to), moved, ...rest.slice(to)]);
  };
  const left = question.steps.filter(({ id }) => !shown.includes(id));
  const marks = caseMarks(question.focus, question.findings);
  return (
    <div className={styles['withBody']}>
      <BodySheet className={styles['bodyOf']} label={practiceWords.bodyOfTheCase}>
        <BodyPanel
          label={practiceWords.bodyOfTheCase}
          initial={bestDrawing([...marks.regions.keys()])}
          regions={marks.regions}
          nodes={marks.nodes}
          signs={marks.signs}
        />
      </BodySheet>
      <div className={styles['fields']}>
        {best ? (
          <Choice
            label={practiceWords.whoseOrder}
            isLabelHidden
            options={[
              { value: 'best', text: practiceWords.rightOrder },
              { value: 'own', text: practiceWords.yourOrder },
            ]}
            value={shownOrder}
            onChange={setChosenOrder}
          />
        ) : (
          <p className={styles['soft']}>
            {practiceWords.putIntoOrder} {question.hasWrongSteps && practiceWords.someMustNot}
          </p>
        )}
        {best && (
          <Suspense>
            <OrderAfter question={question} own={order} best={best.order} nodes={marks.nodes} />
          </Suspense>
        )}
        {shown.length > 0 && (
          <Suspense>
            <OrderList
              steps={shown.flatMap((id) => stepOf.get(id) ?? [])}
              label={best && shownOrder === 'best' ? practiceWords.bestWas : practiceWords.yourOrder}
              faults={shownOrder === 'own' ? faults : []}
              onMove={best ? undefined : move}
              onTakeOut={best ? undefined : (id) => put(order.filter((one) => one !== id))}
            />
          </Suspense>
        )}
        {left.length > 0 && (
          <div role="group" aria-label={practiceWords.stillToPlace} className={styles['chips']}>
            {left.map((step) => (
              <Button key={step.id} disabled={best !== undefined} onClick={() => put([...order, step.id])}>
                {titleOf(step)}
              </Button>
            ))}
          </div>
        )}
      </div>
    </div>
  );
}
