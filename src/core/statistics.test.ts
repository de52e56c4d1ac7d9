import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exceeds, isBelow, median, middleOf, reaches, slack, sumOf } from './statistics';

const values = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 40 });

describe('the middle of values', () => {
  it('is the middle one, or the mean of the middle two', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 3, 2])).toBe(2.5);
    expect(middleOf(Float64Array.of(1, 2, 9))).toBe(2);
  });

  it('is not known of none', () => expect(() => median([])).toThrow(RangeError));

  it('has as many values above it as below, and does not move when all do', () => {
    fc.assert(
      fc.property(values, (list) => {
        const middle = median(list);
        expect(list.filter((value) => value < middle).length).toBeLessThanOrEqual(list.length / 2);
        expect(list.filter((value) => value > middle).length).toBeLessThanOrEqual(list.length / 2);
        expect(median(list.toReversed())).toBe(middle);
      }),
    );
  });
});

describe('limits', () => {
  it('are met by what lies on them but for rounding', () => {
    expect(exceeds(0.1 + 0.2, 0.3)).toBe(false);
    expect(reaches(0.3, 0.1 + 0.2)).toBe(true);
    expect(isBelow(0.3 - 2 * slack, 0.3)).toBe(true);
  });

  it('are never exceeded and undercut at once, and one of three holds', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true }), fc.double({ noNaN: true }), (value, limit) => {
        expect(exceeds(value, limit) && isBelow(value, limit)).toBe(false);
        expect(reaches(value, limit)).toBe(!isBelow(value, limit));
      }),
    );
  });
});

describe('a sum', () => {
  it('of nothing is nothing', () => expect([sumOf([]), sumOf([1, 2, 3])]).toEqual([0, 6]));
});
