import type { Seconds } from '../quantities';
import { type TableChange, noChange, type TableEvent } from './table-event';
import { onceEach } from './events';

export interface StepOutcome {
  readonly state: 'done' | 'skipped';
  readonly startedAt: string | null;
  readonly endedAt: string;
}

/** Where a treatment stands. */
export interface TableState {
  readonly status: 'ready' | 'running' | 'paused' | 'finished';
  readonly stepId: string | null;
  readonly outcomes: ReadonlyMap<string, StepOutcome>;
  /** Running time that is over (ms); to it comes the time since `since`, while running. */
  readonly visitMs: number;
  readonly stepMs: number;
  readonly since: string | null;
  readonly stepStartedAt: string | null;
  readonly change: TableChange;
}

export const beforeTheFirstStep: TableState = {
  status: 'ready',
  stepId: null,
  outcomes: new Map(),
  visitMs: 0,
  stepMs: 0,
  since: null,
  stepStartedAt: null,
  change: noChange,
};

/**
 * The next state after one event; a pure step, so that events can be replayed after a reload. Events that make no sense
 * in a state (a pause while paused) leave it as it is. A clock that was set back counts as no time, never as negative time.
 */
export function afterEvent(state: TableState, event: TableEvent): TableState {
  if (state.status === 'finished') return state;
  const passed = state.since === null ? 0 : Math.max(0, Date.parse(event.at) - Date.parse(state.since));
  const banked = { visitMs: state.visitMs + passed, stepMs: state.stepMs + passed };
  switch (event.kind) {
    case 'start':
    case 'back':
      return {
        ...state,
        visitMs: banked.visitMs,
        stepMs: 0,
        status: 'running',
        stepId: event.stepId,
        since: event.at,
        stepStartedAt: event.at,
      };
    case 'end':
    case 'skip': {
      if (event.stepId === null) return state;
      const outcomes = new Map(state.outcomes);
      outcomes.set(event.stepId, {
        state: event.kind === 'end' ? 'done' : 'skipped',
        startedAt: state.stepStartedAt,
        endedAt: event.at,
      });
      const since = state.since === null ? null : event.at;
      return { ...state, ...banked, outcomes, since };
    }
    case 'pause':
      return state.status === 'running' ? { ...state, ...banked, status: 'paused', since: null } : state;
    case 'resume':
      return state.status === 'paused' ? { ...state, status: 'running', since: event.at } : state;
    case 'refit':
      return event.change ? { ...state, change: event.change } : state;
    case 'mark':
    case 'drops':
      return state;
    case 'finish':
      return { ...state, ...banked, status: 'finished', stepId: null, since: null };
  }
}

/** Replays events in their order; one that comes twice counts once. */
export function replay(events: readonly TableEvent[]): TableState {
  return onceEach(events).reduce(afterEvent, beforeTheFirstStep);
}

/** Clocks at an instant (ms): of the whole visit and of the step at hand. */
export function clocksAt(state: TableState, nowMs: number): { readonly visitMs: number; readonly stepMs: number } {
  const running = state.since === null ? 0 : Math.max(0, nowMs - Date.parse(state.since));
  return { visitMs: state.visitMs + running, stepMs: state.stepMs + running };
}

export interface Beat {
  /** 1-based placement and repetition at hand; the last ones once the time is over. */
  readonly placement: number;
  readonly repetition: number;
  /** 0–1 within the repetition. */
  readonly phase: number;
  readonly isOver: boolean;
}

export interface BeatStep {
  readonly kind: string;
  readonly repetitions: number;
  readonly placements: number;
  readonly seconds: Seconds;
  /** Turning, draping, changing hands: before the place is found. */
  readonly setupSeconds?: Seconds | undefined;
  /** Steps of the library keep their own pace. */
  readonly told?: { readonly count: string; readonly rounds?: readonly string[] | undefined } | undefined;
}

const findPlaceMs = 6000;
const moveOnMs = 2000;

const isHandWork = ({ kind, told }: BeatStep) => !told && !['breathe', 'carry', 'return'].includes(kind);

/** How long one repetition is given (ms): a second for a stretch of the skin, a share of the step's time for all else. */
export const repetitionMsOf = (step: BeatStep): number =>
  isHandWork(step)
    ? 1000
    : Math.max(
        1000,
        (step.seconds * 1000 - findPlaceMs - moveOnMs * (roundsOf(step) - 1)) / (step.repetitions * roundsOf(step)),
      );

/** Places and sides of a library step; its repetitions count for each. */
export const roundsOf = ({ told }: BeatStep): number => Math.max(1, told?.rounds?.length ?? 1);

/** What of a library step is no repetition (s): what changes before it, finding the place, moving on to each other one. */
export const overheadSecondsOf = (step: BeatStep): Seconds =>
  (step.setupSeconds ?? 0) + (findPlaceMs + moveOnMs * (roundsOf(step) - 1)) / 1000;

/** Which repetition of which placement the pace is at, after `stepMs` of a step. */
export function beatAt(step: BeatStep, stepMs: number): Beat {
  const working = stepMs - findPlaceMs - (step.setupSeconds ?? 0) * 1000;
  const byHand = isHandWork(step);
  const placements = byHand ? step.placements : roundsOf(step);
  const pause = byHand || placements > 1 ? moveOnMs : 0;
  const repetitionMs = repetitionMsOf(step);
  if (working < 0) return { placement: 1, repetition: 0, phase: 0, isOver: false };
  const perPlacement = step.repetitions * repetitionMs + pause;
  const index = Math.floor(working / perPlacement);
  if (index >= placements) return { placement: placements, repetition: step.repetitions, phase: 1, isOver: true };
  const inside = working - index * perPlacement;
  const repetition = Math.min(step.repetitions, Math.floor(inside / repetitionMs) + 1);
  return {
    placement: index + 1,
    repetition,
    phase: inside >= step.repetitions * repetitionMs ? 1 : (inside % repetitionMs) / repetitionMs,
    isOver: false,
  };
}
