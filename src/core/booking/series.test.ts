import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween } from '../calendar/days';
import { seriesDays, type SeriesWish } from './series';

const friday = '2026-12-04';
const wish = (change: Partial<SeriesWish> = {}): SeriesWish => ({
  ...{ firstDay: friday, everyDays: 7, times: 3, daysOff: [6, 7], lastDay: undefined },
  ...change,
});

describe('a series of visits', () => {
  it('goes by weeks on the same weekday', () => {
    expect(seriesDays(wish())).toEqual({ days: [friday, '2026-12-11', '2026-12-18'], shifted: 0, leftOut: 0 });
  });

  it('goes by days too, from a closed day to the next open one, without drifting', () => {
    expect(seriesDays(wish({ everyDays: 3, times: 4 }))).toEqual({
      // Monday for its own turn, Thursday, Sunday: on Monday.
      days: [friday, '2026-12-07', '2026-12-10', '2026-12-14'],
      ...{ shifted: 1, leftOut: 0 },
    });
    expect(seriesDays(wish({ everyDays: 10, times: 3, daysOff: [1, 6, 7] })).days.at(-1)).toBe('2026-12-24');
  });

  it('never books two on one day', () => {
    expect(seriesDays(wish({ everyDays: 1, times: 4 })).days).toEqual([
      friday,
      '2026-12-07',
      '2026-12-08',
      '2026-12-09',
    ]);
  });

  it('stays with a first day that was chosen although nobody works then', () => {
    const { days, shifted } = seriesDays(wish({ firstDay: '2026-12-05', times: 2 }));
    expect([days, shifted]).toEqual([['2026-12-05', '2026-12-12'], 0]);
  });

  it('ends before a note runs out, and says how many that leaves out', () => {
    expect(seriesDays(wish({ times: 5, lastDay: '2026-12-18' }))).toMatchObject({ shifted: 0, leftOut: 2 });
    // A day that would be moved past it is left out too.
    expect(seriesDays(wish({ everyDays: 8, times: 2, lastDay: '2026-12-13' }))).toMatchObject({ leftOut: 1 });
  });

  it('is one day when it is once, also where nobody ever works', () => {
    expect(seriesDays(wish({ times: 1 })).days).toEqual([friday]);
    expect(seriesDays(wish({ daysOff: [1, 2, 3, 4, 5, 6, 7], times: 2 })).days).toHaveLength(2);
  });

  it('rises day by day, keeps to open days, and never comes before its turn', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 12 }),
        fc.subarray([1, 2, 3, 4, 6, 7]),
        (everyDays, times, daysOff) => {
          const { days } = seriesDays(wish({ everyDays, times, daysOff }));
          expect(days).toHaveLength(times);
          days.forEach((day, i) => {
            if (i > 0) expect(day > (days[i - 1] ?? '')).toBe(true);
            expect(daysBetween(friday, day)).toBeGreaterThanOrEqual(i * everyDays);
            expect(daysOff).not.toContain(new Date(`${day}T12:00:00Z`).getUTCDay() || 7);
          });
        },
      ),
    );
  });
});
