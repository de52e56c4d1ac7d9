import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instantOf } from './BookVisit';

describe('the time of a booking as it is typed', () => {
  it('is an instant of the house’s own clock', () => {
    expect(instantOf('2026-05-12', '9:30')).toBe(new Date(2026, 4, 12, 9, 30).toISOString());
  });

  it.each([
    ['', '9:30'],
    ['2026-05-12', ''],
    ['2026-13-40', '9:30'],
    ['2026-05-12', '25:99'],
    ['soon', 'early'],
  ])('“%s” with “%s” is none, and left to the house to refuse', (date, time) => {
    expect(instantOf(date, time)).toBe('');
  });

  it('is the same with and without the leading nought', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 10, max: 59 }), (hour, minute) => {
        expect(instantOf('2026-05-12', `${hour}:${minute}`)).toBe(instantOf('2026-05-12', `0${hour}:${minute}`));
      }),
    );
  });
});
