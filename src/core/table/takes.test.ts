import { describe, expect, it } from 'vitest';
import type { TechniqueId } from '../ids';
import type { Seconds } from '../quantities';
import type { TableEvent } from './table-event';
import type { TableStep, ToldStep } from './table-step';
import { takesOf } from './takes';

const step = (id: string, rounds = 1, change: Partial<TableStep> = {}, told: Partial<ToldStep> = {}): TableStep => ({
  ...{ id, kind: 'soften', place: 'back-upper.left', toward: null, via: [], pressure: 'light', repetitions: 5 },
  ...{ placements: 1, seconds: 60, rules: [], why: '', cautions: [] },
  told: {
    ...{ technique: 'knead' as TechniqueId, title: id, how: '', cue: '', note: '', block: 'b', count: 'repetitions' },
    places: [],
    ...(rounds > 1 ? { rounds: Array.from({ length: rounds }, (_, i) => `place ${i}`) } : {}),
    ...told,
  },
  ...change,
});
let count = 0;
const event = (kind: TableEvent['kind'], stepId: string | null, seconds: Seconds, change?: TableEvent['change']) => ({
  ...{ id: `e${(count += 1)}`, kind, stepId, planVersion: 1 },
  at: new Date(Date.UTC(2026, 0, 1, 9) + seconds * 1000).toISOString(),
  ...(change && { change }),
});

describe('how long a step really took', () => {
  it('is what was worked, without finding the place, for each repetition', () => {
    expect(takesOf([step('a')], [event('start', 'a', 0), event('end', 'a', 56)])).toEqual([
      { technique: 'knead', seconds: 10 },
    ]);
  });

  it('is shared by the places and sides that its repetitions count for, moving on left out', () => {
    expect(takesOf([step('a', 3)], [event('start', 'a', 0), event('end', 'a', 6 + 4 + 150)])[0]?.seconds).toBe(10);
  });

  it('leaves out pauses, and what changes before it', () => {
    const steps = [step('a', 1, { setupSeconds: 20 })];
    const events = [
      ...[event('start', 'a', 0), event('pause', 'a', 30), event('resume', 'a', 500)],
      event('end', 'a', 500 + 46),
    ];
    expect(takesOf(steps, events)[0]?.seconds).toBe(10);
  });

  it('counts the repetitions that a plan was refitted to on the way', () => {
    const change = { repetitions: { a: 10 }, leftOut: [], overSeconds: 0 };
    const events = [event('start', 'a', 0), event('refit', null, 5, change), event('end', 'a', 56)];
    expect(takesOf([step('a')], events)[0]?.seconds).toBe(5);
  });

  it('tells nothing where a step was skipped, gone back to, pressed through, or is drainage', () => {
    const bare: TableStep = { ...step('d'), told: undefined };
    const steps = [step('a'), step('b'), step('c'), bare];
    const events = [
      ...[event('start', 'a', 0), event('skip', 'a', 40), event('start', 'b', 40), event('end', 'b', 90)],
      ...[event('back', 'b', 91), event('end', 'b', 150), event('start', 'c', 150), event('end', 'c', 153)],
      ...[event('start', 'd', 153), event('end', 'd', 200)],
    ];
    expect(takesOf(steps, events)).toEqual([]);
  });

  it('counts a press that came twice once', () => {
    const [start, end] = [event('start', 'a', 0), event('end', 'a', 56)];
    expect(takesOf([step('a')], [start, start, end, end])).toHaveLength(1);
  });
});
