import { describe, expect, it } from 'vitest';
import { limbVolume } from '../core/swelling/limb-volume';
import { usualProtocol } from '../catalogue/swelling/protocols';
import { makeGirths } from './girths';
import { seededRandom } from '../core/random';

describe('made-up girths', () => {
  it.each(['arm', 'leg'] as const)('have about the wished excess and no doubtful entry: %s', (limb) => {
    for (const excess of [0.08, 0.15, 0.25]) {
      const { affected, reference } = makeGirths(limb, excess, seededRandom(7));
      const result = limbVolume({
        limb,
        unit: 'cm',
        method: 'frustum',
        positions: usualProtocol(limb).positionsCm,
        affected,
        reference,
        dominant: 'none',
        dominanceCorrectionPercent: 0,
        tapeSigmaCm: 0.2,
      });
      if (!result.ok) throw new Error(result.refusal.message);
      expect(result.value.warnings).toEqual([]);
      expect((result.value.excessPercent ?? 0) / 100 / excess).toBeGreaterThan(0.6);
      expect((result.value.excessPercent ?? 0) / 100 / excess).toBeLessThan(1.2);
    }
  });

  it('come out the same for the same seed, and otherwise not', () => {
    expect(makeGirths('leg', 0.1, seededRandom(1))).toEqual(makeGirths('leg', 0.1, seededRandom(1)));
    expect(makeGirths('leg', 0.1, seededRandom(1))).not.toEqual(makeGirths('leg', 0.1, seededRandom(2)));
  });

  it('are drawn from an even spread', () => {
    const random = seededRandom(3);
    const drawn = Array.from({ length: 5000 }, random);
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...drawn)).toBeLessThan(1);
    expect(drawn.reduce((a, b) => a + b, 0) / drawn.length).toBeCloseTo(0.5, 1);
  });
});
