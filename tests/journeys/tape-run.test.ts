import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { allNo } from '../api/answers';
import { bookAnyTime, call, post } from '../api/client';
import { choose, control, go, gone, launch, open, settled, tape, troubles, words } from './browser';

/** Typing girths as they really come: in inches, with slips, while the server is away, in two windows. */
describe('the tape run', () => {
  let browser: Browser;
  let server: Served;
  let page: Page;
  let visit: number;
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-tape-'));
  const stored = async () => (await call('GET', `/api/visits/${visit}`, undefined, server.url)).body.before;

  beforeAll(async () => {
    server = await startServer({ data });
    browser = await launch();
    const client = (await post('/api/clients', { name: 'Tilda Band' }, server.url)).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['arm.left'] }, server.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, server.url);
    page = await open(browser, `${server.url}/visits/${visit}/measure`);
  });
  afterAll(async () => {
    await browser.close();
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  });

  it('asks first which limb and side, as far as the visit does not say', async () => {
    await words(page, 'left is swollen');
    await choose(page, 'Affected side', 'right is swollen');
    await words(page, 'left side first');
    await choose(page, 'Affected side', 'left is swollen');
    await words(page, 'right side first');
  });

  it('takes inches when told to, and turns what was typed', async () => {
    await page.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="right arm, 0 cm"]')?.focus());
    await tape(page, ['16.2', '17,6']);
    await words(page, '8 cm');
    await page.keyboard.press('i');
    await words(page, 'girth in in');
    const typed = await page.$$eval('tbody input', (inputs) =>
      inputs.map((input) => (input as HTMLInputElement).value).filter(Boolean),
    );
    expect(typed.sort()).toEqual(['6.38', '6.93']);
    await page.keyboard.press('i');
    await words(page, 'girth in cm');
  });

  it('doubts a slipped decimal point at once, without stopping', async () => {
    await page.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="left arm, 0 cm"]')?.focus());
    await tape(page, ['17.4', '19.5', '2.26', '25.7', '27.5']);
    await words(page, 'The decimal point may be misplaced.');
    await page.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="left arm, 8 cm"]')?.focus());
    await tape(page, ['22.6']);
    await gone(page, 'decimal point may be');
  });

  it('keeps what is typed while the server is away, over a reload, and sends it when it is back', async () => {
    await words(page, 'every number is saved as you type it');
    await server.kill();
    await page.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="left arm, 20 cm"]')?.focus());
    await tape(page, ['28.2']);
    await words(page, 'safe on this device');
    server = await startServer({ data, port: server.port });
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await expect.poll(async () => (await stored()).affected[5]).toBe(28.2);
    await words(page, 'every number is saved as you type it');
    expect((await stored()).reference.slice(0, 2)).toEqual([16.2, 17.6]);
  });

  it('does not overwrite what another window has saved', async () => {
    const other = await open(browser, `${server.url}/visits/${visit}/measure`);
    await other.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="right arm, 8 cm"]')?.focus());
    await tape(other, ['20.1']);
    await expect.poll(async () => (await stored()).reference[2]).toBe(20.1);
    await page.bringToFront();
    await page.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="left arm, 24 cm"]')?.focus());
    await tape(page, ['28.4']);
    await words(page, 'Somebody else saved this in the meantime.');
    const { reference, affected } = await stored();
    expect([reference[2], affected[6]]).toEqual([20.1, null]);
    await control(page, 'button', 'Compare …').click();
    await words(page, 'Saved meanwhile');
    await control(page, 'button', 'Take the saved one').click();
    await gone(page, 'Somebody else saved this');
    const shown = await page.$eval('[aria-label="right arm, 8 cm"]', (input) => (input as HTMLInputElement).value);
    expect(Number(shown)).toBe(20.1);
    await other.close();
  });

  it('goes up and down with the arrows', async () => {
    await go(page, `${server.url}/visits/${visit}/measure`);
    await page.evaluate(() => document.querySelector<HTMLInputElement>('[aria-label="right arm, 4 cm"]')?.focus());
    await page.keyboard.press('ArrowUp');
    const up = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    const down = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
    expect([up, down]).toEqual(['right arm, 8 cm', 'right arm, 0 cm']);
    await control(page, 'link', 'Go on to the plan').wait();
    expect(troubles(page)).toEqual([]);
  });
});
