import { describe, expect, it } from 'vitest';
import { betterBy, excessTakenMl, excessTakenPercent } from './better';

const at = (change: number | null, isBetter: boolean | null) => ({ change, isBetter });
const limb = (excessMl: number | null, afterExcessMl: number | null) => ({ excessMl, afterExcessMl });

describe('how much better a figure was', () => {
  it('is above nothing for the better and below it for the worse, whichever way the figure went', () => {
    expect(betterBy([at(-3, true), at(2, false), at(0, null)])?.map(({ by }) => by)).toEqual([3, -2, 0]);
  });

  it('leaves out visits at which it was not taken both times', () => {
    expect(betterBy([at(null, null), at(5, true)])).toHaveLength(1);
  });

  it('is not told where neither way is better, also of visits at which it stayed', () => {
    expect(betterBy([at(0, null), at(4, null)])).toBeUndefined();
    expect(betterBy([at(0, null)])?.[0]?.by).toBe(0);
  });
});

describe('what a visit took of the excess', () => {
  it('is the difference, and nothing where one of the two was not taped', () => {
    expect(excessTakenMl(limb(600, 520))).toBe(80);
    expect(excessTakenMl(limb(600, 640))).toBe(-40);
    expect(excessTakenMl(limb(600, null))).toBeUndefined();
    expect(excessTakenMl(limb(null, 500))).toBeUndefined();
  });

  it('is a share of all limbs that held more before, one of them or both', () => {
    expect(excessTakenPercent([limb(400, 360)])).toBe(10);
    expect(excessTakenPercent([limb(400, 360), limb(100, 90)])).toBe(10);
    expect(excessTakenPercent([limb(400, 360), limb(100, null), limb(-20, -30)])).toBe(10);
    expect(excessTakenPercent([limb(0, 0)])).toBeUndefined();
    expect(excessTakenPercent([])).toBeUndefined();
  });
});
