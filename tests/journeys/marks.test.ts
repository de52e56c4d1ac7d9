import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { admit, bookAnyTime, call, post, visitOf } from '../api/client';
import { later, pace, control, go, gone, noteOf, textOf, tread, until, words } from './browser';
import { ownHouse } from './own-house';

/** One key for what is felt or said at the table; what it does to the rest, and where it stands afterwards. */
describe('marks at the table', () => {
  const house = ownHouse('marks');
  let page: Page;
  let visit: number;
  const events = async () => (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.events;
  beforeAll(async () => {
    page = house.page;
    visit = await visitOf('Runa Tolvey', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
    await go(page, `${house.url}/visits/${visit}/plan`);
    await words(page, 'Aromatherapy whole body');
    await go(page, `${house.url}/visits/${visit}/table`);
    await words(page, 'press Space to begin');
  });

  it('are made by one key, with time and place, and are kept', async () => {
    await page.keyboard.press('Space');
    await words(page, 'tighter here');
    await page.keyboard.press('1');
    await words(page, 'tighter here ✓');
    await page.keyboard.press('6');
    const marks = async () => (await events()).filter(({ kind }: { kind: string }) => kind === 'mark');
    await expect
      .poll(async () => (await marks()).map(({ mark }: { mark: string }) => mark))
      .toEqual(['tighter', 'lighter']);
    expect((await marks())[0].stepId).not.toBeNull();
  });

  it('lets a longer stay be one key, and put back by another', async () => {
    const repetitions = () => page.$eval('[aria-label="Pace"] [role="img"]', (ring) => ring.getAttribute('aria-label'));
    const before = await repetitions();
    await page.keyboard.press('+');
    await words(page, 'as planned again');
    expect(await repetitions()).not.toBe(before);
    await page.keyboard.press('u');
    await until(
      page,
      (label) => document.querySelector('[aria-label="Pace"] [role="img"]')?.getAttribute('aria-label') === label,
      before,
    );
  });

  it('takes two presses that come together as one', async () => {
    await words(page, 'step 1 of');
    // Both in one breath of the page: however busy the machine is, they are closer than a foot can tread twice.
    await page.evaluate(() => {
      for (let press = 0; press < 2; press += 1)
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown', bubbles: true, cancelable: true }));
    });
    await words(page, 'step 2 of');
    await pace();
    await tread(page, 'PageDown', 1);
    await words(page, 'step 3 of');
  });

  it('pain takes the technique out of the rest, says so, and can be taken back', async () => {
    const total = async () => Number(/step \d+ of (\d+)/.exec(await textOf(page))?.[1]);
    const before = await total();
    await page.keyboard.press('x');
    await words(page, 'Stopped.');
    const after = await total();
    expect(after).toBeLessThanOrEqual(before);
    // What was pressed is shown at once and sent a moment later.
    await expect
      .poll(async () => (await events()).map(({ kind }: { kind: string }) => kind).slice(-4))
      .toEqual(['mark', 'refit', 'skip', 'start']);
    await page.keyboard.press('u');
    await until(page, (count) => document.body.innerText.includes(`of ${count}`), before);
  });

  it('goes on by the clock only when that was chosen', async () => {
    const number = async () => Number(/step (\d+) of/.exec(await textOf(page))?.[1]);
    await words(page, 'by hand');
    const at = await number();
    const longerThanAnyStep = 20 * 60_000;
    await later(page, longerThanAnyStep);
    await words(page, 'longer');
    expect(await number()).toBe(at);
    await page.keyboard.press('c');
    await words(page, 'by the clock');
    await until(page, (before) => Number(/step (\d+) of/.exec(document.body.innerText)?.[1]) > before, at);
    await page.keyboard.press('c');
    await words(page, 'by hand');
  });

  it('holds one side against the other by one key, and keeps what was seen by the next', async () => {
    const both = '[aria-label="One side held against the other"]';
    await until(page, () => document.body.innerText.includes('compare'));
    await page.keyboard.press('v');
    await page.waitForSelector(both);
    await words(page, 'Look: which side is fuller?');
    const number = async () => Number(/step (\d+) of/.exec(await textOf(page))?.[1]);
    const at = await number();
    await pace();
    await page.keyboard.press('v');
    await until(page, (where) => document.querySelector(where) === null, both);
    await pace();
    await page.keyboard.press('v');
    await page.waitForSelector(both);
    await page.keyboard.press('ArrowLeft');
    await until(page, (where) => document.querySelector(where) === null, both);
    expect(await number()).toBe(at);
    await expect
      .poll(async () => (await events()).findLast(({ kind }: { kind: string }) => kind === 'mark'))
      .toMatchObject({ mark: 'fuller', side: 'left' });
  });

  it('keeps what was seen with the step at which it was looked, although the clock went on', async () => {
    const running = async () =>
      (await events()).findLast(({ kind }: { kind: string }) => kind === 'start' || kind === 'back').stepId as string;
    const at = await running();
    await pace();
    await page.keyboard.press('c');
    await pace();
    await page.keyboard.press('v');
    await page.waitForSelector('[aria-label="One side held against the other"]');
    await later(page, 20 * 60_000);
    await expect.poll(running).not.toBe(at);
    await page.keyboard.press('ArrowRight');
    await expect
      .poll(async () => (await events()).findLast(({ kind }: { kind: string }) => kind === 'mark'))
      .toMatchObject({ mark: 'fuller', side: 'right', stepId: at });
    await page.keyboard.press('c');
    await words(page, 'by hand');
  });

  it('stands at closing beside what was really done, and goes into the note by one press', async () => {
    await go(page, `${house.url}/visits/${visit}/close`);
    await words(page, 'steps in');
    await words(page, 'Tighter at');
    await words(page, 'Fuller, compared, at right');
    await (await control(page, 'button', 'Take into the note')).click();
    await until(
      page,
      () => document.querySelector<HTMLElement>('[role="textbox"]')?.innerText.includes('Tighter at') === true,
    );
    expect(await noteOf(page)).toMatch(/Asked for a lighter hand at .*\. Pain, so this was stopped at/);
    await words(page, 'saved');
  });

  it('proposes when to come again, with the reason, and opens the calendar there', async () => {
    await words(page, 'Next visit');
    await words(page, 'As it is used to: every 28 days.');
    await (await control(page, 'button', 'Book it …')).click();
    await page.waitForSelector('[role="dialog"] input[type="date"]');
    const day = await page.$eval('[role="dialog"] input[type="date"]', (input) => (input as HTMLInputElement).value);
    const weeks = (Date.parse(day) - Date.parse(new Date().toISOString().slice(0, 10))) / 604_800_000;
    expect(Math.round(weeks)).toBe(4);
    await page.keyboard.press('Escape');
  });

  it('refuses a mark that says nothing', async () => {
    const [first] = await events();
    const bad = await call(
      'POST',
      `/api/visits/${visit}/events`,
      {
        deviceId: 'some-device',
        events: [{ id: 'mark-without-words', kind: 'mark', stepId: first.stepId, at: first.at, planVersion: 1 }],
      },
      house.url,
    );
    expect([bad.status, bad.body.errors[0].path]).toEqual([400, 'events.0.mark']);
  });

  it('ask for the side in a step on both, keep what is said, and leave open what is not', async () => {
    const client = (await post('/api/clients', { name: 'Seite Gefragt', bornOn: '1980-01-01' }, house.url)).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['face'] }, house.url);
    await admit(visit, house.url);
    const made = await post(
      `/api/visits/${visit}/treatment`,
      { choices: [{ id: 'c1', protocol: 'relaxing-face' }], minutes: 30, basedOn: 0 },
      house.url,
    );
    expect(made.status).toBe(200);
    await go(page, `${house.url}/visits/${visit}/table`);
    await page.keyboard.press('Space');
    await page.keyboard.press('1');
    await words(page, 'tighter here: which side?');
    await page.keyboard.press('ArrowRight');
    await gone(page, 'which side?');
    await page.keyboard.press('2');
    await words(page, 'redness: which side?');
    // Nobody answers: the question goes by itself.
    await gone(page, 'which side?');
    const sides = async () =>
      (await events())
        .filter(({ kind }: { kind: string }) => kind === 'mark')
        .map(({ mark, side }: { mark: string; side?: string }) => `${mark} ${side ?? 'not said'}`);
    await expect.poll(sides).toEqual(['tighter not said', 'tighter right', 'redness not said']);
  });

  it('are asked for their side at closing, where it was not said, and keep what is said there', async () => {
    await go(page, `${house.url}/visits/${visit}/close`);
    await words(page, 'side not said');
    await (await control(page, 'button', 'both')).click();
    await gone(page, 'side not said');
    await expect
      .poll(async () => (await events()).filter(({ mark }: { mark?: string }) => mark === 'redness'))
      .toMatchObject([{ kind: 'mark' }, { kind: 'mark', side: 'both' }]);
    await go(page, `${house.url}/visits/${visit}/close`);
    await words(page, 'both sides');
    await gone(page, 'side not said');
  });

  it('asks again before gloved work, keeps the answer, and goes on only with it', async () => {
    const client = (await post('/api/clients', { name: 'Nochmals Gefragt', bornOn: '1980-01-01' }, house.url)).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['face'], therapistId: 2 }, house.url);
    await admit(visit, house.url);
    const choices = [
      { id: 'c1', protocol: 'mouth-gloved' },
      { id: 'c2', protocol: 'relaxing-face' },
    ];
    const wish = { choices, minutes: 60, basedOn: 0 };
    expect((await post(`/api/visits/${visit}/treatment`, wish, house.url)).status).toBe(200);
    const { plan } = (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;
    const asking = plan.steps.findIndex(({ asksAgain }: { asksAgain?: string[] }) => asksAgain);
    const work = plan.steps[asking].told.modality;
    await go(page, `${house.url}/visits/${visit}/table`);
    await tread(page, 'PageDown', asking + 1);
    await words(page, 'Ask again before this');
    const here = await textOf(page);
    await page.keyboard.press('Space');
    expect(await textOf(page)).toContain(here.slice(0, 40));
    await page.keyboard.press('n');
    await gone(page, 'Ask again before this');
    await expect
      .poll(async () => (await events()).find(({ mark }: { mark?: string }) => mark === 'declined')?.stepId)
      .toBe(plan.steps[asking].id);
    const { leftOut } = (await events()).find(({ kind }: { kind: string }) => kind === 'refit').change;
    const rest = plan.steps
      .slice(asking + 1)
      .filter(({ told }: { told?: { modality: string } }) => told?.modality === work);
    expect(leftOut).toEqual(rest.map(({ id }: { id: string }) => id));
  });
});
