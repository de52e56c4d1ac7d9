import fc from 'fast-check';
import { isSameDay } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { dayBounds, weekOf } from './house-clock';

const anyDay = fc.date({ min: new Date(2020, 0, 1), max: new Date(2040, 0, 1), noInvalidDate: true });

describe('the house’s days', () => {
  it('has every day in its own week, Sundays and the turn of the year too', () => {
    fc.assert(
      fc.property(anyDay, (day) => {
        expect(weekOf(day).filter((one) => isSameDay(one, day))).toHaveLength(1);
      }),
    );
  });

  it('begins its week on a Monday', () => {
    expect(weekOf(new Date(2026, 10, 29)).map((day) => day.getDate())).toEqual([23, 24, 25, 26, 27, 28, 29]);
  });

  it('lets one day end where the next begins, on days of 23 and 25 hours too', () => {
    fc.assert(
      fc.property(anyDay, (day) => {
        const next = new Date(day.getFullYear(), day.getMonth(), day.getDate() + 1);
        expect(dayBounds(day)[1]).toBe(dayBounds(next)[0]);
      }),
    );
  });
});
