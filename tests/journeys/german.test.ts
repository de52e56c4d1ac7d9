import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bookAnyTime, post } from '../api/client';
import { appUrl } from '../app-url';
import { choose, control, go, launch, open, settled, textOf, troubles, words } from './browser';

const app = appUrl();

/** Nothing of the page lies beside the screen. */
const fits = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);

describe('a client who reads German', () => {
  let browser: Browser;
  let page: Page;
  let client: number;
  let visit: number;

  beforeAll(async () => {
    browser = await launch();
    client = (await post('/api/clients', { name: 'Wilma Anders', bornOn: '1961-02-03' })).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['arm.left'] });
    page = await open(browser, `${app}/clients/${client}`);
  });
  afterAll(() => browser.close());

  it('is said to be one on the page of the client', async () => {
    await choose(page, 'Part of the record', 'contact and likes');
    const reads = await control(page, 'combobox', 'Reads in').waitHandle();
    await (reads as ElementHandle<HTMLSelectElement>).select('de');
    await control(page, 'button', 'Save').click();
    await words(page, 'Saved. What was there before');
  });

  it('gets the tablet in German, on a narrow one too', async () => {
    await go(page, `${app}/visits/${visit}/ask`);
    await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), page.keyboard.press('h')]);
    await settled(page);
    await page.setViewport({ width: 390, height: 844 });
    await words(page, 'Guten Tag, Wilma.');
    expect(await textOf(page)).toContain('Haben Sie etwas an Herz, Gefäßen oder Blutdruck, oder Schwellungen?');
    expect(await page.evaluate(() => document.documentElement.lang)).toBe('de');
    expect(await fits(page)).toBe(true);
    await choose(page, 'Haben Sie etwas an Herz, Gefäßen oder Blutdruck, oder Schwellungen?', 'ja, oder weiß nicht');
    await words(page, 'Schlägt Ihr Herz unregelmäßig oder rast es?');
    expect(await fits(page)).toBe(true);
  });

  it('reads and signs the consent in German', async () => {
    for (let i = 0; i < 20 && !(await textOf(page)).includes('Mir wurde erklärt'); i += 1) {
      await control(page, 'button', 'Weiter').click();
      await settled(page);
    }
    expect(await fits(page)).toBe(true);
    await control(page, 'button', 'Ich habe dies gelesen und bin einverstanden').click();
    await words(page, 'Bitte geben Sie das Tablet jetzt zurück.');
    expect((await textOf(page)).match(/\b(the|please|your)\b/i)).toBeNull();
    expect(troubles(page)).toEqual([]);
  });
});
