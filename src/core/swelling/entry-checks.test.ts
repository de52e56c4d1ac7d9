import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkBothSides, checkSide } from './entry-checks';

const positions = [0, 4, 8, 12, 16, 20];
const leg = (girths: readonly (number | null)[], unit: 'cm' | 'in' = 'cm') =>
  checkSide('leg', 'affected', unit, positions, girths).map((w) => [w.code, w.at]);
const both = (affected: readonly (number | null)[], reference: readonly (number | null)[]) =>
  checkBothSides(affected, reference, segments(affected), segments(reference), []).map((w) => [w.code, w.at]);
const segments = (girths: readonly (number | null)[]) =>
  girths.slice(1).map((girth, i) => ((girth ?? 0) + (girths[i] ?? 0)) ** 2);

describe('one side', () => {
  it('is not doubted when it rises smoothly', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 21, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (start, rise) => {
          expect(leg(positions.map((_, i) => start + i * rise))).toEqual([]);
        },
      ),
    );
  });

  it('is suspected as a whole when its median belongs to the other unit', () => {
    expect(leg([8, 9, 10, 11, 12, 13])).toContainEqual(['unit-suspect-affected', null]);
    const inCm = [30, 33, 36, 39, 42, 45].map((cm) => cm * 2.54);
    expect(leg(inCm, 'in')).toContainEqual(['unit-suspect-affected', null]);
    expect(leg([22, 24, 26, 28, 30, 33])).toEqual([]);
  });

  it('does not report ranges on a side that is suspected already', () => {
    expect(leg([8, 9, 10, 11, 12, 13]).filter(([code]) => String(code).startsWith('range'))).toEqual([]);
  });

  it('finds the point that leaves the line, and guesses why', () => {
    expect(leg([30, 31, 32, 43, 34, 35])).toEqual([['jump-affected', 3]]);
    expect(leg([30, 31, 32, 330, 34, 35])).toEqual([['decimal-point-affected', 3]]);
    expect(leg([30, 31, 32, 33 * 2.54, 34, 35])).toEqual([['unit-point-affected', 3]]);
  });

  it('blames either end when only its own neighbour stands out', () => {
    expect(leg([45, 31, 32, 33, 34, 35])).toEqual([['jump-affected', 0]]);
    expect(leg([30, 31, 32, 33, 34, 52])).toEqual([['jump-affected', 5]]);
  });

  it('allows more over a wide gap', () => {
    expect(checkSide('leg', 'reference', 'cm', [0, 12, 24], [22, 31, 30]).map((w) => w.code)).toEqual([]);
  });

  it('reports what no limb of that kind measures', () => {
    expect(leg([13.5, 14.5, 15.5, 26, 27, 28]).map(([code]) => code)).toContain('range-affected');
    expect(checkSide('arm', 'affected', 'cm', positions, [9.5, 12, 14, 17, 19, 20]).map((w) => w.code)).toEqual([
      'range-affected',
    ]);
  });

  it('has nothing to say of an empty side', () => {
    expect(leg([null, null, null, null, null, null])).toEqual([]);
  });
});

describe('both sides', () => {
  it('notices a row whose sides were mixed up', () => {
    expect(both([32, 33, 31, 35, 36, 37], [30, 31, 33, 33, 34, 35])).toEqual([['row-swapped', 2]]);
    expect(both([32, 33, 32.5, 35, 36, 37], [30, 31, 33, 33, 34, 35])).toEqual([]);
  });

  it('notices sides that are the same to the digit', () => {
    expect(both([30, 31, 32, 33, 34, 35], [30, 31, 32, 33, 34, 35])).toEqual([['sides-identical', null]]);
    expect(both([30, 31, 32, null, null, null], [30, 31, 32, null, null, null])).toEqual([]);
  });

  it('notices when the affected side is the smaller one throughout', () => {
    expect(both([28, 29, 30, 31, 32, 33], [30, 31, 32, 33, 34, 35])).toEqual([['sides-swapped', null]]);
    expect(both([29.8, 30.8, 31.8, 32.8, 33.8, 34.8], [30, 31, 32, 33, 34, 35])).toEqual([]);
  });

  it('leaves mistyped rows out', () => {
    const mistyped = [{ code: 'decimal-point-affected', at: 2 }];
    const found = checkBothSides([32, 33, 3.1, 35, 36, 37], [30, 31, 33, 33, 34, 35], [1], [1], mistyped);
    expect(found).toEqual([]);
  });
});
