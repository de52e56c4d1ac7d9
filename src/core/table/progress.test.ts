import type { Seconds } from '../quantities';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beatAt, clocksAt, replay } from './progress';
import type { TableEvent } from './table-event';

const at = (seconds: Seconds) => new Date(Date.UTC(2026, 0, 1, 9) + seconds * 1000).toISOString();
let count = 0;
const event = (kind: TableEvent['kind'], stepId: string | null, seconds: Seconds): TableEvent => ({
  id: `e${(count += 1)}`,
  kind,
  stepId,
  at: at(seconds),
  planVersion: 1,
});

describe('where a treatment stands', () => {
  it('goes on from step to step and remembers what was done and skipped', () => {
    const state = replay([
      event('start', 's1', 0),
      event('end', 's1', 30),
      event('start', 's2', 30),
      event('skip', 's2', 35),
      event('start', 's3', 35),
    ]);
    expect([state.stepId, state.outcomes.get('s1')?.state, state.outcomes.get('s2')?.state]).toEqual([
      's3',
      'done',
      'skipped',
    ]);
    expect(clocksAt(state, Date.parse(at(50)))).toEqual({ visitMs: 50_000, stepMs: 15_000 });
  });

  it('stops both clocks in a pause', () => {
    const state = replay([event('start', 's1', 0), event('pause', 's1', 10), event('resume', 's1', 100)]);
    expect(clocksAt(state, Date.parse(at(105)))).toEqual({ visitMs: 15_000, stepMs: 15_000 });
    expect(replay([event('start', 's1', 0), event('pause', 's1', 10)]).status).toBe('paused');
  });

  it('starts a step afresh when gone back to, the visit clock going on', () => {
    const state = replay([
      event('start', 's1', 0),
      event('end', 's1', 30),
      event('start', 's2', 30),
      event('back', 's1', 40),
    ]);
    expect([state.stepId, clocksAt(state, Date.parse(at(45)))]).toEqual(['s1', { visitMs: 45_000, stepMs: 5000 }]);
  });

  it('never counts backwards when the clock is set back, and ends for good', () => {
    const kinds = fc.constantFrom('start', 'end', 'skip', 'back', 'pause', 'resume') as fc.Arbitrary<
      TableEvent['kind']
    >;
    fc.assert(
      fc.property(fc.array(fc.tuple(kinds, fc.integer({ min: -500, max: 500 }))), (list) => {
        let visitMs = 0;
        const events: TableEvent[] = [];
        for (const [kind, seconds] of list) {
          events.push(event(kind, 's1', seconds));
          const now = replay(events).visitMs;
          expect(now).toBeGreaterThanOrEqual(visitMs);
          visitMs = now;
        }
        const finished = replay([...events, event('finish', null, 600), event('start', 's1', 700)]);
        expect(finished.status).toBe('finished');
      }),
    );
  });
});

describe('the pace beat', () => {
  const step = { kind: 'drain', repetitions: 5, placements: 3, seconds: 27 };

  it('gives six seconds to find the place, then one a second, then two to move on', () => {
    expect(beatAt(step, 3000)).toMatchObject({ placement: 1, repetition: 0 });
    expect(beatAt(step, 6000)).toMatchObject({ placement: 1, repetition: 1, phase: 0 });
    expect(beatAt(step, 10_500)).toMatchObject({ placement: 1, repetition: 5, phase: 0.5 });
    expect(beatAt(step, 13_000)).toMatchObject({ placement: 2, repetition: 1 });
    expect(beatAt(step, 27_000)).toMatchObject({ placement: 3, repetition: 5, isOver: true });
  });

  it('counts a library step for each place and side, with a moment to move on', () => {
    const rounds = ['left cheek', 'left jaw', 'now the other side: right cheek', 'right jaw'];
    const told = {
      kind: 'soften',
      repetitions: 3,
      placements: 1,
      seconds: 6 + 4 * 3 * 2 + 3 * 2,
      told: { count: 'repetitions', rounds },
    };
    expect(beatAt(told, 6000)).toMatchObject({ placement: 1, repetition: 1 });
    expect(beatAt(told, 6000 + 5000)).toMatchObject({ placement: 1, repetition: 3 });
    expect(beatAt(told, 6000 + 8000)).toMatchObject({ placement: 2, repetition: 1 });
    expect(beatAt(told, 6000 + 16_000)).toMatchObject({ placement: 3, repetition: 1 });
    expect(beatAt(told, 6000 + 32_000)).toMatchObject({ placement: 4, repetition: 3, isOver: true });
  });

  it('breathes in its own time', () => {
    expect(beatAt({ kind: 'breathe', repetitions: 10, placements: 1, seconds: 66 }, 6000 + 9000)).toMatchObject({
      repetition: 2,
      phase: 0.5,
    });
  });
});
