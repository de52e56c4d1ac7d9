import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  type DragOverEvent,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';
import { sortableWords } from './sortable.words';

export interface Move {
  readonly from: number;
  readonly to: number;
}

interface Props {
  readonly ids: readonly string[];
  readonly label: string;
  /** What a row is, as in “move this step”. */
  readonly what: string;
  readonly className: string | undefined;
  readonly onMove: (from: number, to: number) => void;
  /** Where a row that is dragged would come to lie; undefined when it is let go. */
  readonly onHover?: ((move: Move | undefined) => void) | undefined;
  /** Rows; the part of each that takes the focus carries `data-row` with its id. */
  readonly children: ReactNode;
}

/** A list whose rows are dragged, or moved with Alt and the arrow keys; arrows alone go from row to row. */
export function SortableList({ ids, label, what, className, onMove, onHover, children }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const focusAfterMove = useRef<string>(undefined);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const order = ids.join(' ');
  const focus = (id: string) => list.current?.querySelector<HTMLElement>(`[data-row="${id}"]`)?.focus();
  useEffect(() => {
    if (!focusAfterMove.current) return;
    focus(focusAfterMove.current);
    focusAfterMove.current = undefined;
  }, [order]);
  const onDragOver = ({ active, over }: DragOverEvent) =>
    onHover?.(over ? { from: ids.indexOf(String(active.id)), to: ids.indexOf(String(over.id)) } : undefined);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    onHover?.(undefined);
    if (over) onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const row = (event.target as HTMLElement).dataset['row'];
    const index = row === undefined ? -1 : ids.indexOf(row);
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    const id = ids[index];
    if (by === 0 || id === undefined) return;
    event.preventDefault();
    if (event.altKey) {
      focusAfterMove.current = id;
      onMove(index, index + by);
      return;
    }
    const next = ids[index + by];
    if (next !== undefined) focus(next);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis]}
      onDragOver={onDragOver}
      onDragEnd={onDragEnd}
      onDragCancel={() => onHover?.(undefined)}
      accessibility={{
        screenReaderInstructions: { draggable: sortableWords.pressAltWithTheUpOr(what) },
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <ol className={className} ref={list} aria-label={label} onKeyDown={onKeyDown}>
          {children}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
