import { addDays, addHours } from 'date-fns';
import { homeRoutine } from '../../catalogue/homecare/homecare';
import { beforeEach, describe, expect, it } from 'vitest';
import { HomeWish } from '../../contracts/home';
import { stepsOf } from '../../core/homecare/sheet';
import { printHome } from '../paper/home-pdf';
import { bookFor, follow, mayAll, planFor } from '../treatments/treatment-fixtures';
import { listGiven } from './how-often';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { makeHomeLink, readHomePage, takeBackLink, tickHome } from './home-link';
import { logHome } from './home-log';
import { endHomeSheet, makeHomeSheet, readHome, readPrintedHome, readSheets } from './home-sheets';
import { readClient } from '../clients/read-client';
import { readProgress } from '../measures/read-progress';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const wish = (change: object = {}) =>
  HomeWish.parse({
    ...{ routine: 'one-leg', side: 'left', minutes: 18, times: ['08:00'], daysPerWeek: 7, language: 'en' },
    reach: { bends: true, usesLeft: true, usesRight: true },
    ...change,
  });
const give = async (change: object = {}) => {
  const made = await makeHomeSheet(house.db, house.visit, { wish: wish(change), keep: true }, actor);
  if (made.kind !== 'saved' || made.id === null) throw new Error(JSON.stringify(made));
  return made.id;
};
const linkTo = async (id: number, days = 60) => {
  const made = await makeHomeLink(house.db, id, days, actor);
  if (made.kind !== 'saved') throw new Error(JSON.stringify(made));
  return made.path.slice('/home/'.length);
};
const later = (days: number) => addDays(now, days);
const refusal = (result: { kind: string; errors?: readonly { path: string; message: string }[] }) =>
  result.errors?.[0]?.path;

describe('a home sheet', () => {
  it('leads the leg of this client round its closed groin', async () => {
    const made = await makeHomeSheet(house.db, house.visit, { wish: wish(), keep: false }, actor);
    if (made.kind !== 'saved') throw new Error(JSON.stringify(made));
    expect(made.id).toBeNull();
    const touched = stepsOf(made.sheet).flatMap(({ places, toward }) => [...places, toward]);
    expect(touched).not.toContain('inguinal.left');
    expect(await readSheets(house.db, house.client, now)).toEqual([]);
  });

  it('is offered with what suits the client, and says why another is refused', async () => {
    expect((await readHome(house.db, house.visit, now))?.first.routine).toBe('one-leg');
    const tooLong = await makeHomeSheet(house.db, house.visit, { wish: wish({ minutes: 28 }), keep: true }, actor);
    const tooOften = await makeHomeSheet(
      ...([house.db, house.visit] as const),
      { wish: wish({ times: ['08:00', '13:00', '20:00'] }), keep: true },
      actor,
    );
    const untrained = await makeHomeSheet(
      ...([house.db, house.visit] as const),
      { wish: wish({ routine: 'mouth', side: null, minutes: 7, daysPerWeek: 1 }), keep: true },
      actor,
    );
    expect([tooLong, tooOften, untrained].map(refusal)).toEqual(['minutes', 'daysPerWeek', 'routine']);
    expect((await makeHomeSheet(house.db, 9999, { wish: wish(), keep: true }, actor)).kind).toBe('not-found');
  });

  it('takes the place of the one before, whose link stops', async () => {
    const first = await give();
    const token = await linkTo(first);
    await give({ minutes: 15 });
    expect((await readSheets(house.db, house.client, now)).map(({ isEnded }) => isEnded)).toEqual([false, true]);
    expect(await readHomePage(house.db, token, now)).toBeUndefined();
    expect(refusal(await makeHomeLink(house.db, first, 60, actor))).toBe('sheet');
  });

  it('prints on both papers with its fonts inside', async () => {
    const printed = await readPrintedHome(house.db, await give({ note: 'Łucja: the stocking comes on afterwards.' }));
    if (!printed) throw new Error('no sheet');
    for (const paper of ['A4', 'LETTER'] as const) {
      const pdf = (await printHome(printed, paper)).toString('latin1');
      expect(pdf.startsWith('%PDF')).toBe(true);
      expect(pdf).toContain('FontFile');
      // Both sides of one leaf.
      expect(pdf.match(/\/Type \/Page\b(?!s)/g)?.length).toBeLessThanOrEqual(2);
      expect(pdf).toContain(paper === 'A4' ? '595.28' : '612');
    }
    expect(await readPrintedHome(house.db, 9999)).toBeUndefined();
  });
});

describe('the page behind a link', () => {
  it('shows a first name and the sheet, and nothing of the record', async () => {
    const page = await readHomePage(house.db, await linkTo(await give()), now);
    expect(page).toMatchObject({ firstName: 'Zoë', therapist: 'Ida Moor', house: 'Haus am Bach', againFrom: null });
    expect(JSON.stringify(page)).not.toMatch(/Ahorn|removed|0700|leftOut/);
  });

  it('is gone when guessed, run out, taken back, replaced, or ended: all look alike', async () => {
    const sheet = await give();
    const token = await linkTo(sheet, 7);
    const gone = async (input: string, at = now) => (await readHomePage(house.db, input, at)) === undefined;
    expect(await gone(token)).toBe(false);
    expect(await gone(`${token}x`)).toBe(true);
    expect(await gone('')).toBe(true);
    expect(await gone(token, later(6.9))).toBe(false);
    expect(await gone(token, later(7.1))).toBe(true);
    const next = await linkTo(sheet, 7);
    expect([await gone(token), await gone(next)]).toEqual([true, false]);
    await takeBackLink(house.db, sheet, actor);
    expect(await gone(next)).toBe(true);
    const last = await linkTo(sheet);
    await endHomeSheet(house.db, sheet, actor);
    expect(await gone(last)).toBe(true);
    expect((await tickHome(house.db, last, { id: 'tick-0001', day: '2026-11-25' }, now)).kind).toBe('not-found');
  });

  it('ticks a day once however often it is sent, and the ticks reach ledger and progress', async () => {
    const token = await linkTo(await give());
    for (const id of ['tick-0001', 'tick-0001', 'tick-0002'])
      expect((await tickHome(house.db, token, { id, day: '2026-11-25' }, now)).kind).toBe('saved');
    await tickHome(house.db, token, { id: 'tick-0003', day: '2026-11-24' }, later(0.4));
    const [sheet] = await readSheets(house.db, house.client, now);
    expect(sheet?.days).toEqual(['2026-11-24', '2026-11-25', '2026-11-25']);
    const client = await readClient(house.db, house.client, now);
    expect(client?.ledger).toMatchObject([{ modality: 'home-self-care', inSevenDays: 3, atHome: 3 }]);
    const progress = await readProgress(house.db, house.client, now);
    expect(progress?.home).toMatchObject([{ done: 1, asked: 1 }]);
    expect(progress?.home[0]?.days.at(-1)).toEqual({ day: '2026-11-25', times: 2 });
  });

  it('refuses days to come and days long past, and more than is good', async () => {
    await mayAll(house);
    const token = await linkTo(await give({ routine: 'mouth', side: null, minutes: 7, daysPerWeek: 2 }));
    const tick = (id: string, day: string, at = now) => tickHome(house.db, token, { id, day }, at);
    expect(refusal(await tick('tick-0001', '2026-11-29'))).toBe('day');
    expect(refusal(await tick('tick-0002', '2026-11-01'))).toBe('day');
    await tick('tick-0003', '2026-11-24');
    await tick('tick-0004', '2026-11-25');
    expect(await tick('tick-0005', '2026-11-25')).toMatchObject({
      ...{ kind: 'refused', errors: [{ message: '2 times in seven days is enough.' }] },
    });
    // Sent again after a lost answer, it is the same tick.
    expect((await tick('tick-0004', '2026-11-25')).kind).toBe('saved');
    const page = await readHomePage(house.db, token, now);
    expect(page).toMatchObject({ againFrom: '2026-12-01', mostPerWeek: 2 });
  });
});

describe('the paper log', () => {
  it('adds the days that the phone has not ticked, once', async () => {
    const sheet = await give();
    const token = await linkTo(sheet);
    await tickHome(house.db, token, { id: 'tick-0001', day: '2026-11-25' }, now);
    const at = { ...actor, now: later(3) };
    await logHome(house.db, sheet, ['2026-11-25', '2026-11-26'], at);
    await logHome(house.db, sheet, ['2026-11-26', '2026-11-27'], at);
    const [kept] = await readSheets(house.db, house.client, later(3));
    expect(kept?.days).toEqual(['2026-11-25', '2026-11-26', '2026-11-27']);
    expect(kept?.log).toMatchObject({ asked: 4, done: 3, percent: 75 });
    expect(refusal(await logHome(house.db, sheet, ['2026-12-24'], at))).toBe('days.0');
    expect((await logHome(house.db, 9999, ['2026-11-25'], at)).kind).toBe('not-found');
  });
});

describe('how often a sheet may be done', () => {
  it('is what screening allows, where that is less than the routine, on the page and at each tick', async () => {
    await mayAll(house);
    const id = await give({ routine: 'nodes-breathing', side: null, minutes: 4, daysPerWeek: 2 });
    const row = await house.db
      .selectFrom('home_sheet')
      .select('sheet_json')
      .where('id', '=', id)
      .executeTakeFirstOrThrow();
    const stored = row.sheet_json.replace(/"mostPerWeek":\d+/, '"mostPerWeek":2');
    expect(stored).toContain('"mostPerWeek":2');
    await house.db.updateTable('home_sheet').set({ sheet_json: stored }).where('id', '=', id).execute();
    const token = await linkTo(id);
    expect(await readHomePage(house.db, token, now)).toMatchObject({ mostPerWeek: 2 });
    await tickHome(house.db, token, { id: 'tick-0001', day: '2026-11-24' }, now);
    await tickHome(house.db, token, { id: 'tick-0002', day: '2026-11-25' }, now);
    expect(refusal(await tickHome(house.db, token, { id: 'tick-0003', day: '2026-11-25' }, now))).toBe('day');
  });

  it('counts what a therapist gave of the same kind together with what was done at home', async () => {
    await mayAll(house);
    const visit = await bookFor(house, 0, ['mouth-gloved']);
    await give({ routine: 'mouth', side: null, minutes: 7, daysPerWeek: 1 });
    const { steps } = await planFor(house, visit, ['mouth-gloved']);
    await follow(house, visit, steps);
    const evening = addHours(now, 6);
    expect(await listGiven(house.db, house.client, evening, 7)).toContainEqual({
      ...{ modality: 'facial-intraoral', day: '2026-11-25' },
    });
  });

  it('is said at the offer, with why where screening says so', async () => {
    const offers = (await readHome(house.db, house.visit, now))?.offers ?? [];
    expect(offers.length).toBeGreaterThan(4);
    for (const { routine, whyNotMore } of offers)
      expect(whyNotMore === '' || routine.mostPerWeek < homeRoutine(routine.id).mostPerWeek).toBe(true);
  });

  it('opens on what was just done, and otherwise on what was given last', async () => {
    await mayAll(house);
    const visit = await bookFor(house, 0, ['face-roller']);
    await planFor(house, visit, ['face-roller']);
    expect((await readHome(house.db, visit, now))?.first.routine).toBe('roller');
    await give();
    expect((await readHome(house.db, visit, now))?.first.routine).toBe('roller');
    expect((await readHome(house.db, house.visit, now))?.first.routine).toBe('one-leg');
  });
});
