import type { Seconds } from '../quantities';
import { onceEach } from './events';
import { afterEvent, beforeTheFirstStep, type TableState } from './progress';
import type { TableEvent } from './table-event';

/**
 * How long each step was really worked on, from the presses at the table (s): pauses do not count, one that was begun
 * again counts both times, and what was only skipped is not there.
 */
export function secondsWorked(events: readonly TableEvent[]): ReadonlyMap<string, Seconds> {
  const worked = new Map<string, Seconds>();
  let state: TableState = beforeTheFirstStep;
  for (const event of onceEach(events)) {
    const before = state;
    state = afterEvent(state, event);
    const seconds = (state.visitMs - before.visitMs) / 1000;
    if (before.stepId === null || event.kind === 'skip' || seconds <= 0) continue;
    worked.set(before.stepId, (worked.get(before.stepId) ?? 0) + seconds);
  }
  return worked;
}
