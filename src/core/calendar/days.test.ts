import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayNumber, daysBetween } from './days';

const date = fc
  .date({ min: new Date('1900-01-01'), max: new Date('2100-12-31'), noInvalidDate: true })
  .map((day) => day.toISOString().slice(0, 10));

describe('days', () => {
  it('are counted over the ends of months, years and leap days', () => {
    expect(daysBetween('2026-11-25', '2026-12-02')).toBe(7);
    expect(daysBetween('2023-12-31', '2024-03-01')).toBe(61);
    expect(daysBetween('2026-12-02', '2026-11-25')).toBe(-7);
  });

  it('know no hour that is left out or comes twice', () => {
    expect(addDays('2026-03-28', 1)).toBe('2026-03-29');
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
  });

  it('are the same forwards and backwards', () => {
    fc.assert(
      fc.property(date, fc.integer({ min: -40_000, max: 40_000 }), (from, days) => {
        const to = addDays(from, days);
        expect(daysBetween(from, to)).toBe(days);
        expect(dayNumber(to) - dayNumber(from)).toBe(days);
        expect(addDays(to, -days)).toBe(from);
      }),
    );
  });
});
