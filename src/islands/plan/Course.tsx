import { planWords } from './plan.words';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { anatomy } from '../../catalogue/anatomy';
import type { RememberedView } from '../../contracts/remembered-views';
import type { Violation } from '../../core/drainage/check';
import { ruleBook } from '../../core/drainage/rules';
import {
  phasesOf,
  pressureInWords,
  repetitionsInWords,
  stepDirection,
  stepTitle,
} from '../../core/drainage/step-words';
import type { TableStep } from '../../core/table/table-step';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Pebble } from '../../ui/pebble/Pebble';
import { type Move, SortableList } from '../../ui/sortable/SortableList';
import { Taught } from '../taught/Taught';
import styles from './Course.module.css';
import type { PlanHandle } from './usePlan';

interface Props {
  readonly plan: PlanHandle;
  readonly selected: string | undefined;
  readonly onSelect: (id: string | undefined) => void;
  /** What is taught of the open step stands under it. */
  readonly isTaught: boolean;
  /** Where a step that is dragged would come to lie. */
  readonly onHover: (move: Move | undefined) => void;
  /** What hands found at earlier visits. */
  readonly remembered: readonly RememberedView[];
}

/** The course as a list: drag a step, or move it with Alt and the arrow keys; broken rules stand where they are broken. */
export function Course({ plan, selected, onSelect, isTaught, onHover, remembered }: Props) {
  const { steps, violations, move } = plan;
  const phases = phasesOf(steps);

  return (
    <SortableList
      ids={steps.map(({ id }) => id)}
      label={planWords.theCourse}
      what={planWords.step}
      className={styles['course']}
      onMove={move}
      onHover={onHover}
    >
      {steps.map((step, index) => (
        <Row
          key={step.id}
          step={step}
          number={index + 1}
          heading={phases[index] === phases[index - 1] ? undefined : phases[index]}
          violations={violations.filter((v) => v.step === step.id)}
          isSelected={selected === step.id}
          isMoved={plan.movedId === step.id}
          isTaught={isTaught}
          found={remembered.filter(({ place }) => place === step.place)}
          onSelect={() => onSelect(selected === step.id ? undefined : step.id)}
          onMend={plan.mend}
        />
      ))}
    </SortableList>
  );
}

const foundWords = (found: readonly RememberedView[]) => found.map(({ kind }) => kind).join(', ');

interface RowProps {
  readonly step: TableStep;
  readonly number: number;
  readonly heading: string | undefined;
  readonly violations: readonly Violation[];
  readonly isSelected: boolean;
  readonly isMoved: boolean;
  readonly isTaught: boolean;
  readonly found: readonly RememberedView[];
  readonly onSelect: () => void;
  readonly onMend: PlanHandle['mend'];
}

function Row({ step, number, heading, violations, isSelected, isMoved, isTaught, found, onSelect, onMend }: RowProps) {
  const { listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: step.id });
  const [worst] = violations;
  const fixable = violations.find((v) => v.fix)?.fix;
  const title = stepTitle(anatomy, step);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-dragging={isDragging ? true : undefined}
    >
      {heading && <h3 className={styles['phase']}>{heading}</h3>}
      <div
        className={styles['row']}
        data-selected={isSelected ? true : undefined}
        data-fault={worst?.severity}
        data-tone={step.kind}
      >
        <button
          type="button"
          className={styles['step']}
          data-row={step.id}
          aria-expanded={isSelected}
          aria-describedby={worst ? `fault-${step.id}` : undefined}
          onClick={onSelect}
          {...listeners}
        >
          <Pebble kind={step.kind} number={number} size={38} pressure={step.pressure} state={worst ? 'fault' : 'due'} />
          <span className={styles['name']}>
            <strong>
              <span className="visually-hidden">{number}. </span>
              {title}
            </strong>
            <span>
              {isMoved && worst ? planWords.movedHereByYou : stepDirection(anatomy, step)}
              {found.some(({ wasLastTime }) => wasLastTime) &&
                planWords.lastTimeHere(foundWords(found.filter(({ wasLastTime }) => wasLastTime)))}
            </span>
          </span>
          <span className={styles['amount']}>
            <strong>{repetitionsInWords(step)}</strong>
            <span>{formatClock(step.seconds)}</span>
          </span>
        </button>
        {worst && (
          <div className={styles['fault']}>
            <p id={`fault-${step.id}`}>
              {violations.map((v) => (
                <span key={`${v.rule} ${v.text}`}>
                  {v.severity === 'warning' && <em>{planWords.advice} </em>}
                  {v.text}
                </span>
              ))}
            </p>
            {fixable && (
              <Button look="mend" onClick={() => onMend(fixable)} aria-label={planWords.mend2(title)}>
                {planWords.mend} <Kbd>M</Kbd>
              </Button>
            )}
          </div>
        )}
        {isSelected && (
          <div className={styles['why']}>
            <p>{step.why}</p>
            {isTaught && <Taught taught={step.taught} />}
            <p className={styles['soft']}>{pressureInWords(step.pressure)}</p>
            {found.map(({ kind, what, words }) => (
              <p key={kind} className={styles['soft']}>
                {planWords.foundBefore(what, words)}
              </p>
            ))}
            {step.cautions.map((caution) => (
              <p key={caution} className={styles['caution']}>
                {caution}
              </p>
            ))}
            <details>
              <summary>{planWords.rulesBehindIt}</summary>
              <ul className="marked-list">
                {step.rules.map((rule) => (
                  <li key={rule}>
                    <code>{rule}</code> {ruleBook[rule]}
                  </li>
                ))}
              </ul>
            </details>
          </div>
        )}
      </div>
    </li>
  );
}
