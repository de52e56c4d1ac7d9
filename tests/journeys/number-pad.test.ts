import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { appUrl } from '../app-url';
import { admit, bookAnyTime, call, post } from '../api/client';
import { control, go, launch, open, settled, troubles, until, words } from './browser';

const angles = [48, 52, 61, 72, 34, 38];

/** Numbers of a sheet, one after the other: by keys, and by thumb on the house's own pad. */
describe('the numbers of a sheet', () => {
  let browser: Browser;
  let page: Page;
  let visit: number;
  const stored = async (kind: string) =>
    (await call('GET', `/api/visits/${visit}/measure`)).body.observations.find(
      (one: { readonly kind: string }) => one.kind === kind,
    )?.value;
  const newVisit = async (name: string) => {
    const client = (await post('/api/clients', { name })).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['face'], purpose: 'puffy-face' });
    await admit(visit);
  };
  const tap = async (key: string) => {
    const button = await page.waitForSelector(`[data-key="${key}"]`);
    await button?.tap();
  };
  const field = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');

  beforeAll(async () => {
    browser = await launch();
    await newVisit('Nadja Halvorsen');
    page = await open(browser, `${appUrl()}/visits/${visit}/measure?sheet=face`);
  }, 60_000);
  afterAll(() => browser.close());

  it('takes six angles of the neck and the mouth by one number row, within twenty seconds', async () => {
    const began = performance.now();
    await control(page, 'textbox', 'Chin to chest').click();
    for (const angle of angles) {
      await page.keyboard.type(String(angle));
      await page.keyboard.press('Enter');
    }
    await page.keyboard.type('38');
    await page.keyboard.press('Enter');
    await expect.poll(() => stored('mouth')).toEqual({ openingMm: 38 });
    expect(performance.now() - began).toBeLessThan(20_000);
    const [flexion, extension, turnLeft, turnRight, bendLeft, bendRight] = angles;
    expect(await stored('neck-range')).toMatchObject({ flexion, extension, turnLeft, turnRight, bendLeft, bendRight });
    await words(page, 'The neck turns 11° less to the left');
  });

  it('stays with a number that cannot be, and says what can', async () => {
    await control(page, 'textbox', 'Chin to chest').fill('400');
    await page.keyboard.press('Enter');
    await words(page, 'from 0 to 120');
    expect(await page.evaluate(() => (document.activeElement as HTMLInputElement).value)).toBe('400');
    await page.keyboard.press('Escape');
    expect(await stored('neck-range')).toMatchObject({ flexion: 48 });
  });

  it('is typed by thumb on our own pad on a tablet, and goes on to the next', async () => {
    await newVisit('Liv Sandberg');
    await page.setViewport({ width: 820, height: 1180, hasTouch: true, isMobile: true });
    await go(page, `${appUrl()}/visits/${visit}/measure?sheet=face`);
    await settled(page);
    expect(await page.$('[data-key="next"]')).toBeNull();
    const cells = await page.$$('[data-length-cell]');
    await cells[0]?.tap();
    const began = await field();
    expect(await page.evaluate(() => (document.activeElement as HTMLInputElement).inputMode)).toBe('none');
    for (const key of ['1', '4', '.', '9', 'next']) await tap(key);
    await until(page, (before) => document.activeElement?.getAttribute('aria-label') !== before, began);
    for (const key of ['1', '4', '.', '3', 'next']) await tap(key);
    await expect.poll(async () => (await stored('face'))?.leftCm?.[0]).toBe(14.3);
    expect((await stored('face')).rightCm[0]).toBe(14.9);
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth),
    ).toBe(true);
    expect(troubles(page)).toEqual([]);
  });
});
