import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { rotate, type RotationCase } from './rotation';
import { peakOf, runChoices, spansOf, type TimedStep } from './runs';
import type { StoneStep } from './step-times';

const step = (change: Partial<StoneStep> = {}): StoneStep => ({
  id: 'back',
  startS: 0,
  durationS: 420,
  class: 'palm',
  count: 2,
  mode: 'moving',
  flip: true,
  towelLayers: 1,
  usefulC: 42,
  firstContactC: 52,
  ...change,
});
const bath = { bathC: 54, toleranceC: 1, ambientC: 24 };
const palm = (count: number) => ({ class: 'palm', size: 'palm', material: 'basalt', count }) as const;
const rotation = (steps: readonly StoneStep[], count = 6, change: Partial<RotationCase> = {}) =>
  rotate(book, { ...bath, stock: [palm(count)], steps, ...change });

describe('two stones on the back for seven minutes', () => {
  const short = rotation([step()]);

  it('needs eight in turn, and says what is short and when', () => {
    expect(short).toMatchObject({
      feasible: false,
      stonesInPlay: { palm: 8 },
      swaps: 6,
      timing: [{ step: 'back', takeC: 52, usefulS: 135, reheatS: 300, restS: 75, runs: 4 }],
      shortages: [{ class: 'palm', short: 2, fromS: 240, toS: 405 }],
      blocked: [],
    });
    expect(short.uses[0]).toEqual({
      ...{ step: 'back', slot: 1, run: 1, stone: 'palm-1', missing: false },
      ...{ outS: -75, fromS: 0, toS: 105, readyS: 405 },
    });
    expect(short.uses.at(-1)).toEqual({
      ...{ step: 'back', slot: 2, run: 4, stone: 'palm-8', missing: true },
      ...{ outS: 240, fromS: 315, toS: 420, readyS: 720 },
    });
  });

  it('can be done with eight', () => {
    expect(rotation([step()], 8)).toMatchObject({ feasible: true, swaps: 6, shortages: [] });
  });
});

describe('a step that cannot be done', () => {
  it.each([
    ['no-stock', step({ class: 'large' }), {}],
    ['window', step({ usefulC: 53 }), {}],
    ['window', step({ firstContactC: 42, usefulC: 42 }), {}],
    ['rest', step({ firstContactC: 30, usefulC: 28 }), { ambientC: 32 }],
    ['short-lived', step({ usefulS: 10 }), {}],
  ] as const)('says why: %s', (reason, one, change) => {
    expect(rotation([one], 8, change)).toMatchObject({
      feasible: false,
      blocked: [{ step: 'back', reason }],
      uses: [],
    });
  });

  it('leaves the others as they are', () => {
    const both = rotation([step({ usefulC: 60 }), step({ id: 'neck', startS: 500, durationS: 120 })], 8);
    expect(both.timing.map((one) => one.step)).toEqual(['neck']);
  });
});

describe('stones laid down, and cold ones', () => {
  it('lie as long as they stay warm', () => {
    const laid = rotation([step({ mode: 'still', durationS: 700, firstContactC: 50, count: 1 })], 8);
    expect(laid.timing[0]).toMatchObject({ takeC: 50, usefulS: 720, runs: 1 });
    const input = rotation(
      [step({ mode: 'still', firstContactC: 50, usefulS: 60, reheatS: 90, restS: 15, count: 1 })],
      8,
    );
    expect(input.timing[0]).toMatchObject({ usefulS: 60, reheatS: 90, restS: 15, runs: 7 });
  });

  it('are chilled in a bath of their own', () => {
    const cold = rotate(book, {
      ...{ bathC: 8, toleranceC: 1, ambientC: 24 },
      stock: [{ class: 'facial', size: 'facial', material: 'marble', count: 4 }],
      steps: [step({ class: 'facial', durationS: 60, usefulC: 18, firstContactC: 12 })],
    });
    expect(cold.timing[0]).toMatchObject({ takeC: 12 });
    expect(cold.blocked).toEqual([]);
  });
});

describe('laws of rotation', () => {
  const steps = fc
    .array(
      fc.record({
        startS: fc.integer({ min: 0, max: 1500 }),
        durationS: fc.integer({ min: 30, max: 600 }),
        count: fc.integer({ min: 1, max: 3 }),
        usefulS: fc.integer({ min: 3, max: 16 }).map((k) => k * 15),
        reheatS: fc.integer({ min: 2, max: 12 }).map((k) => k * 30),
      }),
      { minLength: 1, maxLength: 5 },
    )
    .map((list) => list.map((one, i) => step({ id: `s${i}`, ...one })));

  it('is never beaten by trying everything', () => {
    fc.assert(
      fc.property(steps, fc.integer({ min: 1, max: 10 }), (list, count) => {
        const result = rotation(list, count);
        const timed: TimedStep[] = list.map((one, i) => ({ step: one, times: result.timing[i] ?? never() }));
        let best: readonly number[] | undefined;
        const go = (runs: readonly number[]): void => {
          const next = timed[runs.length];
          if (next) {
            for (const one of runChoices(next, book.rotation)) go([...runs, one]);
            return;
          }
          const spans = timed.flatMap((one, i) =>
            spansOf(one, runs[i] ?? 1).map((span) => ({ ...span, stones: one.step.count })),
          );
          const peak = peakOf(spans);
          const swaps = timed.reduce((sum, one, i) => sum + one.step.count * ((runs[i] ?? 1) - 1), 0);
          const key = [Math.max(0, peak - count), peak, swaps, ...runs];
          if (!best || lexicographic(key, best) < 0) best = key;
        };
        go([]);
        const runs = result.timing.map((one) => one.runs);
        const peak = result.stonesInPlay['palm'] ?? 0;
        expect([Math.max(0, peak - count), peak, result.swaps, ...runs]).toEqual(best);
        expect(result.feasible).toBe(peak <= count);
      }),
      { numRuns: 60 },
    );
  });

  it('gives a stone to one use at a time, and never more than are in play', () => {
    fc.assert(
      fc.property(steps, fc.integer({ min: 1, max: 10 }), (list, count) => {
        const { uses, stonesInPlay } = rotation(list, count);
        const byStone = groups(uses);
        expect(byStone.size).toBe(stonesInPlay['palm']);
        for (const own of byStone.values()) {
          const sorted = [...own].sort((a, b) => a.outS - b.outS);
          for (const [i, use] of sorted.entries())
            if (i > 0) expect(use.outS).toBeGreaterThanOrEqual(sorted[i - 1]?.readyS ?? 0);
        }
        for (const one of list) {
          const own = uses.filter((use) => use.step === one.id && use.slot === 1).sort((a, b) => a.run - b.run);
          expect([own[0]?.fromS, own.at(-1)?.toS]).toEqual([one.startS, one.startS + one.durationS]);
          for (const [i, use] of own.entries()) if (i > 0) expect(use.fromS).toBe(own[i - 1]?.toS);
        }
      }),
      { numRuns: 60 },
    );
  });
});

function never(): never {
  throw new Error('a step without times');
}

function groups<T extends { readonly stone: string }>(uses: readonly T[]): Map<string, T[]> {
  const map = new Map<string, T[]>();
  for (const use of uses) map.set(use.stone, [...(map.get(use.stone) ?? []), use]);
  return map;
}

function lexicographic(a: readonly number[], b: readonly number[]): number {
  for (const [i, one] of a.entries()) if (one !== b[i]) return one - (b[i] ?? 0);
  return 0;
}
