import type { Take } from '../library/own-pace';
import { afterEvent, beforeTheFirstStep, overheadSecondsOf, roundsOf, type TableState } from './progress';
import { onceEach } from './events';
import type { TableEvent } from './table-event';
import type { TableStep } from './table-step';

/**
 * How long each step of a treatment really took, as its presses tell: pauses do not count, nor does what changes before
 * it, nor finding the place. A step that was begun twice, skipped or left out tells nothing.
 */
export function takesOf(steps: readonly TableStep[], events: readonly TableEvent[]): readonly Take[] {
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  const takes = new Map<string, Take | undefined>();
  let state: TableState = beforeTheFirstStep;
  for (const event of onceEach(events)) {
    const before = state;
    state = afterEvent(state, event);
    if (event.kind === 'back' && event.stepId !== null) takes.set(event.stepId, undefined);
    if (event.kind !== 'end' || event.stepId === null || event.stepId !== before.stepId) continue;
    const step = stepOf.get(event.stepId);
    if (!step || takes.has(step.id)) continue;
    takes.set(step.id, takeOf(step, state.stepMs / 1000, state.change.repetitions[step.id] ?? step.repetitions));
  }
  return [...takes.values()].flatMap((take) => take ?? []);
}

function takeOf(step: TableStep, seconds: number, repetitions: number): Take | undefined {
  const { told } = step;
  const working = seconds - overheadSecondsOf(step);
  return told?.technique === undefined || working <= 0 || repetitions <= 0
    ? undefined
    : { technique: told.technique, seconds: working / (repetitions * roundsOf(step)) };
}
