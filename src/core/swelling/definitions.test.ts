import { describe, expect, it } from 'vitest';
import { abdomenChange } from './abdomen';
import {
  type DefinedQuantities,
  judgeByDefinition,
  largestGirthDifferenceCm,
  type SwellingDefinition,
} from './definitions';
import { fewestOwnPairs, volumeLimitMl } from './detectable';

const nothing: DefinedQuantities = {
  ...{ excessPercent: null, excessMl: null, girthDifferenceCm: null, rvcPercent: null, wacPercent: null },
};
const tenPercent: SwellingDefinition = {
  ...{ id: 'excess-volume-10-percent', short: 'by volume', name: 'x', quantity: 'excessPercent', threshold: 10 },
  ...{ needs: '', armsOnly: false, source: '' },
};

describe('a definition of swelling', () => {
  it('is met from its threshold on, rounding aside', () => {
    const met = (excessPercent: number) => judgeByDefinition(tenPercent, 'leg', { ...nothing, excessPercent }).isMet;
    expect([met(9.99), met(10), met(9.9999999999), met(12)]).toEqual([false, true, true, true]);
  });

  it('says nothing where what it needs is not known', () => {
    expect(judgeByDefinition(tenPercent, 'leg', nothing)).toMatchObject({ value: null, isMet: null });
  });

  it('meant for arms says nothing of legs', () => {
    const known = { ...nothing, excessPercent: 20 };
    expect(judgeByDefinition({ ...tenPercent, armsOnly: true }, 'leg', known)).toMatchObject({
      value: 20,
      isMet: null,
    });
    expect(judgeByDefinition({ ...tenPercent, armsOnly: true }, 'arm', known).isMet).toBe(true);
  });
});

describe('the largest difference of girths', () => {
  it('is taken where both sides were measured, and may be below nought', () => {
    expect(largestGirthDifferenceCm([30, null, 28], [29, 20, 26])).toBe(2);
    expect(largestGirthDifferenceCm([30], [31])).toBe(-1);
    expect(largestGirthDifferenceCm([30, null], [null, 30])).toBeNull();
    expect(largestGirthDifferenceCm([], [])).toBeNull();
  });
});

describe('girths of the belly', () => {
  const at = (heightCm: number, girthCm: number, isCovered = false) => ({ heightCm, girthCm, isCovered });

  it('are compared at the same height within half a centimetre', () => {
    const change = abdomenChange([at(0, 90), at(10, 85)], [at(0.5, 88), at(10, 86)], 1.5);
    expect(change?.rows.map(({ changeCm, isBeyondError }) => [changeCm, isBeyondError])).toEqual([
      [-2, true],
      [1, false],
    ]);
    expect(change?.meanCm).toBe(-0.5);
    expect(change?.largestFall?.changeCm).toBe(-2);
    expect(change?.largestRise?.changeCm).toBe(1);
    expect(change?.rows[0]?.changePercent).toBeCloseTo((-100 * 2) / 90, 9);
  });

  it('over a dressing, or at another height, are not', () => {
    expect(abdomenChange([at(0, 90, true)], [at(0, 88)], 1)).toBeUndefined();
    expect(abdomenChange([at(0, 90)], [at(0, 88, true)], 1)).toBeUndefined();
    expect(abdomenChange([at(0, 90)], [at(0.6, 88)], 1)).toBeUndefined();
  });

  it('that all fell have no rise', () => {
    expect(abdomenChange([at(0, 90)], [at(0, 88)], 1)).toMatchObject({ largestRise: null });
    expect(abdomenChange([at(0, 90)], [at(0, 90)], 1)).toMatchObject({ largestRise: null, largestFall: null });
  });
});

describe('the change of a volume that has to be exceeded', () => {
  const table = { 'arm-volume': { same: 60, different: 90 }, 'leg-volume': { same: 120, different: 180 } } as never;
  const limit = (who: Parameters<typeof volumeLimitMl>[3], house: Parameters<typeof volumeLimitMl>[1] = {}) =>
    volumeLimitMl(table, house, 'arm', who);

  it('is the table’s, more where two therapists taped', () => {
    expect(limit({ isSameTherapist: true })).toBe(60);
    expect(limit({ isSameTherapist: false })).toBe(90);
  });

  it('is the house’s own where it has one, but two therapists never need less than the table says', () => {
    expect(limit({ isSameTherapist: true }, { 'arm-volume': 40 })).toBe(40);
    expect(limit({ isSameTherapist: false }, { 'arm-volume': 40 })).toBe(90);
    expect(limit({ isSameTherapist: false }, { 'arm-volume': 130 })).toBe(130);
  });

  it('is one’s own once ten pairs stand behind it', () => {
    expect(limit({ isSameTherapist: true, own: { pairs: fewestOwnPairs - 1, mdc95: 30 } })).toBe(60);
    expect(limit({ isSameTherapist: true, own: { pairs: fewestOwnPairs, mdc95: 30 } })).toBe(30);
    expect(limit({ isSameTherapist: false, own: { pairs: fewestOwnPairs, mdc95: 30 } })).toBe(90);
    expect(limit({ isSameTherapist: false, own: { pairs: fewestOwnPairs, mdc95: 200 } })).toBe(200);
  });
});
