import { describe, expect, it } from 'vitest';
import { brought, seeded } from '../../../tests/brought';
import { type Brought, everything, judge } from '../../../tests/judged-client';
import { anatomy } from '../../catalogue/anatomy';
import { homeRoutines } from '../../catalogue/homecare/routines.data';
import { shippedLibrary } from '../../catalogue/library/library';
import { screeningBook } from '../../catalogue/screening/screening';
import { defaultSchool, type QualificationId } from '../drainage/case';
import { violationsOf } from '../judgement/violations';
import { drainageFindings } from '../drainage/from-screening';
import { toCheckedSheet } from './checked';
import { composeSheet } from './compose';
import { type HomeRoutine, stepsOf } from './sheet';

const conditions = [...screeningBook.conditions.keys()];
const reach = { bends: true, usesLeft: true, usesRight: true };

function sheetFor(routine: HomeRoutine, list: readonly Brought[], side: 'left' | 'right' = 'left') {
  const input = {
    focus: [`arm.${side}`],
    purpose: 'swelling',
    findings: drainageFindings(screeningBook, list),
    school: defaultSchool,
    minutes: 60,
    fill: false,
    qualifications: everything as readonly QualificationId[],
  } as const;
  const asked = { side, minutes: routine.minutes.usual, reach };
  return composeSheet(anatomy, shippedLibrary, judge(list), routine, input, asked);
}

const placed = (routine: HomeRoutine, list: readonly Brought[]) => {
  const sheet = sheetFor(routine, list);
  return new Set(sheet.ok ? stepsOf(sheet.value).flatMap(({ places }) => places) : []);
};

describe('every condition with every sheet for home', () => {
  it.each(homeRoutines.map((routine) => [routine.id, routine] as const))('holds for %s', (_id, routine) => {
    const random = seeded(41);
    let drawn = 0;
    for (const id of conditions) {
      const list = [brought(id, random)];
      const sheet = sheetFor(routine, list);
      if (!sheet.ok) continue;
      drawn += 1;
      const judgement = judge(list);
      const checked = toCheckedSheet(shippedLibrary, routine, sheet.value);
      expect(violationsOf(checked, judgement), JSON.stringify(list)).toEqual([]);
      const led = stepsOf(sheet.value).flatMap(({ places, toward }) => [...places, toward ?? '']);
      expect(
        led.filter((place) => judgement.closedGroups.has(place)),
        JSON.stringify(list),
      ).toEqual([]);
    }
    expect(drawn).toBeGreaterThan(10);
  });

  it.each(homeRoutines.filter(({ from }) => from !== 'planner').map((routine) => [routine.id, routine] as const))(
    'never gains a place by one condition more: %s',
    (_id, routine) => {
      const random = seeded(42);
      const without = placed(routine, []);
      for (const id of conditions)
        for (const place of placed(routine, [brought(id, random)]))
          expect(without.has(place), `${place} with ${id}`).toBe(true);
    },
  );
});
