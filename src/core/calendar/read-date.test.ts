import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dateOrders, readDate, readRoughDate, writeDate, writeRoughDate } from './read-date';

describe('a date as somebody types it', () => {
  it('is read in the order in which the house writes dates', () => {
    expect(readDate('3/2/2026', 'day-month-year')).toBe('2026-02-03');
    expect(readDate('3/2/2026', 'month-day-year')).toBe('2026-03-02');
    expect(readDate('2026-3-2', 'year-month-day')).toBe('2026-03-02');
  });

  it('says its order itself when the year stands in front', () => {
    for (const order of dateOrders) expect(readDate('1975-04-18', order)).toBe('1975-04-18');
  });

  it('may be typed on a pad that has digits only', () => {
    expect(readDate('18041975', 'day-month-year')).toBe('1975-04-18');
    expect(readDate('04181975', 'month-day-year')).toBe('1975-04-18');
    expect(readDate('19750418', 'year-month-day')).toBe('1975-04-18');
  });

  it('may have dots, strokes and spaces between its parts', () => {
    for (const text of ['18.4.1975', '18. 4. 1975', '18/04/1975', '18-4-1975', '18 04 1975'])
      expect(readDate(text, 'day-month-year'), text).toBe('1975-04-18');
  });

  it('is none when there is no such day, when a part is missing, or when its century is', () => {
    for (const text of ['31/2/2026', '4/1975', '18/04/75', '1804197', '', 'yesterday'])
      expect(readDate(text, 'day-month-year'), text).toBeUndefined();
  });
});

describe('a date in a field', () => {
  it('stands as the house writes it', () => {
    expect(dateOrders.map((order) => writeDate('1975-04-18', order))).toEqual([
      '1975-04-18',
      '18/04/1975',
      '04/18/1975',
    ]);
  });

  it('is read back as the same day, whatever the order', () => {
    const days = fc.date({ min: new Date('1900-01-01'), max: new Date('2100-01-01'), noInvalidDate: true });
    fc.assert(
      fc.property(days, fc.constantFrom(...dateOrders), (day, order) => {
        const iso = day.toISOString().slice(0, 10);
        expect(readDate(writeDate(iso, order), order)).toBe(iso);
        expect(readDate(writeDate(iso, order).replace(/\D/g, ''), order)).toBe(iso);
      }),
    );
  });

  it('leaves what is no date as it was typed', () => {
    expect(writeDate('18/4', 'day-month-year')).toBe('18/4');
  });
});

describe('a date of which only a part is known', () => {
  it('may be a year, a month of a year, or a whole day in the order of the house', () => {
    for (const order of dateOrders) {
      expect(readRoughDate('2024', order)).toBe('2024');
      expect(['2024-03', '2024/3', '3/2024', '03.2024'].map((text) => readRoughDate(text, order))).toEqual(
        Array.from({ length: 4 }, () => '2024-03'),
      );
    }
    expect(readRoughDate('3/2/2024', 'day-month-year')).toBe('2024-02-03');
    expect(readRoughDate('3/2/2024', 'month-day-year')).toBe('2024-03-02');
  });

  it('is none for a thirteenth month, half a year, or words', () => {
    for (const text of ['13/2024', '2024-00', '24', 'in spring', ''])
      expect(readRoughDate(text, 'day-month-year'), text).toBeUndefined();
  });

  it('is read back as it was written', () => {
    for (const iso of ['2024', '2024-03', '2024-03-18'])
      for (const order of dateOrders) expect(readRoughDate(writeRoughDate(iso, order), order)).toBe(iso);
  });
});
