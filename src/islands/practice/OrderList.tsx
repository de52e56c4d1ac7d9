import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Pebble } from '../../ui/pebble/Pebble';
import { SortableList } from '../../ui/sortable/SortableList';
import type { DrillProps } from './drill-props';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';
import { type QuestionStep, titleOf } from './step-title';

interface Props {
  readonly steps: readonly QuestionStep[];
  readonly label: string;
  readonly faults: DrillProps<'order'>['faults'];
  /** Undefined once it is judged: nothing moves any more. */
  readonly onMove: ((from: number, to: number) => void) | undefined;
  readonly onTakeOut: ((id: string) => void) | undefined;
}

/** Steps in an order, as the plan lists them; what is wrong with it stands at the steps that it is about. */
export function OrderList({ steps, label, faults, onMove, onTakeOut }: Props) {
  return (
    <SortableList
      ids={steps.map(({ id }) => id)}
      label={label}
      what={practiceWords.step}
      className={styles['order']}
      onMove={onMove ?? (() => undefined)}
    >
      {steps.map((step, i) => (
        <Row
          key={step.id}
          step={step}
          number={i + 1}
          faults={faults.flatMap((fault) => (fault.step === step.id ? fault.text : []))}
          onTakeOut={onTakeOut && (() => onTakeOut(step.id))}
        />
      ))}
    </SortableList>
  );
}

interface RowProps {
  readonly step: QuestionStep;
  readonly number: number;
  readonly faults: readonly string[];
  readonly onTakeOut: (() => void) | undefined;
}

function Row({ step, number, faults, onTakeOut }: RowProps) {
  const { setNodeRef, transform, transition, listeners } = useSortable({ id: step.id });
  const title = titleOf(step);
  return (
    <li
      ref={setNodeRef}
      data-wrong={faults.length > 0 || undefined}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <Pebble kind={step.label === null ? 'drain' : step.kind} number={number} size={36} />
      <button type="button" data-row={step.id} className={styles['rowTitle']} {...listeners}>
        {title}
        {faults.map((text) => (
          <small key={text}>{text}</small>
        ))}
      </button>
      {onTakeOut && (
        <button type="button" className={styles['out']} aria-label={practiceWords.takeOut(title)} onClick={onTakeOut}>
          {practiceWords.away}
        </button>
      )}
    </li>
  );
}
