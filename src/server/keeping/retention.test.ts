import { addHours, differenceInDays, subDays } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outlived } from './retention';

const now = new Date(2026, 10, 30, 3, 0);
const keptOf = (made: readonly Date[]) => {
  const gone = new Set(outlived(made, now).map((one) => one.getTime()));
  return made.filter((one) => !gone.has(one.getTime()));
};

describe('which backups are kept', () => {
  it('is one of each of the last seven days, four weeks and twelve months', () => {
    const nightly = Array.from({ length: 500 }, (_, i) => subDays(now, i));
    const kept = keptOf(nightly);
    const ages = kept.map((one) => differenceInDays(now, one));
    expect(ages.filter((age) => age < 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(kept.length).toBeLessThanOrEqual(1 + 8 + 5 + 13);
    expect(Math.max(...ages)).toBeGreaterThan(330);
    expect(Math.max(...ages)).toBeLessThan(370);
  });

  it('of several on one day is the newest', () => {
    const morning = subDays(now, 2);
    expect(keptOf([morning, addHours(morning, 5), addHours(morning, 9)])).toEqual([addHours(morning, 9)]);
  });

  it('is the only one there is, however old', () => {
    const old = subDays(now, 4000);
    expect(keptOf([old])).toEqual([old]);
    expect(outlived([], now)).toEqual([]);
  });

  it('always has the newest in it, and asking again takes no more away', () => {
    const moments = fc.array(fc.integer({ min: 0, max: 900 * 24 }), { maxLength: 60 });
    fc.assert(
      fc.property(moments, (hours) => {
        const made = [...new Set(hours)].map((ago) => addHours(now, -ago));
        const kept = keptOf(made);
        if (made.length > 0) expect(kept).toContainEqual(new Date(Math.max(...made.map((one) => one.getTime()))));
        expect(keptOf(kept)).toEqual(kept);
      }),
    );
  });
});
