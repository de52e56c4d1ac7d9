import { closestCenter, DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { BlockView } from '../../contracts/treatment-views';
import { type TableStep, timesOf, titleOf } from '../../core/table/table-step';
import { formatClock } from '../../core/units';
import type { TreatmentHandle } from './useTreatment';
import styles from './Treatment.module.css';

interface Props {
  readonly handle: TreatmentHandle;
  readonly selected: string | undefined;
  readonly onSelect: (id: string | undefined) => void;
}

/** The parts of the treatment in their order: drag one, or move it with Alt and the arrow keys. */
export function BlockList({ handle, selected, onSelect }: Props) {
  const { treatment, plan, move, blocks } = handle;
  const list = useRef<HTMLOListElement>(null);
  const focusAfter = useRef<string>(undefined);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const steps = new Map(plan.steps.map((step) => [step.id, step]));
  useEffect(() => {
    if (!focusAfter.current) return;
    list.current?.querySelector<HTMLElement>(`[data-block="${focusAfter.current}"]`)?.focus();
    focusAfter.current = undefined;
  }, [blocks]);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over) return;
    const at = (id: unknown) => blocks.findIndex((block) => block.id === id);
    move(at(active.id), at(over.id));
  };
  const onKeyDown = (event: KeyboardEvent, index: number) => {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    const block = blocks[index];
    if (by === 0 || !block) return;
    event.preventDefault();
    if (event.altKey) {
      focusAfter.current = block.id;
      move(index, index + by);
      return;
    }
    const next = blocks[index + by];
    if (next) list.current?.querySelector<HTMLElement>(`[data-block="${next.id}"]`)?.focus();
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis]}
      onDragEnd={onDragEnd}
      accessibility={{
        screenReaderInstructions: { draggable: 'Press Alt with the up or down arrow key to move this part.' },
      }}
    >
      <SortableContext items={blocks.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className={styles['blocks']} ref={list} aria-label="The treatment">
          {blocks.map((block, index) => (
            <Block
              key={block.id}
              block={block}
              number={index + 1}
              steps={block.steps.flatMap((id) => steps.get(id) ?? [])}
              faults={[...treatment.faults, ...treatment.conflicts]
                .filter(({ then }) => then === block.id)
                .map(({ message, severity }) => ({ message, severity }))
                .concat(treatment.stepFaults.filter((fault) => fault.block === block.id))}
              isOpen={selected === block.id}
              onToggle={() => onSelect(selected === block.id ? undefined : block.id)}
              onKeyDown={(event) => onKeyDown(event, index)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface BlockProps {
  readonly block: BlockView;
  readonly number: number;
  readonly steps: readonly TableStep[];
  readonly faults: readonly { readonly message: string; readonly severity: string }[];
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

function Block({ block, number, steps, faults, isOpen, onToggle, onKeyDown }: BlockProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: block.id });
  const setup = block.changes.reduce((sum, { seconds }) => sum + seconds, 0);
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }}>
      {block.changeWords.length > 0 && (
        <p className={styles['change']}>
          <span>{block.changeWords.join(' ')}</span>
          <strong>{formatClock(setup)}</strong>
        </p>
      )}
      <button
        type="button"
        {...attributes}
        {...listeners}
        role="button"
        data-block={block.id}
        aria-expanded={isOpen}
        className={styles['block']}
        data-fault={faults.some(({ severity }) => severity === 'error') || undefined}
        onClick={onToggle}
        onKeyDown={onKeyDown}
      >
        <span className={styles['number']}>{number}</span>
        <span className={styles['name']}>
          <strong>{block.name}</strong>
          <small>
            {block.of} · {steps.length} {steps.length === 1 ? 'step' : 'steps'}
          </small>
        </span>
        <span className={styles['clock']}>
          {formatClock(block.seconds - setup)}
          <small>from {formatClock(block.startsAt + setup)}</small>
        </span>
      </button>
      {faults.map(({ message, severity }) => (
        <p key={message} className={styles['fault']} data-severity={severity}>
          {message}
        </p>
      ))}
      {isOpen && (
        <div className={styles['opened']}>
          {block.why.map((why) => (
            <p key={why} className={styles['why']}>
              {why}
            </p>
          ))}
          <ol>
            {steps.map((step) => (
              <li key={step.id}>
                <strong>{titleOf(anatomy, step)}</strong>
                <span>
                  {step.told?.how ?? ''} {step.told?.note ? `(${step.told.note})` : ''}
                </span>
                <em>
                  {timesOf(step)} · {formatClock(step.seconds)}
                  {step.cautions.length > 0 && ` · ${step.cautions.join(' ')}`}
                </em>
              </li>
            ))}
          </ol>
        </div>
      )}
    </li>
  );
}
