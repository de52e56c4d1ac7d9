import { describe, expect, it } from 'vitest';
import { shortCourse } from './short';

const points = (count: number, takes = 80) =>
  Array.from({ length: count }, (_, i) => ({
    date: `2026-03-${String(1 + 5 * i).padStart(2, '0')}`,
    ...{ excessMl: 640 - 15 * i, afterExcessMl: 640 - 15 * i - takes, excessSdMl: 8 },
  }));

describe('the course ahead in short', () => {
  it('is nothing where no excess was measured', () => {
    expect(shortCourse({ points: [], volumeUnit: 'ml' })).toBeUndefined();
  });

  it('says how many visits it still needs', () => {
    expect(shortCourse({ points: points(2), volumeUnit: 'ml' })).toEqual({
      words: 'Not enough visits yet: two more with both measures, before and after the work.',
      ...{ plateau: null, rows: [] },
    });
  });

  it('says nothing of what is to come where visits took less than the tape can be wrong by', () => {
    expect(shortCourse({ points: points(6, 2), volumeUnit: 'ml' })?.rows).toEqual([]);
  });

  it('gives four intervals, each with its range or as no forecast', () => {
    const short = shortCourse({ points: points(6), volumeUnit: 'ml' });
    expect(short?.words).toMatch(/^A visit takes about \d+ % of the excess \(/);
    expect(short?.rows.map(({ every }) => every)).toEqual(['week', '2 weeks', '3 weeks', '4 weeks']);
    expect(short?.rows.map(({ visits }) => visits)).toEqual([12, 6, 4, 3]);
    for (const { comesTo } of short?.rows ?? []) expect(comesTo).toMatch(/\d+ mL \(.* to .*\)|no forecast/);
  });
});
