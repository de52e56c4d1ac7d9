import type { OilId } from '../../ids';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../../catalogue/oils/oils';
import { useIds } from '../book';
import { checkBlend } from '../check';
import { adult } from '../client';
import { bestBlend } from './best-blend';
import { type BestBlendCase, blendProblem, brokenBy, meritOf } from './blend-problem';
import { type Found, isBetter } from './found';
import { maximise } from './simplex';

const wish = (change: Partial<BestBlendCase> = {}): BestBlendCase => ({
  volumeMl: 10,
  area: 'body',
  client: adult,
  candidates: [
    { oil: 'lavender', costPerDrop: 4, maxDrops: 60 },
    { oil: 'orange-sweet', costPerDrop: 2, maxDrops: 60 },
    { oil: 'vetiver', costPerDrop: 9, maxDrops: 60 },
    { oil: 'marjoram-sweet', costPerDrop: 5, maxDrops: 60 },
  ],
  wanted: [
    { use: 'sleep', weight: 2 },
    { use: 'muscle-ease', weight: 1 },
  ],
  notes: { top: 0.3, middle: 0.5, base: 0.2 },
  targetPercent: 2,
  maxOils: 3,
  ...change,
});
const found = (input: BestBlendCase) => {
  const answer = bestBlend(book, input);
  if (answer.kind === 'none') throw new Error(answer.why.message);
  return answer.blend;
};
const refusal = (input: BestBlendCase) => {
  const answer = bestBlend(book, input);
  return answer.kind === 'none' ? answer.why : undefined;
};

/** Every set of drops there is, one after the other. */
function byTrying(input: BestBlendCase): Found | undefined {
  const problem = blendProblem(book, input);
  let best: Found | undefined;
  const upTo = problem.share.map((share, i) => Math.min(problem.most[i] ?? 0, Math.ceil(1.06 / share)));
  const walk = (drops: readonly number[]): void => {
    if (drops.length === upTo.length) {
      if (brokenBy(problem, drops).length > 0) return;
      const one = { drops, merit: meritOf(problem, drops) };
      if (isBetter(one, best)) best = one;
      return;
    }
    for (let count = 0; count <= (upTo[drops.length] ?? 0); count += 1) walk([...drops, count]);
  };
  walk([]);
  return best;
}

const anyWish = fc
  .record({
    picks: fc.uniqueArray(fc.constantFrom(...book.oils.keys()), { minLength: 2, maxLength: 5 }),
    volumeMl: fc.constantFrom(5, 8, 10),
    targetPercent: fc.constantFrom(1, 1.5, 2, 3),
    maxOils: fc.integer({ min: 1, max: 4 }),
    costs: fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 5, maxLength: 5 }),
    most: fc.constantFrom(2, 60),
    uses: fc.uniqueArray(fc.constantFrom(...useIds), { maxLength: 3 }),
    notes: fc.constantFrom(null, { top: 0.3, middle: 0.5, base: 0.2 }, { top: 0, middle: 1, base: 0 }),
    area: fc.constantFrom('body', 'face', 'local', 'bath'),
  })
  .map(({ picks, costs, most, uses, area, targetPercent, ...rest }): BestBlendCase => ({
    ...rest,
    area,
    targetPercent: area === 'face' ? 1 : Math.min(targetPercent, 2),
    client: adult,
    candidates: picks.map((oil, i) => ({ oil, costPerDrop: costs[i] ?? 0, maxDrops: most })),
    wanted: uses.map((use, i) => ({ use, weight: i + 1 })),
  }));

describe('the best blend', () => {
  it('is the documented one', () => {
    const best = found(wish());
    expect(best.parts).toEqual([
      { oil: 'lavender', drops: 3 },
      { oil: 'orange-sweet', drops: 1 },
      { oil: 'vetiver', drops: 1 },
    ]);
    expect(best.objective).toBeCloseTo(0.79874, 5);
    expect(best.optimal).toBe(true);
  });

  it('is the one that trying everything finds, ties too', () => {
    fc.assert(
      fc.property(anyWish, (input) => {
        const tried = byTrying(input);
        const answer = bestBlend(book, input);
        expect(answer.kind).toBe(tried ? 'found' : 'none');
        if (answer.kind === 'none' || !tried) return;
        const drops = input.candidates.map(
          ({ oil }) => answer.blend.parts.find((part) => part.oil === oil)?.drops ?? 0,
        );
        expect(drops).toEqual(tried.drops);
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  it('never passes a limit', () => {
    fc.assert(
      fc.property(anyWish, (input) => {
        const answer = bestBlend(book, input);
        if (answer.kind === 'none') return;
        const check = checkBlend(book, { ...input, basis: 'max', parts: answer.blend.parts });
        expect(check?.verdict).not.toBe('over');
      }),
      { numRuns: 200, seed: 3 },
    );
  });

  it('leaves out what the client avoids, and says what else keeps a better one away', () => {
    const candidates = [
      { oil: 'wintergreen', costPerDrop: 0, maxDrops: 60 },
      { oil: 'lavender', costPerDrop: 1, maxDrops: 3 },
      { oil: 'ginger', costPerDrop: 1, maxDrops: 60 },
    ];
    const input = wish({
      volumeMl: 30,
      candidates,
      client: { ...adult, conditions: ['pregnancy'] },
      targetPercent: 1,
      notes: null,
    });
    expect(found(input).parts.map(({ oil }) => oil)).not.toContain('wintergreen');
    const short = found(
      wish({ volumeMl: 30, candidates: candidates.slice(1), notes: null, wanted: [{ use: 'sleep', weight: 1 }] }),
    );
    expect(short.binding).toContain('the drops of Lavender that there are');
  });

  it('says why there is none', () => {
    expect(refusal(wish({ targetPercent: 4 }))?.path).toBe('targetPercent');
    expect(refusal(wish({ targetPercent: 0.5 }))).toEqual({
      path: 'volumeMl',
      message: '10 mL at 0.5 % is less than two drops: mix more, or make it stronger.',
    });
    const only = (oil: OilId) => [{ oil, costPerDrop: 0, maxDrops: 60 }];
    const pregnant = { ...adult, conditions: ['pregnancy'] };
    expect(refusal(wish({ candidates: only('wintergreen'), client: pregnant, targetPercent: 1 }))?.message).toContain(
      'None of these oils',
    );
    expect(refusal(wish({ volumeMl: 100, candidates: only('ylang-ylang') }))?.message).toContain('Ylang');
  });
});

describe('divided drops', () => {
  it('are never worth less than whole ones, and a program without end is refused', () => {
    expect(
      maximise({
        gain: [3, 5],
        rows: [
          { by: [1, 0], bound: 4 },
          { by: [0, 2], bound: 12 },
          { by: [3, 2], bound: 18 },
        ],
      }),
    ).toEqual({
      value: 36,
      prices: [0, 1.5, 1],
    });
    expect(() => maximise({ gain: [1], rows: [] })).toThrow(RangeError);
  });
});
