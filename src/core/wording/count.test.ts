import { describe, expect, it } from 'vitest';
import { countOf } from './count';

describe('a number with what it counts', () => {
  it('is one, or many', () => {
    expect([0, 1, 2].map((n) => countOf(n, 'visit'))).toEqual(['0 visits', '1 visit', '2 visits']);
    expect(countOf(1, 'entry', 'entries')).toBe('1 entry');
  });
});
