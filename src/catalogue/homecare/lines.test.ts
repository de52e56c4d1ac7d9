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
const arms = sheet('after-armpit', 'both', [
  removed('nodes-removed-axillary', 'left'),
  removed('nodes-removed-axillary', 'right'),
]);
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
    // An arm has its chest with it.
    expect(lines.length).toBeLessThanOrEqual(one === arm ? 15 : 14);
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
    const lines = round.parts.flatMap((part) => linesOf(bare, round, part));
    expect(lines.flatMap(({ steps }) => steps)).toHaveLength(stepsOf(round).length);
    for (const { steps } of lines) expect(new Set(steps.map(({ act }) => act)).size).toBe(1);
  });

  it('of the chest say which way its fluid goes, never another', () => {
    const trunk = (one: HomeSheet) =>
      one.parts.filter(({ id }) => id === 'trunk').flatMap((part) => linesOf(english, one, part));
    expect(trunk(arm).map(({ title }) => title)).toEqual([
      'Right upper chest',
      'Down your side: right',
      'Below the operated breast: right',
    ]);
    expect(trunk(arm)[0]?.count).toContain('towards the right front of neck');
    // On paper and on the phone: nothing sends it across, or to an armpit, that goes up to the collarbone.
    expect(trunk(arm)[0]?.how).not.toMatch(/across|armpit|groin/);
    expect(trunk(arms)[0]?.how).not.toMatch(/across|armpit|groin/);
    for (const { title, steps } of [arms, arm].flatMap(trunk))
      if (/across/.test(title)) for (const { places, toward } of steps) expect(toward).not.toBe(places[0]);
    expect(trunk(arms).map(({ title }) => title)).toEqual([
      'Upper chest, both sides',
      'Down your side: both sides',
      'Below the operated breast: both sides',
    ]);
    expect(trunk(arms)[0]?.count).toContain('on its own side');
  });

  it('speak of breathing only where one breathes', () => {
    for (const { title, steps } of [natural, round, arm, arms].flatMap(told))
      if (title.startsWith('Breathe')) expect(steps.map(({ kind }) => kind)).toContain('breathe');
    expect(told(arms).filter(({ title }) => title.startsWith('Breathe'))).toHaveLength(1);
  });

  it('of the second arm are those of the first', () => {
    const keys = told(arms)
      .filter(({ title }) => /: (left|right)$/.test(title))
      .map(({ title, key }) => [title.split(': ')[1], key] as const);
    const of = (side: string) => keys.flatMap(([one, key]) => (one === side ? [key] : []));
    expect(of('right').length).toBeGreaterThan(3);
    for (const key of of('right')) expect(of('left')).toContain(key);
  });

  it('of both arms are told once for both sides where it is the same', () => {
    const lines = told(arms);
    expect(lines.filter(({ title }) => title.includes('ront of neck')).map(({ title }) => title)).toEqual([
      'Front of neck, both sides',
    ]);
    const ids = (steps: readonly HomeStep[]) => steps.map((step) => JSON.stringify(step)).sort();
    expect(ids(lines.flatMap(({ steps }) => steps))).toEqual(ids(stepsOf(arms)));
  });

  it('have German words for every group that sheets use', () => {
    const used = homeGroups.filter(({ sheet: of, leads }) => of !== 'chest' || leads);
    expect(homeGroupsDe.map(({ regions }) => regions)).toEqual(used.map(({ regions }) => regions));
    for (const [i, group] of used.entries()) {
      expect(Object.keys(homeGroupsDe[i] ?? {}).sort(), group.title).toEqual(Object.keys(group).sort());
    }
  });
});
