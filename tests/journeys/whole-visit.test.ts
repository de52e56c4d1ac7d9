import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { call } from '../api/client';
import {
  answerCheck,
  choose,
  follow,
  go,
  gone,
  launch,
  open,
  paste,
  settled,
  step,
  tape,
  textOf,
  tread,
  troubles,
  words,
} from './browser';

const right = [
  21.7, 23.5, 26.8, 30.3, 33.3, 35.6, 36.2, 37.2, 38.8, 39.7, 41.1, 43.5, 45.9, 48.4, 51.0, 52.9, 55.1, 56.5,
];
const left = [
  22.1, 24.5, 28.2, 32.1, 35.3, 37.7, 38.4, 39.2, 40.8, 41.4, 42.8, 45.2, 47.5, 49.8, 52.4, 54.2, 56.1, 57.4,
];

/** The visit of the client with the removed groin nodes, from the day’s thread to her history, with the server killed on the way. */
describe('the first visit, end to end', () => {
  let browser: Browser;
  let server: Served;
  let page: Page;
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-visit-'));

  beforeAll(async () => {
    server = await startServer({ data });
    browser = await launch();
    page = await open(browser, `${server.url}/`);
  });
  afterAll(async () => {
    await browser.close();
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  });

  it('begins in the day’s thread and asks by keyboard', async () => {
    await words(page, 'Marit Olsvang');
    await follow(page, 'link', 'Marit Olsvang');
    await words(page, 'Before we begin');
    await answerCheck(page);
    await follow(page, 'link', 'Go on to measuring');
  });

  it('takes a tape run with Enter, volume and difference growing along', async () => {
    await tape(page, right);
    await tape(page, left.slice(0, 6));
    await words(page, 'over the right leg so far');
    await tape(page, ['3000']);
    await words(page, 'No limb measures 3000 cm');
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await tape(page, left.slice(6));
    await words(page, '693 mL');
    await words(page, 'Within measuring error.');
    await words(page, 'every number is saved as you type it');
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await words(page, '693 mL');
    await follow(page, 'link', 'Go on to the plan');
  });

  it('plans round the closed groin, with reasons', async () => {
    await words(page, '58 %');
    await words(page, '42 %');
    await words(page, 'no stroke goes there, nor into the knee crease');
    await (await step(page, '5. Left armpit nodes')).click();
    await words(page, 'Must be open before anything is led');
  });

  it('is rearranged by keyboard alone, shows what breaks and mends it with one key', async () => {
    await (await step(page, '21. Left outer side of knee')).focus();
    await page.keyboard.down('Alt');
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowUp');
    await page.keyboard.up('Alt');
    await words(page, 'Too early');
    await words(page, 'still full, so fluid would meet it');
    await page.keyboard.press('m');
    await gone(page, 'Too early');
    await words(page, 'saved');
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    expect(await textOf(page)).not.toContain('Too early');
    await follow(page, 'link', 'To the table');
  });

  it('leads through the steps by foot switch, also while the server is dead, and resumes where it was', async () => {
    await words(page, 'press Space to begin');
    await page.keyboard.press('Space');
    await words(page, 'step 1 of 55');
    await page.keyboard.press('PageDown');
    await page.keyboard.press('Enter');
    await words(page, 'step 3 of 55');
    await page.keyboard.press('PageUp');
    await words(page, 'step 2 of 55');
    await page.keyboard.press('p');
    await words(page, 'paused');
    await page.keyboard.press('p');
    await tread(page, 'PageDown', 1);
    await words(page, 'all saved');

    await server.kill();
    await tread(page, 'PageDown', 1);
    await page.keyboard.press('s');
    await words(page, 'step 5 of 55');
    await words(page, 'saved here');
    server = await startServer({ data, port: server.port });
    await words(page, 'all saved');

    await go(page, page.url());
    await words(page, 'step 5 of 55');
    const visit = (await call('GET', `/api/visits/${/visits\/(\d+)/.exec(page.url())?.[1]}`, undefined, server.url))
      .body;
    const kinds = (visit.events as { kind: string; stepId: string }[]).map((e) => `${e.kind} ${e.stepId}`);
    expect(kinds.filter((k) => k === 'skip s4')).toHaveLength(1);
    expect(new Set((visit.events as { id: string }[]).map((e) => e.id)).size).toBe(visit.events.length);
  });

  it('closes with feedback and a second tape run', async () => {
    await tread(page, 'PageDown', 51);
    await words(page, 'All done');
    await words(page, 'all saved');
    await follow(page, 'link', 'Look again and close');
    await words(page, 'How was it?');
    await choose(page, 'Pressure', 'just right');
    await choose(page, 'Comfort, 0 to 10', '9');
    await choose(page, 'Redness of the skin', 'just visible');
    await paste(page, 'Fell asleep. <script>document.title = "run"</script>');
    await words(page, 'saved');
    await follow(page, 'link', 'Measure again');
    await tape(page, right);
    await tape(
      page,
      left.map((girth) => (girth - 0.3).toFixed(1)),
    );
    await words(page, 'in this visit');
    await words(page, 'every number is saved as you type it');
    await follow(page, 'link', 'Back to closing');
    await words(page, 'Beyond measuring error');
    await follow(page, 'button', 'Close the visit');
  });

  it('stands in the client’s history with the change since last time', async () => {
    await words(page, 'Marit Olsvang');
    await choose(page, 'Part of the record', 'visits');
    await words(page, 'comfort 9 of 10');
    await words(page, '693 mL');
    await words(page, 'mL since before: within measuring error');
    expect(await page.title()).toContain('Marit Olsvang');
    expect(troubles(page)).toEqual([]);
  });
});
