import { describe, expect, it } from 'vitest';
import { screeningBook } from '../../catalogue/screening/screening';
import { mergeLimits } from './limits';
import { heldWith, missingOf, needsInWords } from './scope';
import { eventDay, holdsAfter, isDate } from './time';
import { addDays, daysBetween } from '../calendar/days';

const merge = (a: object, b: object) => mergeLimits(screeningBook.limitKeys, a, b);

describe('merging limits', () => {
  it('keeps the strictest of each key', () => {
    expect(merge({ maxPressure: 'light' }, { maxPressure: 'feather' })).toEqual({ maxPressure: 'feather' });
    expect(merge({ maxPressure: 'feather' }, { maxPressure: 'firm' })).toEqual({ maxPressure: 'feather' });
    expect(merge({ maxMinutes: 20, maxStoneC: 47 }, { maxMinutes: 30, maxStoneC: 43 })).toEqual({
      maxMinutes: 20,
      maxStoneC: 43,
    });
    expect(merge({ keepAwayCm: 5 }, { keepAwayCm: 10 })).toEqual({ keepAwayCm: 10 });
    expect(merge({ noHeat: true }, { noHeat: false })).toEqual({ noHeat: true });
    expect(merge({ waitUntil: '2026-05-01' }, { waitUntil: '2026-04-01' })).toEqual({ waitUntil: '2026-05-01' });
  });

  it('gathers lists, sorted and without doubles', () => {
    expect(merge({ avoidPosition: ['supine-flat'] }, { avoidPosition: ['prone', 'supine-flat'] })).toEqual({
      avoidPosition: ['prone', 'supine-flat'],
    });
  });

  it('leaves both arguments alone, and refuses a limit that nobody knows', () => {
    const before = Object.freeze({ maxMinutes: 20 });
    merge(before, Object.freeze({ maxMinutes: 10 }));
    expect(before).toEqual({ maxMinutes: 20 });
    expect(() => merge({}, { maxNoise: 1 })).toThrow('maxNoise');
  });
});

describe('time since an event', () => {
  it('knows real dates, whole or partial', () => {
    expect(['2026-02-28', '2024-02-29'].every((d) => isDate(d))).toBe(true);
    expect(['2026-02-29', '2026-1-1', '2026', 'today'].some((d) => isDate(d))).toBe(false);
    expect(['2026', '2026-12'].every((d) => isDate(d, true))).toBe(true);
    expect(['2026-00', '2026-13', '26'].some((d) => isDate(d, true))).toBe(false);
  });

  it('counts days over months, leap days and summer time', () => {
    expect(daysBetween('2024-02-28', '2024-03-01')).toBe(2);
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(addDays('2025-12-30', 3)).toBe('2026-01-02');
  });

  it('takes the day of an event from what is known of it', () => {
    expect(eventDay('2026-02', '2026-04-02')).toBe('2026-02-28');
    expect(eventDay('2026-04', '2026-04-02')).toBe('2026-04-02');
    expect(eventDay('2026-04-03', '2026-04-02')).toBeUndefined();
    expect(eventDay(undefined, '2026-04-02')).toBeUndefined();
  });

  it('holds from one day up to another', () => {
    const window = { fromDay: 7, untilDay: 14 };
    expect([6, 7, 13, 14].map((days) => holdsAfter(window, days))).toEqual([false, true, true, false]);
    expect(holdsAfter({ untilDay: 14 }, undefined)).toBe(true);
    expect(holdsAfter({ fromDay: 14 }, undefined)).toBe(false);
    expect(holdsAfter(undefined, undefined)).toBe(true);
  });
});

describe('qualifications', () => {
  it('imply others', () => {
    const held = heldWith(screeningBook.qualifications, ['lymphoedema-certified']);
    expect([...held].sort()).toEqual(['lymph-basic', 'lymphoedema-certified']);
    expect(missingOf(['lymph-basic', ['stone', 'esthetics']], held)).toEqual([['stone', 'esthetics']]);
    expect(missingOf(undefined, held)).toEqual([]);
  });

  it('are named in words', () => {
    expect(needsInWords(['stone', ['massage', 'esthetics']], screeningBook.qualifications)).toBe(
      'Needs Stone therapy, and Massage therapy or Beauty therapy and skin care.',
    );
  });
});
