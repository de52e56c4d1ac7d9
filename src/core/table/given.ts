import type { Seconds } from '../quantities';
import { beforeTheFirstStep, type TableState } from './progress';
import type { TableEvent } from './table-event';
import { spanOf, type TableStep } from './table-step';

/** What was really done, beside what was planned. */
export interface Given {
  readonly planned: number;
  readonly done: number;
  /** Steps that were skipped or left out, in the order of the plan. */
  readonly missed: readonly TableStep[];
  /** Steps that took other repetitions than planned. */
  readonly changed: readonly { readonly step: TableStep; readonly repetitions: number }[];
  readonly plannedSeconds: Seconds;
  readonly seconds: Seconds;
}

/** @param state after the last event; `events` only say whether anything was begun at all */
export function givenOf(steps: readonly TableStep[], state: TableState, events: readonly TableEvent[]): Given | null {
  if (events.length === 0 || state === beforeTheFirstStep) return null;
  const isDone = ({ id }: TableStep) => state.outcomes.get(id)?.state === 'done';
  return {
    planned: steps.length,
    done: steps.filter(isDone).length,
    missed: steps.filter((step) => !isDone(step)),
    changed: steps.flatMap((step) => {
      const repetitions = state.change.repetitions[step.id];
      return repetitions !== undefined && repetitions !== step.repetitions && isDone(step)
        ? [{ step, repetitions }]
        : [];
    }),
    plannedSeconds: steps.reduce((sum, step) => sum + spanOf(step), 0),
    seconds: Math.round(state.visitMs / 1000),
  };
}
