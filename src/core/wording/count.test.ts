import { describe, expect, it } from 'vitest';
import { countOf, timesText } from './count';

describe('a number with what it counts', () => {
  it('is one, or many', () => {
    expect([0, 1, 2].map((n) => countOf(n, 'visit'))).toEqual(['0 visits', '1 visit', '2 visits']);
    expect(countOf(1, 'entry', 'entries')).toBe('1 entry');
  });

  it('of times is once, twice, or so many times', () => {
    expect([1, 2, 3, 11].map(timesText)).toEqual(['once', 'twice', '3 times', '11 times']);
  });
});
