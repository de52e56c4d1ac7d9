import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { trainingBooks as books } from '../../catalogue/training';
import { countDrill } from './count';
import { drawOf } from './draw';
import { type Level, levels } from './kinds';

const caseOf = (level: Level, seed = 7) => {
  const of = countDrill.make(books, drawOf('count', level, seed, 0), level, undefined);
  if (!of) throw new Error('a count is always sound');
  return of;
};
const bestOf = (of: ReturnType<typeof caseOf>) => of.steps.map(({ count }) => count);
const judge = (of: ReturnType<typeof caseOf>, stops: readonly number[]) => countDrill.judge(books, of, { stops });

describe('keeping the count', () => {
  it('is seen at the first level, and only felt from the second on', () => {
    expect(caseOf(1).isBlind).toBe(false);
    expect(caseOf(2).isBlind).toBe(true);
  });

  it('is talked to from the third level on, always while it runs', () => {
    expect(caseOf(2).asides).toEqual([]);
    for (const level of [3, 4] as const) {
      const { asides, steps } = caseOf(level);
      const whole = steps.reduce((sum, { count }) => sum + count, 0);
      expect(asides.length).toBeGreaterThan(1);
      for (const { atStroke } of asides) expect(atStroke).toBeLessThan(whole);
      expect(new Set(asides.map(({ words }) => words)).size).toBe(asides.length);
    }
  });

  it('names one place after the other, none twice', () => {
    for (const level of levels) {
      const { steps } = caseOf(level);
      expect(new Set(steps.map(({ place }) => place)).size).toBe(steps.length);
      for (const { count } of steps) expect(count).toBeGreaterThanOrEqual(4);
    }
  });

  it('is right to the stroke', () => {
    const of = caseOf(3);
    expect(judge(of, bestOf(of))).toEqual({ score: 1, faults: [] });
  });

  it('says how many were missed or were too many, and where', () => {
    const of = caseOf(2);
    const [first = 0, ...rest] = bestOf(of);
    expect(judge(of, [first + 2, ...rest]).faults).toEqual([
      { rule: 'count', text: `2 too many at the ${of.steps[0]?.place}: ${first} were asked.` },
    ]);
    expect(judge(of, [first - 1, ...rest]).faults[0]?.text).toContain('1 too few at the');
  });

  it('is the worse the farther it is off', () => {
    const of = caseOf(2);
    const [first = 0, ...rest] = bestOf(of);
    const scores = [0, 1, 2, 3].map((off) => judge(of, [first + off, ...rest]).score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
    expect(scores[0]).toBe(1);
  });

  it('refuses an answer of another case', () => {
    const of = caseOf(3);
    expect(countDrill.errors(books, of, { stops: [1] })).toEqual([
      { path: 'stops', message: `Give ${of.steps.length} strokes, one for each place.` },
    ]);
  });

  it('is never scored below nothing or above all, whatever is pressed', () => {
    fc.assert(
      fc.property(fc.constantFrom(...levels), fc.nat(500), fc.array(fc.nat(60)), (level, seed, presses) => {
        const of = caseOf(level, seed);
        const stops = of.steps.map((_, i) => presses[i] ?? 0);
        const { score, faults } = judge(of, stops);
        expect(score).toBeGreaterThanOrEqual(0);
        expect(score).toBeLessThanOrEqual(1);
        expect(score === 1).toBe(faults.length === 0);
      }),
    );
  });
});
