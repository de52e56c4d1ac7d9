import { describe, expect, it } from 'vitest';
import type { ComparedTaping } from './compare-tapings';
import { seriesOf } from './course';
import { usualVolume } from './settings';

const taping = (change: Partial<ComparedTaping> = {}): ComparedTaping => ({
  limb: 'leg',
  side: 'left',
  unit: 'cm',
  positions: [0, 4, 8, 12, 16],
  affected: [23, 25, 28, 32, 35],
  reference: [22, 24, 27, 30, 33],
  ...change,
});

describe('a series of tapings', () => {
  it('is worked out over the stretch that all of them share', () => {
    const series = seriesOf([taping({ affected: [23, 25, 28, 32, null] }), taping()], usualVolume);
    expect([series?.fromCm, series?.toCm]).toEqual([0, 12]);
    expect(series?.points.map(({ volume }) => volume.segments.length)).toEqual([3, 3]);
  });

  it('names apart what was taped by other points, or covers too little', () => {
    const other = taping({ positions: [0, 5, 10, 15, 20] });
    const short = taping({ affected: [23, 25, 28, null, null] });
    const broken = taping({ affected: [23, null, null, 32, 35] });
    const series = seriesOf([other, short, broken, taping()], usualVolume);
    expect(series?.leftOut.map(({ why }) => why)).toEqual(['other-points', 'too-short', 'too-few-points']);
    expect(series?.points).toHaveLength(1);
  });

  it('reads inches and centimetres as one series', () => {
    const inches = taping({
      unit: 'in',
      positions: [0, 4, 8, 12, 16].map((x) => x / 2.54),
      affected: [23, 25, 28, 32, 35].map((c) => c / 2.54),
      reference: [22, 24, 27, 30, 33].map((c) => c / 2.54),
    });
    const series = seriesOf([inches, taping()], usualVolume);
    const [a, b] = series?.points.map(({ volume }) => volume.excessMl) ?? [];
    expect(a).toBeCloseTo(b ?? NaN, 6);
  });

  it('compares with the other limb only where every taping has it', () => {
    const alone = taping({ reference: [null, null, null, null, null] });
    const series = seriesOf([alone, taping()], usualVolume);
    expect(series?.points.every(({ volume }) => volume.excessMl === null)).toBe(true);
    expect(seriesOf([], usualVolume)).toBeUndefined();
  });
});
