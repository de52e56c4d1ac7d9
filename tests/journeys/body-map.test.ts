import { appUrl } from '../app-url';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { clientOf, post } from '../api/client';
import { choose, control, go, launch, open, pick, troubles, words } from './browser';

describe('placing findings on the body', () => {
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    browser = await launch();
    const { body } = await post('/api/clients', { name: 'Karla Karte', bornOn: '1980-01-01' });
    page = await open(browser, `${appUrl()}/clients/${body.id}`);
  });
  afterAll(() => browser.close());

  it('places removed nodes by side and shows them closed', async () => {
    await control(page, 'button', 'Place a finding').click();
    await pick(page, 'Lymph nodes removed from an armpit');
    await control(page, 'button', 'Place it').click();
    await words(page, 'Say on which side: left, right or both.');
    await choose(page, 'Side of the client', 'right');
    await control(page, 'button', 'Place it').click();
    await words(page, 'Right armpit nodes removed');
  });

  it('places a port with the keyboard alone, by moving over the body', async () => {
    await control(page, 'button', 'Place a finding').click();
    await pick(page, 'Port');
    await page.evaluate(() =>
      document.querySelector<SVGElement>('[aria-label="right upper chest, below the collarbone"]')?.focus(),
    );
    await page.keyboard.press('ArrowRight');
    const focused = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
    expect(focused).toContain('left');
    await page.keyboard.press('Enter');
    await words(page, 'Picked: left');
    await control(page, 'button', 'Place it').click();
    await words(page, 'Port: left');
  });

  it('refuses a date in the future at the field and keeps what was picked', async () => {
    await control(page, 'button', 'Place a finding').click();
    await pick(page, 'Thickened, doughy or firm skin');
    await control(page, 'button', 'left lower shin').click();
    await control(page, 'textbox', 'Since (a year, a month or a day)').fill('01/01/2999');
    await control(page, 'button', 'Place it').click();
    await words(page, 'This date lies in the future.');
    await words(page, 'Picked: left lower shin');
    expect(troubles(page)).toEqual([]);
  });

  it('finds a client as one types', async () => {
    await go(page, `${appUrl()}/clients`);
    await control(page, 'searchbox', 'Find by name, phone or e-mail').fill('ottil');
    await words(page, '1 client');
    await words(page, 'Ottilie Fenwick');
    await control(page, 'searchbox', 'Find by name, phone or e-mail').fill('nobody at all');
    await words(page, 'No client matches');
    expect(await clientOf('Ottilie')).toBeGreaterThan(0);
  });
});
