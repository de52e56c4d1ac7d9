import { describe, expect, it } from 'vitest';
import { type ComparedTaping, compareTapings } from './compare-tapings';
import { limbVolume } from './limb-volume';

const before: ComparedTaping = {
  limb: 'leg',
  side: 'left',
  unit: 'cm',
  positions: [0, 4, 8, 12, 16],
  affected: [23, 26, 29, 33, 36],
  reference: [22, 24, 27, 30, 33],
};
const after = { ...before, affected: [23, 25.5, 28.5, 32.5, 35.5] };

describe('comparing two tapings', () => {
  it('takes the excess where both sides were taped both times', () => {
    const change = compareTapings(before, after, 0);
    expect(change?.of).toBe('excess');
    const excess = (taping: ComparedTaping) => {
      const result = limbVolume({
        ...taping,
        method: 'frustum',
        dominant: 'none',
        dominanceCorrectionPercent: 0,
        tapeSigmaCm: 0.2,
      });
      return result.ok ? (result.value.excessMl ?? NaN) : NaN;
    };
    expect(change?.ml).toBeCloseTo(excess(after) - excess(before), 9);
  });

  it('never sets a half-finished run against a whole one', () => {
    const half = { ...after, affected: [23, 25.5, 28.5, null, null], reference: [22, 24, 27, null, null] };
    const change = compareTapings(before, half, 0);
    expect(change?.ml).toBeLessThan(0);
    expect(Math.abs(change?.ml ?? 0)).toBeLessThan(40);
    const short = { ...before, positions: [0, 4, 8], affected: [23, 26, 29], reference: [22, 24, 27] };
    expect(change?.fromMl).toBeCloseTo(compareTapings(short, short, 0)?.fromMl ?? NaN, 9);
  });

  it('compares the affected limb alone when the other one was not taped again', () => {
    const alone = { ...after, reference: [null, null, null, null, null] };
    expect(compareTapings(before, alone, 0)?.of).toBe('affected');
  });

  it('finds no change between centimetres and inches of the same girths', () => {
    const toInches = (values: readonly (number | null)[]) => values.map((cm) => (cm === null ? null : cm / 2.54));
    const inches = {
      ...before,
      unit: 'in' as const,
      positions: before.positions.map((cm) => cm / 2.54),
      affected: toInches(before.affected),
      reference: toInches(before.reference),
    };
    expect(compareTapings(before, inches, 0)?.ml).toBeCloseTo(0, 6);
  });

  it('judges against the minimal detectable change when it is the larger', () => {
    expect(compareTapings(before, after, 300)).toMatchObject({ limitMl: 300, beyond: false });
  });

  it('says nothing of other limbs, other sides or too few common marks', () => {
    expect(compareTapings(before, { ...after, side: 'right' }, 0)).toBeUndefined();
    expect(compareTapings(before, { ...after, limb: 'arm' }, 0)).toBeUndefined();
    expect(compareTapings(before, { ...after, positions: [1, 5, 9, 13, 17] }, 0)).toBeUndefined();
  });
});
