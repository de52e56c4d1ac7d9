import { describe, expect, it } from 'vitest';
import { defaultSchool, type DrainageCase } from '../../core/drainage/case';
import type { Finding } from '../../core/drainage/finding';
import { sheetFromPlan } from '../../core/homecare/from-plan';
import { type HomeSheet, type HomeStep, stepsOf } from '../../core/homecare/sheet';
import { anatomy } from '../anatomy';
import { homeGroups, homeGroupsDe } from './home-places';
import { linesOf } from './lines';
import { routeOf } from './route';
import { english } from './words.en';
import { german } from './words.de';

const reach = { bends: true, usesLeft: true, usesRight: true };

function sheet(
  routine: 'one-leg' | 'after-armpit',
  side: 'left' | 'right' | 'both',
  findings: readonly Finding[] = [],
): HomeSheet {
  const input: DrainageCase = {
    ...{ focus: [], purpose: 'swelling', school: defaultSchool, minutes: 18, fill: false },
    qualifications: ['lymph-basic', 'lymphoedema-certified'],
    findings,
  };
  const found = sheetFromPlan(anatomy, input, { routine, side, minutes: 18, reach });
  if (!found.ok) throw new Error(found.errors[0]?.message);
  return found.value;
}
const removed = (id: Finding['id'], side: 'left' | 'right'): Finding => ({ id, side });
const told = (one: HomeSheet) => one.parts.flatMap((part) => linesOf(english, one, part));

const natural = sheet('one-leg', 'left');
const round = sheet('one-leg', 'left', [removed('nodes-removed-inguinal', 'left')]);
const arm = sheet('after-armpit', 'right', [removed('nodes-removed-axillary', 'right')]);

describe('which way a sheet leads', () => {
  it('is told by the doors that it opens', () => {
    expect([natural, round, arm].map(routeOf)).toEqual(['open', 'leg', 'arm']);
    expect(routeOf({ ...natural, routine: 'face-three' })).toBeUndefined();
  });
});

describe('lines on paper', () => {
  it.each([
    ['a leg by its own groin', natural],
    ['a leg round its groin', round],
    ['an arm round its armpit', arm],
  ])('of %s are about ten, and hold every step once', (_, one) => {
    const lines = told(one);
    expect(lines.length).toBeGreaterThanOrEqual(6);
    const ids = (steps: readonly HomeStep[]) => steps.map((step) => JSON.stringify(step)).sort();
    expect(ids(lines.flatMap(({ steps }) => steps))).toEqual(ids(stepsOf(one)));
    expect(lines.length).toBeLessThanOrEqual(14);
  });

  it('have each a side, a count, and how it is done with a hand and a reason', () => {
    for (const line of [natural, round, arm].flatMap(told)) {
      expect(line.count, line.title).toMatch(/\d/);
      expect(line.how.length, line.title).toBeGreaterThan(30);
    }
    expect(told(round).map(({ title }) => title)).toContain('Upper thigh: left');
  });

  it('say the counts that fit the minutes, not other ones', () => {
    const [breathe] = told(round);
    const breaths = breathe?.steps.find(({ count }) => count === 'breaths')?.repetitions;
    expect(breathe?.how).toContain(`${breaths} slow breaths`);
    const last = told(round).at(-1);
    expect(last?.how).toMatch(/\d+ times each, then \d+ breaths/);
  });

  it('name the doors that are opened, and lead to no other', () => {
    const doors = told(round).find(({ title }) => title.startsWith('Open the two doors'));
    expect(doors?.title).toMatch(/left armpit/);
    expect(doors?.title).toMatch(/right groin/);
    expect(doors?.how).toContain('other groin');
    const own = told(natural).find(({ title }) => title.startsWith('Open the two doors'));
    expect(own?.title).toMatch(/left groin/);
    expect(own?.title).not.toMatch(/armpit/);
    expect(own?.how).toContain('groin of this leg');
  });

  it('are the same lines in German, with the counts that fit', () => {
    for (const one of [natural, round, arm]) {
      const lines = one.parts.flatMap((part) => linesOf(german, one, part));
      expect(lines).toHaveLength(told(one).length);
      for (const { title, how } of lines) {
        expect(how, title).not.toMatch(/[{}]/);
        expect(how, title).not.toMatch(/\b(the|and|hand on)\b/);
      }
    }
    expect(round.parts.flatMap((part) => linesOf(german, round, part))[0]?.how).toMatch(/\d+ langsame Atemzüge/);
  });

  it('are single steps where a language has no words for groups', () => {
    const bare = { ...german, groups: undefined };
    expect(round.parts.flatMap((part) => linesOf(bare, round, part))).toHaveLength(stepsOf(round).length);
  });

  it('have German words for every group of leg and arm', () => {
    const ofLimbs = homeGroups.filter(({ sheet: of }) => of !== 'chest');
    expect(homeGroupsDe.map(({ regions }) => regions)).toEqual(ofLimbs.map(({ regions }) => regions));
    for (const [i, group] of ofLimbs.entries()) {
      expect(Object.keys(homeGroupsDe[i] ?? {}).sort(), group.title).toEqual(Object.keys(group).sort());
    }
  });
});
