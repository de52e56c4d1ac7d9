import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { purposes } from '../drainage/case';
import { nextVisit, type NextVisitFacts } from './next-visit';

const facts = (change: Partial<NextVisitFacts> = {}): NextVisitFacts => ({
  ...{ today: '2026-11-25', purpose: 'swelling', modalities: ['lymph-drainage'], trend: null, retentionPercent: null },
  ...{ usualDays: null, perWeek: [], fadeMinutes: null, wantedLighter: false },
  therapist: { name: 'Ida Moor', daysOff: [] },
  ...change,
});
const days = (change: Partial<NextVisitFacts>) => nextVisit(facts(change)).days;

describe('the next visit', () => {
  it('follows how the swelling goes and holds', () => {
    expect(days({ trend: 'rising', retentionPercent: 90 })).toBe(3);
    expect(days({ trend: 'falling', retentionPercent: 40 })).toBe(3);
    expect(days({ trend: 'falling', retentionPercent: 80 })).toBe(7);
    expect(days({ trend: 'steady', retentionPercent: 80 })).toBe(14);
    expect(days({ trend: 'unclear' })).toBe(7);
    expect(nextVisit(facts({ trend: 'falling', retentionPercent: 80 }))).toMatchObject({
      date: '2026-12-02',
      why: ['The excess is falling, and 80 % of a visit still holds at the next: a week is enough.'],
    });
  });

  it('is a month for skin and well-being, or as it is used to', () => {
    expect(days({ purpose: 'wellness' })).toBe(28);
    expect(days({ purpose: 'wellness', usualDays: 14 })).toBe(14);
    expect(days({ purpose: 'puffy-face' })).toBe(7);
    expect(days({ purpose: 'after-procedure' })).toBe(3);
  });

  it('waits for the skin and for what may not be given again so soon', () => {
    expect(days({ trend: 'rising', fadeMinutes: -1 })).toBe(7);
    const mouth = nextVisit(facts({ trend: 'rising', perWeek: [{ label: 'Gloved work', times: 2, most: 2 }] }));
    expect([mouth.days, mouth.why.at(-1)]).toEqual([7, 'Gloved work: at most 2 times in seven days.']);
  });

  it('falls on a day on which the therapist is in, later rather than sooner', () => {
    const on = (today: string, daysOff: readonly number[]) =>
      nextVisit(facts({ today, trend: 'rising', therapist: { name: 'Ida Moor', daysOff } }));
    // Three days from a Thursday is a Sunday.
    expect(on('2026-11-26', [7])).toMatchObject({ date: '2026-11-30', days: 4 });
    expect(on('2026-11-26', [7]).why).toContain('Ida Moor is not in the day before.');
    expect(on('2026-11-26', [7, 1, 2]).why).toContain('Ida Moor is not in the days before.');
    expect(on('2026-11-25', [7]).date).toBe('2026-11-28');
    expect(on('2026-11-26', [1, 2, 3, 4, 5, 6, 7]).days).toBe(3);
  });

  it('is always ahead, with a reason', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...purposes),
        fc.constantFrom(null, 'falling', 'rising', 'steady', 'unclear'),
        fc.option(fc.integer({ min: -50, max: 150 })),
        fc.option(fc.integer({ min: 1, max: 90 })),
        (purpose, trend, retentionPercent, usualDays) => {
          const next = nextVisit(
            facts({ purpose, trend: trend as NextVisitFacts['trend'], retentionPercent, usualDays }),
          );
          expect(next.days).toBeGreaterThan(0);
          expect(next.date > '2026-11-25').toBe(true);
          expect(next.why.length).toBeGreaterThan(0);
        },
      ),
    );
  });
});
