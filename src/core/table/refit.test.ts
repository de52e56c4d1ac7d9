import type { Seconds } from '../quantities';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { readCase } from '../drainage/case';
import { makeCase } from '../drainage/fixtures';
import { planDrainage } from '../drainage/plan';
import { replay } from './progress';
import { noChange, type TableChange } from './table-event';
import { overrunSeconds, stepsAfter, waysToCatchUp } from './refit';
import { spanOf, type TableStep } from './table-step';

const told = (id: string, block: string, repetitions: number, extra: Partial<TableStep> = {}): TableStep => ({
  id,
  kind: 'carry',
  place: 'back-upper.left',
  toward: null,
  via: [],
  pressure: 'light',
  repetitions,
  placements: 1,
  seconds: 8 + repetitions * 10,
  rules: [],
  why: '',
  cautions: [],
  told: { title: id, how: '', cue: '', note: '', block, count: 'repetitions', places: [] },
  fit: { min: 2, max: repetitions * 2, secondsPerRepetition: 10, isStretchable: false },
  ...extra,
});

const steps: readonly TableStep[] = [
  told('a1', 'back', 6),
  told('a2', 'back', 6),
  told('b1', 'left arm', 6),
  told('b2', 'right arm', 6),
  told('c1', 'scalp', 9, { fit: { min: 2, max: 20, secondsPerRepetition: 10, isStretchable: true } }),
];
const total = steps.reduce((sum, step) => sum + spanOf(step), 0);
const clock = (visitSeconds: Seconds, index = 0, availableSeconds = total) => ({
  index,
  stepSeconds: 0,
  visitSeconds,
  availableSeconds,
});

describe('when clock and plan drift apart', () => {
  it('offers nothing within a minute', () => {
    expect(waysToCatchUp(steps, clock(60), noChange)).toEqual([]);
    expect(waysToCatchUp(steps, clock(61), noChange).length).toBeGreaterThan(0);
  });

  it('offers to shorten evenly, to leave out a part, and to run over', () => {
    const ways = waysToCatchUp(steps, clock(90), noChange);
    expect(ways.map(({ kind, words }) => [kind, words])).toEqual([
      ['evenly', 'Shorten evenly'],
      ['leave-out', 'Leave out “scalp”'],
      ['over', 'Run over by 2 min'],
    ]);
    const [evenly, leaveOut, over] = ways;
    expect(evenly?.savesSeconds).toBeGreaterThanOrEqual(89);
    expect(leaveOut?.savesSeconds).toBeGreaterThanOrEqual(90);
    expect(over?.savesSeconds).toBe(0);
  });

  it('ends in time after shortening or leaving out', () => {
    for (const way of waysToCatchUp(steps, clock(90), noChange).filter(({ kind }) => kind !== 'over'))
      expect(overrunSeconds(stepsAfter(steps, way.change), clock(90), way.change)).toBeLessThanOrEqual(1);
  });

  it('leaves out both arms, never one', () => {
    const arms = [told('z', 'back', 6), ...steps.slice(2, 4)];
    const all = arms.reduce((sum, step) => sum + spanOf(step), 0);
    const way = waysToCatchUp(arms, clock(100, 0, all), noChange).find(({ kind }) => kind === 'leave-out');
    expect(way?.change.leftOut).toEqual(['b1', 'b2']);
  });

  it('does not ask again once it may run over, until another minute is lost', () => {
    const over = waysToCatchUp(steps, clock(90), noChange).find(({ kind }) => kind === 'over');
    const change = over?.change ?? noChange;
    expect(change.overSeconds).toBe(120);
    expect(waysToCatchUp(steps, clock(150), change)).toEqual([]);
    expect(waysToCatchUp(steps, clock(200), change).length).toBeGreaterThan(0);
  });

  it('offers what soothes when time is left over', () => {
    const [way] = waysToCatchUp(steps, clock(0, 0, total + 100), noChange);
    expect([way?.kind, way?.change.repetitions]).toEqual(['stretch', { c1: 19 }]);
  });

  it('offers nothing for time that the plan leaves free from the start', () => {
    const roomy = { ...clock(0, 0, total + 1200), plannedSeconds: total };
    expect(waysToCatchUp(steps, roomy, noChange)).toEqual([]);
    expect(waysToCatchUp(steps, { ...roomy, visitSeconds: 300 }, noChange)).toEqual([]);
    const ahead = { ...roomy, index: 2, visitSeconds: 20 };
    expect(waysToCatchUp(steps, ahead, noChange)[0]?.kind).toBe('stretch');
  });

  it('counts turning and changing hands as time that is still to come', () => {
    const turned = steps.map((step) => (step.id === 'b1' ? { ...step, setupSeconds: 120 } : step));
    expect(overrunSeconds(turned, clock(0), noChange)).toBe(120);
  });

  it('never drops an opening of a drainage, nor goes below the least repetitions', () => {
    const read = readCase(anatomy, makeCase(['leg.left'], { minutes: 60 }));
    if (!read.ok) throw new Error('the case');
    const course: readonly TableStep[] = planDrainage(anatomy, read.value).steps;
    const whole = course.reduce((sum, step) => sum + spanOf(step), 0);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: course.length - 2 }), fc.integer({ min: 61, max: 1200 }), (index, late) => {
        const done = course.slice(0, index).reduce((sum, step) => sum + spanOf(step), 0);
        for (const way of waysToCatchUp(course, clock(done + late, index, whole), noChange)) {
          const after = stepsAfter(course, way.change);
          const gone = course.filter(({ id }) => way.change.leftOut.includes(id));
          expect(gone.every(({ kind }) => kind !== 'clear' && kind !== 'prepare' && kind !== 'breathe')).toBe(true);
          expect(after.every(({ repetitions }) => repetitions >= 1)).toBe(true);
          if (way.kind !== 'over')
            expect(
              overrunSeconds(
                after,
                clock(
                  done + late,
                  after.findIndex(({ id }) => id === course[index]?.id),
                  whole,
                ),
                way.change,
              ),
            ).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('a change while it runs', () => {
  const at = '2026-01-01T09:00:00.000Z';
  const refit = (id: string, change: TableChange) =>
    ({ id, kind: 'refit', stepId: null, at, planVersion: 1, change }) as const;

  it('is kept with the treatment, and another takes its place', () => {
    const first = { ...noChange, leftOut: ['b1'] };
    const events = [{ id: 'e1', kind: 'start', stepId: 'a1', at, planVersion: 1 } as const, refit('e2', first)];
    expect(replay(events).change).toEqual(first);
    expect(replay([...events, refit('e3', noChange)]).change).toEqual(noChange);
  });
});
