import { appUrl } from '../app-url';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signInDemo } from '../../scripts/served.mjs';
import { admit, bookAnyTime, call, post } from '../api/client';
import { choose, control, follow, go, gone, launch, newPage, open, until, words } from './browser';

async function preparedVisit(name: string, therapistId: number): Promise<number> {
  const client = (await post('/api/clients', { name })).body.id;
  await post(`/api/clients/${client}/findings`, {
    id: 'nodes-removed-inguinal',
    side: 'left',
    sinceOn: '2023-06',
  });
  const id = await bookAnyTime({ clientId: client, therapistId });
  await admit(id);
  return id;
}

describe('the plan', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await launch();
  });
  afterAll(() => browser.close());

  it('is made when it is first looked at, and asked for again when nobody answered', async () => {
    const id = await preparedVisit('Petra Planlos', 1);
    const page = await newPage(browser);
    const { origin } = new URL(appUrl());
    await page.setCookie({ name: 'velvet-stone', value: await signInDemo(origin), url: origin });
    await page.setRequestInterception(true);
    let isAway = true;
    page.on('request', (request) => {
      void (isAway && request.url().endsWith('/first-plan') ? request.abort() : request.continue());
    });
    await go(page, `${appUrl()}/visits/${id}/plan`);
    await words(page, 'The plan could not be made');
    expect((await call('GET', `/api/visits/${id}`)).body.plan).toBeNull();
    isAway = false;
    await control(page, 'button', 'Try again').click();
    await words(page, 'The course');
    expect((await call('GET', `/api/visits/${id}`)).body.plan.version).toBe(1);
    await page.close();
  });

  it('changes with school and minutes', async () => {
    const id = await preparedVisit('Schule Wechsel', 1);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    await words(page, 'The course');
    await control(page, 'button', 'Change time or school').click();
    await choose(page, 'Start', 'breath first');
    await choose(page, 'Ways out', 'the nearest');
    await control(page, 'spinbutton', 'Minutes').fill('0');
    await control(page, 'button', 'Plan again').click();
    await words(page, 'A visit lasts 1 to 480 minutes.');
    await control(page, 'spinbutton', 'Minutes').fill('10');
    await control(page, 'button', 'Plan again').click();
    await words(page, 'Has to wait');
    await words(page, 'Short by');
    await page.close();
  }, 60_000);

  it('lets a way be left out or taken by hand, and goes back to the planner’s choice', async () => {
    const id = await preparedVisit('Weg Wahl', 1);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    await words(page, 'Ways out');
    await control(page, 'button', 'Do without the right groin nodes').click();
    await words(page, 'Back to the planner’s choice');
    await words(page, '100 %');
    await control(page, 'button', 'Use the right groin nodes, too').click();
    await words(page, '58 %');
    await control(page, 'button', 'Back to the planner’s choice').click();
    await gone(page, 'Back to the planner’s choice');
    await words(page, '42 %');
    await page.close();
  }, 60_000);

  it('lets a way be pressed on the body, with what it costs, and used or left', async () => {
    const id = await preparedVisit('Weg Gedrückt', 1);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    await words(page, 'Ways out');
    const press = (name: string) =>
      until(
        page,
        (wanted) => {
          const node = [...document.querySelectorAll('[data-node]')].find((one) =>
            one.closest('[aria-label]')?.getAttribute('aria-label')?.startsWith(wanted),
          );
          node?.closest('[aria-label]')?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
          return node !== undefined;
        },
        name,
      );
    await press('right groin nodes');
    await words(page, 'no scar on the way');
    await control(page, 'button', 'Do without it').click();
    await words(page, 'not in use');
    await words(page, '100 %');
    await control(page, 'button', 'Use it, too').click();
    await words(page, '58 %');
    await page.close();
  }, 60_000);

  it('tells a second tab that the plan was saved elsewhere, and overwrites nothing', async () => {
    const id = await preparedVisit('Zwei Fenster', 1);
    const one = await open(browser, `${appUrl()}/visits/${id}/plan`);
    const two = await open(browser, `${appUrl()}/visits/${id}/plan`);
    const nudge = async (page: typeof one, row = 's12') => {
      await page.bringToFront();
      // A dialog that is still going gives the focus back, wherever it has been put meanwhile.
      await until(page, () => !document.querySelector('[role="dialog"]'));
      await until(
        page,
        (id) => {
          const found = document.querySelector<HTMLElement>(`[data-row="${id}"]`);
          const wasThere = document.activeElement === found;
          found?.focus();
          return found !== null && wasThere;
        },
        row,
      );
      await page.keyboard.down('Alt');
      await page.keyboard.press('ArrowDown');
      await page.keyboard.up('Alt');
    };
    await nudge(one);
    await words(one, 'saved');
    await nudge(two, 's14');
    await words(two, 'Somebody else saved this in the meantime.');
    await control(two, 'button', 'Compare …').click();
    await words(two, 'Saved meanwhile');
    const rows = await two.$$eval('[role="dialog"] tbody tr', (all) => all.map((row) => row.innerText));
    // Two steps each have changed places, and nothing else is shown.
    expect(rows).toHaveLength(4);
    const { version } = (await call('GET', `/api/visits/${id}`)).body.plan;
    await control(two, 'button', 'Take the saved one').click();
    await gone(two, 'Somebody else saved this');
    expect((await call('GET', `/api/visits/${id}`)).body.plan.version).toBe(version);
    await nudge(two);
    await words(two, 'saved');
    await expect.poll(async () => (await call('GET', `/api/visits/${id}`)).body.plan.version).toBe(version + 1);
    await one.close();
    await two.close();
  }, 60_000);

  it('is dragged with the mouse, too', async () => {
    const id = await preparedVisit('Zieh Mich', 1);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    const box = await (await page.$('[data-row="s5"]'))?.boundingBox();
    const goal = await (await page.$('[data-row="s1"]'))?.boundingBox();
    if (!box || !goal) throw new Error('no steps to drag');
    await page.mouse.move(box.x + 120, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + 120, box.y - 30, { steps: 6 });
    await page.mouse.move(goal.x + 120, goal.y - 6, { steps: 12 });
    // What the order costs is told while the step is still in the hand.
    await words(page, 'This order lets out');
    await page.mouse.up();
    await words(page, 'Too early: the hollow above the collarbone is not open yet');
    await words(page, 'This order lets out');
    await control(page, 'button', 'Mend all').click();
    await gone(page, 'Too early');
    await page.close();
  }, 60_000);

  it('is not carried out without the qualification, and is handed over', async () => {
    const id = await preparedVisit('Ohne Schein', 2);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    await words(page, 'Not to be carried out');
    await control(page, 'button', 'Hand over to Ines Hollen').click();
    await words(page, 'Findings or therapist have changed');
    await control(page, 'button', 'Plan again').click();
    await gone(page, 'Not to be carried out');
    await page.close();
  }, 60_000);

  it('keeps a broken rule only with a written reason', async () => {
    const id = await preparedVisit('Mit Grund', 1);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    await page.evaluate(() => document.querySelector<HTMLElement>('[data-row="s11"]')?.focus());
    await page.keyboard.down('Alt');
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowUp');
    await page.keyboard.up('Alt');
    await control(page, 'button', 'To the table …').click();
    await control(page, 'textbox', 'Why do you keep it this way? It stays in the record.').fill(
      'She asked for the thigh first.',
    );
    await control(page, 'button', 'Keep it').click();
    await words(page, 'Kept because: She asked for the thigh first.');
    await follow(page, 'link', 'To the table');
    await words(page, 'not begun');
    await page.close();
  }, 60_000);

  it('prints on a plain page', async () => {
    const id = await preparedVisit('Auf Papier', 1);
    const page = await open(browser, `${appUrl()}/visits/${id}/plan`);
    await follow(page, 'link', 'Print');
    await words(page, 'Pain is a sign to stop.');
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.length).toBeGreaterThan(10_000);
    await page.close();
  }, 60_000);
});
