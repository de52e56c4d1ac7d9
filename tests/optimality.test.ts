import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oilBook } from '../src/catalogue/oils/oils';
import { bestBlend } from '../src/core/oils/best/best-blend';
import { type BestBlendCase, blendProblem } from '../src/core/oils/best/blend-problem';
import { useIds } from '../src/core/oils/book';
import { adult } from '../src/core/oils/client';
import { startSetting, usualCosts } from '../src/core/sequencing/block';
import { sequenceBlocks } from '../src/core/sequencing/sequence';
import { fitTime, secondsAt } from '../src/core/sequencing/time-fit';
import { anyBlocks, anySteps, block } from './any-treatment';
import { bestMeritByProgram, leastOrderByFlow, leastOrderByProgram, leastPenaltyByProgram } from './integer-programs';

describe('held against integer programs', () => {
  it('the order of blocks is never worse', async () => {
    for (const blocks of fc.sample(anyBlocks(8), { numRuns: 8, seed: 11 })) {
      const own = sequenceBlocks(blocks);
      expect(own.ok && own.value.setupSeconds).toBeCloseTo(
        await leastOrderByProgram(blocks, startSetting, usualCosts),
        6,
      );
    }
  });

  it('the order of sixteen blocks in three or four strands is the best there is', async () => {
    const kinds = fc.record({
      position: fc.constantFrom('supine' as const, 'prone' as const, 'side-left' as const),
      hands: fc.constantFrom('dry' as const, 'oiled' as const, 'stone' as const, 'gloved' as const),
      therapist: fc.constantFrom('head' as const, 'left' as const, 'right' as const),
      side: fc.constantFrom('left' as const, 'right' as const, 'both' as const),
    });
    for (const strands of [3, 4])
      for (const settings of fc.sample(fc.array(kinds, { minLength: 16, maxLength: 16 }), { numRuns: 3, seed: 7 })) {
        const blocks = settings.map((setting, i) =>
          block(`b${i}`, { ...setting, after: i < strands ? [] : [`b${i - strands}`] }),
        );
        const own = sequenceBlocks(blocks);
        expect(own.ok && own.value.setupSeconds).toBeCloseTo(
          await leastOrderByFlow(blocks, startSetting, usualCosts),
          6,
        );
      }
  });

  it('the repetitions cost no more quality', async () => {
    for (const steps of fc.sample(anySteps(14), { numRuns: 12, seed: 5 })) {
      const available = Math.round(0.8 * steps.reduce((sum, one) => sum + secondsAt(one, one.usual), 0));
      const fit = fitTime(steps, available);
      if (fit.fits) expect(fit.penalty).toBeCloseTo(await leastPenaltyByProgram(steps, available), 6);
    }
  });

  it('blends of eight candidates are as good as any', async () => {
    const anyWish = fc.record({
      picks: fc.uniqueArray(fc.constantFrom(...oilBook.oils.keys()), { minLength: 8, maxLength: 8 }),
      costs: fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 8, maxLength: 8 }),
      uses: fc.uniqueArray(fc.constantFrom(...useIds), { minLength: 1, maxLength: 3 }),
      volumeMl: fc.constantFrom(20, 30, 50),
    });
    for (const { picks, costs, uses, volumeMl } of fc.sample(anyWish, { numRuns: 12, seed: 9 })) {
      const input: BestBlendCase = {
        ...{ volumeMl, area: 'body', client: adult, targetPercent: 2.5, maxOils: 4 },
        candidates: picks.map((oil, i) => ({ oil, costPerDrop: costs[i] ?? 0, maxDrops: 60 })),
        wanted: uses.map((use, i) => ({ use, weight: i + 1 })),
        notes: { top: 0.3, middle: 0.5, base: 0.2 },
      };
      const own = bestBlend(oilBook, input);
      const merit = await bestMeritByProgram(blendProblem(oilBook, input));
      expect(own.kind === 'found' && own.blend.objective).toBeCloseTo(merit, 6);
    }
  });
});
