import { describe, expect, it } from 'vitest';
import type { Seconds } from '../quantities';
import type { TableEvent } from './table-event';
import { secondsWorked } from './worked';

let count = 0;
const event = (kind: TableEvent['kind'], stepId: string | null, seconds: Seconds): TableEvent => ({
  ...{ id: `e${(count += 1)}`, kind, stepId, planVersion: 1 },
  at: new Date(Date.UTC(2026, 0, 1, 9) + seconds * 1000).toISOString(),
});
const worked = (...events: readonly TableEvent[]) => Object.fromEntries(secondsWorked(events));

describe('how long each step was worked on', () => {
  it('is from its beginning to its end', () => {
    expect(
      worked(event('start', 'a', 0), event('end', 'a', 60), event('start', 'b', 60), event('end', 'b', 90)),
    ).toEqual({ a: 60, b: 30 });
  });

  it('leaves pauses out', () => {
    const paused = [event('start', 'a', 0), event('pause', 'a', 20), event('resume', 'a', 500), event('end', 'a', 530)];
    expect(worked(...paused)).toEqual({ a: 50 });
  });

  it('counts a step that was gone back to both times', () => {
    const back = [event('start', 'a', 0), event('end', 'a', 30), event('start', 'b', 30), event('back', 'a', 40)];
    expect(worked(...back, event('end', 'a', 60))).toEqual({ a: 50, b: 10 });
  });

  it('knows nothing of what was skipped, nor of a clock that was set back', () => {
    expect(worked(event('start', 'a', 0), event('skip', 'a', 5))).toEqual({});
    expect(worked(event('start', 'a', 100), event('end', 'a', 40))).toEqual({});
  });

  it('counts a press that comes twice once', () => {
    const [start, end] = [event('start', 'a', 0), event('end', 'a', 60)];
    expect(worked(start, start, end, end)).toEqual({ a: 60 });
  });
});
