import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { homeLanguages, homeRoutine } from '../../catalogue/homecare/homecare';
import { homeRoutines } from '../../catalogue/homecare/routines.data';
import { tellHomeStep } from '../../catalogue/homecare/tell';
import { shippedLibrary as library } from '../../catalogue/library/library';
import type { Finding } from '../drainage/finding';
import { makeCase, type Wish } from '../drainage/fixtures';
import { findHindrances } from '../drainage/hindrance';
import { type Brought, judge } from '../../../tests/judged-client';
import { sheetFromLibrary } from './from-library';
import { type PlannedHomeWish, sheetFromPlan } from './from-plan';
import { canReach } from './reach';
import { keptTo, mayDo } from './rhythm';
import { type HomeReach, type HomeRoutineId, type HomeSheet, stepsOf } from './sheet';

const able: HomeReach = { bends: true, usesLeft: true, usesRight: true };
const trained = ['massage', 'intraoral', 'esthetics'];

const planned = (wish: Partial<PlannedHomeWish>, of: Wish = {}) =>
  sheetFromPlan(anatomy, makeCase(['leg.left'], { qualifications: ['lymphoedema-certified'], ...of }), {
    ...{ routine: 'one-leg', side: 'left', minutes: 18, reach: able },
    ...wish,
  });
const fromLibrary = (
  id: HomeRoutineId,
  findings: readonly Finding[] = [],
  conditions: readonly Brought[] = [],
  held: readonly string[] = trained,
) =>
  sheetFromLibrary(anatomy, library, homeRoutine(id), findings, judge(conditions, held), {
    ...{ side: null, minutes: homeRoutine(id).minutes.usual, reach: able },
  });
const must = (result: ReturnType<typeof planned>): HomeSheet => {
  if (!result.ok) throw new Error(result.errors[0]?.message);
  return result.value;
};
const touched = (sheet: HomeSheet) =>
  stepsOf(sheet).flatMap(({ places, toward, via }) => [...places, ...via, ...(toward ? [toward] : [])]);

describe('a sheet from the planner', () => {
  it('begins with breath, goes down the leg by quarters, and ends in its time', () => {
    const sheet = must(planned({}));
    expect(stepsOf(sheet)[0]?.kind).toBe('breathe');
    const parts = sheet.parts.map(({ id }) => id);
    const quarters = parts.filter((id) => ['thigh-upper', 'thigh-lower', 'lower-leg', 'foot'].includes(id));
    expect(quarters.indexOf('thigh-upper')).toBeLessThan(quarters.indexOf('thigh-lower'));
    expect(quarters.indexOf('thigh-lower')).toBeLessThan(quarters.indexOf('lower-leg'));
    expect(sheet.seconds).toBeLessThanOrEqual(18 * 60);
    expect(sheet.seconds).toBeGreaterThan(10 * 60);
  });

  it('leaves the lower leg to a helper when the client cannot bend', () => {
    const sheet = must(planned({ reach: { ...able, bends: false } }));
    expect(sheet.parts.some(({ id }) => id === 'foot' || id === 'lower-leg')).toBe(false);
    expect(sheet.leftOut.some(({ why }) => why === 'out of reach alone')).toBe(true);
  });

  it('after armpit surgery leads to the other side, never into the closed nodes', () => {
    const findings: Finding[] = [{ id: 'nodes-removed-axillary', side: 'left' }];
    const sheet = must(planned({ routine: 'after-armpit', minutes: 20 }, { findings }));
    expect(touched(sheet)).not.toContain('axillary.left');
    expect(stepsOf(sheet).some(({ places }) => places.includes('axillary.right'))).toBe(true);
    expect(sheet.parts.some(({ id }) => id === 'upper-arm')).toBe(true);
  });

  it('after surgery on both armpits leads down to the groins', () => {
    const findings: Finding[] = [{ id: 'nodes-removed-axillary', side: 'both' }];
    const sheet = must(planned({ routine: 'after-armpit', side: 'both', minutes: 20 }, { findings }));
    expect(touched(sheet).filter((id) => id.startsWith('axillary'))).toEqual([]);
    expect(touched(sheet).some((id) => id.startsWith('inguinal'))).toBe(true);
  });

  it('refuses what cannot be reached at all, and says so', () => {
    const result = planned({ routine: 'after-armpit', reach: { bends: true, usesLeft: true, usesRight: false } });
    expect(result).toMatchObject({ ok: false });
  });

  it('never touches what is closed, wounded or out of reach, for any body and any reach', () => {
    const finding = fc.constantFrom<Finding>(
      { id: 'nodes-removed-axillary', side: 'left' },
      { id: 'nodes-removed-axillary', side: 'right' },
      { id: 'nodes-removed-inguinal', side: 'left' },
      { id: 'nodes-removed-inguinal', side: 'right' },
      { id: 'open-wound', regions: ['flank-upper.left'] },
      { id: 'open-wound', regions: ['thigh-upper-outer.right'] },
    );
    const reach = fc.record({ bends: fc.boolean(), usesLeft: fc.boolean(), usesRight: fc.boolean() });
    const wish = fc.record({
      routine: fc.constantFrom('one-leg' as const, 'after-armpit' as const),
      side: fc.constantFrom('left' as const, 'right' as const, 'both' as const),
      minutes: fc.integer({ min: 8, max: 20 }),
      reach,
    });
    fc.assert(
      fc.property(
        wish,
        fc.uniqueArray(finding, { maxLength: 3, selector: (f) => JSON.stringify(f) }),
        (input, findings) => {
          const result = planned(input, { findings });
          if (!result.ok) return;
          const { blocked, closed } = findHindrances(anatomy, findings);
          for (const step of stepsOf(result.value)) {
            for (const place of step.places) {
              expect(canReach(anatomy, place, input.reach)).toBe(true);
              expect(blocked.has(place) || closed.has(place)).toBe(false);
            }
            if (step.toward) expect(blocked.has(step.toward)).toBe(false);
          }
          expect(result.value.seconds).toBeLessThanOrEqual(input.minutes * 60 + 1);
        },
      ),
      { numRuns: 120 },
    );
  });
});

describe('a sheet from the library', () => {
  it('is there for every routine that is not planned', () => {
    for (const { id } of homeRoutines.filter(({ from }) => from !== 'planner')) {
      const result = fromLibrary(id);
      expect([id, result.ok]).toEqual([id, true]);
    }
  });

  it('is ten breaths, ten circles on each open group, ten breaths', () => {
    const steps = stepsOf(must(fromLibrary('nodes-breathing')));
    expect(steps.map(({ count, repetitions }) => [count, repetitions])).toEqual([
      ['breaths', 10],
      ['times', 10],
      ['times', 10],
      ['times', 10],
      ['breaths', 10],
    ]);
  });

  it('keeps off node groups that were taken out', () => {
    const sheet = must(fromLibrary('nodes-breathing', [{ id: 'nodes-removed-axillary', side: 'both' }]));
    expect(touched(sheet).filter((id) => id.startsWith('axillary'))).toEqual([]);
    expect(sheet.leftOut.map(({ why }) => why)).toContain('closed: nothing is led there');
  });

  it('is refused with the reason when screening or training says no', () => {
    const untrained = fromLibrary('mouth', [], [], ['massage']);
    expect(untrained.ok ? stepsOf(untrained.value).filter(({ act }) => act.includes('inside')) : []).toEqual([]);
    expect(fromLibrary('nodes-breathing', [], [{ id: 'fever' }])).toMatchObject({
      ...{ ok: false, errors: [{ path: 'routine', message: expect.stringMatching(/fever|infection|ill/i) }] },
    });
  });
});

describe('the words of a sheet', () => {
  it.each(homeLanguages.map((words) => [words.languageName, words] as const))('say every step in %s', (_, words) => {
    const sheets = [
      must(planned({})),
      must(planned({ routine: 'after-armpit', side: 'both' })),
      ...homeRoutines.filter(({ from }) => from !== 'planner').map(({ id }) => must(fromLibrary(id))),
    ];
    for (const step of sheets.flatMap(stepsOf)) {
      const told = tellHomeStep(words, step);
      for (const text of [told.title, told.how, told.count]) expect(text).not.toMatch(/[{}]|undefined|^$/);
    }
  });

  it('name no illness on what others may see', () => {
    const [words] = homeLanguages;
    expect(JSON.stringify(words)).not.toMatch(/cancer|tumou?r|oedema|surgery|diagnos/i);
  });
});

describe('how often', () => {
  const done = (...days: readonly string[]) => days.map((day) => ({ day, modality: 'facial-intraoral' }));

  it('counts seven days back, and says from when it may be done again', () => {
    const twice = done('2026-11-20', '2026-11-24');
    expect(mayDo(twice, 'facial-intraoral', '2026-11-26', 2)).toEqual({ may: false, from: '2026-11-27' });
    expect(mayDo(twice, 'facial-intraoral', '2026-11-27', 2)).toEqual({ may: true });
    expect(mayDo(twice, 'home-self-care', '2026-11-26', 2)).toEqual({ may: true });
  });

  it('never allows more than the most in any seven days, whatever is ticked', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 28 }), { maxLength: 30 }),
        fc.integer({ min: 1, max: 3 }),
        (tries, most) => {
          const kept: { day: string; modality: string }[] = [];
          for (const day of tries.toSorted((a, b) => a - b).map((n) => `2026-11-${String(n).padStart(2, '0')}`))
            if (mayDo(kept, 'm', day, most).may) kept.push({ day, modality: 'm' });
          for (const { day } of kept) {
            const until = Date.parse(day);
            const week = kept.filter(
              (one) => Date.parse(one.day) <= until && Date.parse(one.day) > until - 7 * 86_400_000,
            );
            expect(week.length).toBeLessThanOrEqual(most);
          }
        },
      ),
    );
  });

  it('is told as a share of what was asked, a day’s extra not counting for another day', () => {
    const rhythm = { daysPerWeek: 7, timesPerDay: 1 };
    expect(keptTo('2026-11-01', '2026-11-07', ['2026-11-01', '2026-11-01', '2026-11-03'], rhythm)).toEqual({
      ...{ asked: 7, done: 2, percent: 29 },
    });
    expect(keptTo('2026-11-05', '2026-11-01', [], rhythm).asked).toBeGreaterThanOrEqual(0);
  });
});
