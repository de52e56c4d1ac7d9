import { describe, expect, it } from 'vitest';
import { oilBook } from '../../catalogue/oils/oils';
import { screeningBook } from '../../catalogue/screening/screening';
import { isBelievable, isBelievableForOils } from './believable';

const carriedAt = (age: number) =>
  [...screeningBook.conditions.values()].filter((one) => isBelievable(one, age)).map(({ id }) => id);
const forOilsAt = (age: number) => [...oilBook.conditions.keys()].filter((id) => isBelievableForOils(id, age));

describe('a made-up client', () => {
  it('is told one age only', () => {
    for (const age of [5, 26, 84]) {
      expect(carriedAt(age)).not.toContain('older-adult');
      expect(carriedAt(age)).not.toContain('minor');
      expect(forOilsAt(age).filter((id) => id.startsWith('age-'))).toEqual([]);
    }
  });

  it('expects and nurses no child at five or at eighty', () => {
    for (const age of [5, 84]) {
      expect(carriedAt(age).filter((id) => id.startsWith('pregnancy'))).toEqual([]);
      expect(forOilsAt(age)).not.toContain('pregnancy');
      expect(forOilsAt(age)).not.toContain('breastfeeding');
    }
    expect(carriedAt(30)).toContain('pregnancy-2');
    expect(forOilsAt(30)).toContain('pregnancy');
  });

  it('may bring all else at any age', () => {
    expect(carriedAt(84).length).toBeGreaterThan(100);
    expect(forOilsAt(84)).toContain('anticoagulants');
  });
});
