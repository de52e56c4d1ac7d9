import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startSetting, usualCosts } from '../src/core/sequencing/block';
import { sequenceBlocks } from '../src/core/sequencing/sequence';
import { fitTime, secondsAt } from '../src/core/sequencing/time-fit';
import { anyBlocks, anySteps } from './any-treatment';
import { leastOrderByProgram, leastPenaltyByProgram } from './integer-programs';

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

  it('the repetitions cost no more quality', async () => {
    for (const steps of fc.sample(anySteps(14), { numRuns: 12, seed: 5 })) {
      const available = Math.round(0.8 * steps.reduce((sum, one) => sum + secondsAt(one, one.usual), 0));
      const fit = fitTime(steps, available);
      if (fit.fits) expect(fit.penalty).toBeCloseTo(await leastPenaltyByProgram(steps, available), 6);
    }
  });
});
