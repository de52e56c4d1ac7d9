import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mergeEvents, onceEach } from './events';
import { markKinds } from './mark-kinds';
import { afterEvent, beforeTheFirstStep, clocksAt, replay } from './progress';
import { noChange, type TableEvent } from './table-event';

const kinds = ['start', 'end', 'skip', 'back', 'pause', 'resume', 'refit', 'mark', 'drops', 'finish'] as const;
const begin = Date.UTC(2026, 0, 1, 9);

/** Any list of presses of one device, numbered, by a clock that may also be set back. */
const presses = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...kinds.slice(0, -1), ...kinds),
      step: fc.integer({ min: 1, max: 6 }),
      passed: fc.integer({ min: -30, max: 400 }),
      mark: fc.constantFrom(...markKinds),
      over: fc.integer({ min: 0, max: 900 }),
    }),
    { maxLength: 40 },
  )
  .map((list) => {
    let seconds = 0;
    return list.map(({ kind, step, passed, mark, over }, i): TableEvent => {
      seconds += passed;
      return {
        ...{ id: `press-${i}`, kind, number: i + 1, planVersion: 1 },
        stepId: kind === 'finish' ? null : `s${step}`,
        at: new Date(begin + seconds * 1000).toISOString(),
        ...(kind === 'mark' ? { mark } : {}),
        ...(kind === 'refit' ? { change: { ...noChange, overSeconds: over } } : {}),
      };
    });
  });

/** How a treatment stands, as it would be written down to be compared. */
const told = (events: readonly TableEvent[]) => {
  const state = replay(events);
  return { ...state, outcomes: [...state.outcomes] };
};

describe('the step function of a treatment', () => {
  it('knows one step at hand and never two: what runs is the last that was begun', () => {
    fc.assert(
      fc.property(presses, (events) => {
        let state = beforeTheFirstStep;
        for (const event of events) {
          state = afterEvent(state, event);
          const isOn = state.status === 'running' || state.status === 'paused';
          if (isOn)
            expect(typeof state.stepId).toBe(
              events.some(({ kind }) => kind === 'start' || kind === 'back') ? 'string' : 'object',
            );
          if (state.status === 'finished') expect(state.stepId).toBeNull();
        }
        const ended = events.findIndex(({ kind }) => kind === 'finish');
        const counted = ended < 0 ? events : events.slice(0, ended);
        const last = counted.findLast(({ kind }) => kind === 'start' || kind === 'back');
        expect(state.stepId).toBe(ended >= 0 ? null : (last?.stepId ?? null));
      }),
    );
  });

  it('is the same after being stopped anywhere and taken up again as without the stop', () => {
    fc.assert(
      fc.property(presses, fc.nat(40), (events, at) => {
        const before = replay(events.slice(0, at));
        const resumed = events.slice(at).reduce(afterEvent, before);
        expect({ ...resumed, outcomes: [...resumed.outcomes] }).toEqual(told(events));
      }),
    );
  });

  it('counts an event that comes twice once, wherever it comes again', () => {
    fc.assert(
      fc.property(presses, fc.array(fc.nat(100)), (events, again) => {
        const doubled = [...events];
        for (const at of again) {
          const event = events[at % Math.max(1, events.length)];
          const first = event ? doubled.indexOf(event) : 0;
          if (event) doubled.splice(first + 1 + (at % (doubled.length - first)), 0, event);
        }
        expect(onceEach(doubled)).toEqual(events);
        expect(told(doubled)).toEqual(told(events));
      }),
    );
  });

  it('stands the same whatever part of it the house has answered for, and whatever was sent twice', () => {
    fc.assert(
      fc.property(presses, fc.nat(40), fc.nat(40), (events, answered, kept) => {
        const house = events.slice(0, answered);
        // The device forgets only what the house has; it may keep more than it must, in any order.
        const own = events.slice(Math.min(answered, kept)).toReversed();
        expect(mergeEvents(house, own)).toEqual(events);
      }),
    );
  });

  it('runs by a clock that may stop and jump, but never backwards', () => {
    fc.assert(
      fc.property(presses, fc.array(fc.integer({ min: 0, max: 900_000 })), (events, looks) => {
        const state = replay(events);
        const from = state.since === null ? begin : Date.parse(state.since);
        let last = 0;
        for (const ms of looks.toSorted((a, b) => a - b)) {
          const { visitMs, stepMs } = clocksAt(state, from - 60_000 + ms);
          expect(visitMs).toBeGreaterThanOrEqual(last);
          expect(stepMs).toBeLessThanOrEqual(visitMs);
          last = visitMs;
        }
      }),
    );
  });
});
