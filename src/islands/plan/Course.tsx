import { closestCenter, DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { Violation } from '../../core/drainage/check';
import { ruleBook } from '../../core/drainage/rules';
import type { Step } from '../../core/drainage/step';
import {
  phasesOf,
  pressureInWords,
  repetitionsInWords,
  stepDirection,
  stepTitle,
} from '../../core/drainage/step-words';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Pebble } from '../../ui/pebble/Pebble';
import styles from './Course.module.css';
import type { PlanHandle } from './usePlan';

interface Props {
  readonly plan: PlanHandle;
  readonly selected: string | undefined;
  readonly onSelect: (id: string | undefined) => void;
}

/** The course as a list: drag a step, or move it with Alt and the arrow keys; broken rules stand where they are broken. */
export function Course({ plan, selected, onSelect }: Props) {
  const { steps, violations, move } = plan;
  const list = useRef<HTMLOListElement>(null);
  const focusAfterMove = useRef<string>(undefined);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const phases = phasesOf(steps);

  useEffect(() => {
    if (!focusAfterMove.current) return;
    list.current?.querySelector<HTMLElement>(`[data-step="${focusAfterMove.current}"]`)?.focus();
    focusAfterMove.current = undefined;
  }, [steps]);

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over) return;
    move(
      steps.findIndex((step) => step.id === active.id),
      steps.findIndex((step) => step.id === over.id),
    );
  };
  const onKeyDown = (event: KeyboardEvent, index: number) => {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const step = steps[index];
    if (event.altKey && step) {
      focusAfterMove.current = step.id;
      move(index, index + by);
    } else {
      const next = steps[index + by];
      if (next) list.current?.querySelector<HTMLElement>(`[data-step="${next.id}"]`)?.focus();
    }
  };

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis]}
      onDragEnd={onDragEnd}
      accessibility={{
        screenReaderInstructions: { draggable: 'Press Alt with the up or down arrow key to move this step.' },
      }}
    >
      <SortableContext items={steps.map((step) => step.id)} strategy={verticalListSortingStrategy}>
        <ol className={styles['course']} ref={list} aria-label="The course">
          {steps.map((step, index) => (
            <Row
              key={step.id}
              step={step}
              number={index + 1}
              heading={phases[index] === phases[index - 1] ? undefined : phases[index]}
              violations={violations.filter((v) => v.step === step.id)}
              isSelected={selected === step.id}
              isMoved={plan.movedId === step.id}
              onSelect={() => onSelect(selected === step.id ? undefined : step.id)}
              onKeyDown={(event) => onKeyDown(event, index)}
              onMend={plan.mend}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface RowProps {
  readonly step: Step;
  readonly number: number;
  readonly heading: string | undefined;
  readonly violations: readonly Violation[];
  readonly isSelected: boolean;
  readonly isMoved: boolean;
  readonly onSelect: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onMend: PlanHandle['mend'];
}

function Row({ step, number, heading, violations, isSelected, isMoved, onSelect, onKeyDown, onMend }: RowProps) {
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
          data-step={step.id}
          aria-expanded={isSelected}
          aria-describedby={worst ? `fault-${step.id}` : undefined}
          onClick={onSelect}
          onKeyDown={onKeyDown}
          {...listeners}
        >
          <Pebble kind={step.kind} number={number} size={38} pressure={step.pressure} state={worst ? 'fault' : 'due'} />
          <span className={styles['name']}>
            <strong>
              <span className="visually-hidden">{number}. </span>
              {title}
            </strong>
            <span>{isMoved && worst ? 'moved here by you' : stepDirection(anatomy, step)}</span>
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
                  {v.severity === 'warning' && <em>Advice: </em>}
                  {v.text}
                </span>
              ))}
            </p>
            {fixable && (
              <Button look="mend" onClick={() => onMend(fixable)} aria-label={`Mend ${title}`}>
                Mend <Kbd>M</Kbd>
              </Button>
            )}
          </div>
        )}
        {isSelected && (
          <div className={styles['why']}>
            <p>{step.why}</p>
            <p className={styles['soft']}>{pressureInWords(step.pressure)}</p>
            {step.cautions.map((caution) => (
              <p key={caution} className={styles['caution']}>
                {caution}
              </p>
            ))}
            <details>
              <summary>Rules behind it</summary>
              <ul>
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
