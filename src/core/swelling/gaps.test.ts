import { describe, expect, it } from 'vitest';
import { type FilledLimb, fillGaps, gapWeight, volumeSdMl } from './gaps';
import { segmentVolumes } from './volume';

const filled = (positions: readonly number[], girths: readonly (number | null)[]) => {
  const limb = fillGaps(positions, girths);
  if (typeof limb === 'string') throw new Error(limb);
  return limb;
};

describe('gaps in a taping', () => {
  it('are filled by position when one point is missing between two', () => {
    const limb = filled([0, 4, 10], [20, null, 26]);
    expect(limb.girthsCm[1]).toBeCloseTo(20 + 6 * 0.4, 9);
    expect(limb.interpolated).toEqual([1]);
    expect(gapWeight([0, 4, 10], 1)).toBeCloseTo(0.4, 9);
  });

  it('are filled each by itself when several single points are missing', () => {
    expect(filled([0, 4, 8, 12, 16], [20, null, 22, null, 24]).girthsCm).toEqual([20, 21, 22, 23, 24]);
  });

  it('stay open at the ends', () => {
    const limb = filled([0, 4, 8, 12], [null, 20, 21, null]);
    expect(limb).toMatchObject({ girthsCm: [null, 20, 21, null], firstMeasured: 1, lastMeasured: 2, interpolated: [] });
  });

  it('are refused when two neighbours are missing, or when fewer than two points are there', () => {
    expect(fillGaps([0, 4, 8, 12], [20, null, null, 23])).toBe('gap-too-wide');
    expect(fillGaps([0, 4, 8], [20, null, null])).toBe('too-few-points');
    expect(fillGaps([0, 4], [null, null])).toBe('too-few-points');
  });
});

describe('the error of a volume', () => {
  const positions = [0, 4, 8, 12];
  const sdOf = (limb: FilledLimb, from = 0) => {
    const girths = limb.girthsCm.slice(from) as number[];
    return volumeSdMl(positions, limb, from, segmentVolumes(positions.slice(from), girths, 'frustum').gradient, 0.2);
  };

  it('is that of independent girths', () => {
    const limb = filled(positions, [30, 30, 30, 30]);
    expect(sdOf(limb)).toBeCloseTo(((0.2 * 30 * 4) / (2 * Math.PI)) * Math.sqrt(2.5), 9);
  });

  it('grows when a point was filled in, since its neighbours count for it', () => {
    expect(sdOf(filled(positions, [30, null, 30, 30]))).toBeGreaterThan(sdOf(filled(positions, [30, 30, 30, 30])));
  });

  it('also counts a neighbour outside the common stretch', () => {
    const limb = filled(positions, [30, null, 30, 30]);
    const inside = sdOf(limb, 1);
    expect(inside).toBeGreaterThan(0);
    expect(inside).not.toBeCloseTo(sdOf(filled(positions, [30, 30, 30, 30]), 1), 6);
  });

  it('is nothing for a perfect tape', () => {
    const limb = filled(positions, [30, 30, 30, 30]);
    expect(volumeSdMl(positions, limb, 0, [1, 1, 1, 1], 0)).toBe(0);
  });
});
