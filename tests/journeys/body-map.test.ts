import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { clientOf, post } from '../api/client';
import { choose, control, go, launch, open, troubles, words } from './browser';

describe('placing findings on the body', () => {
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    browser = await launch();
    const { body } = await post('/api/clients', { name: 'Karla Karte', bornOn: '1980-01-01' });
    page = await open(browser, `${inject('appUrl')}/clients/${body.id}`);
  });
  afterAll(() => browser.close());

  it('places removed nodes by side and shows them closed', async () => {
    await control(page, 'button', 'Place a finding').click();
    await page.select('select', 'nodes-removed-axillary');
    await control(page, 'button', 'Place it').click();
    await words(page, 'Say on which side: left, right or both.');
    await choose(page, 'Side of the client', 'right');
    await control(page, 'button', 'Place it').click();
    await words(page, 'Right armpit nodes removed');
  });

  it('places a port with the keyboard alone, by moving over the body', async () => {
    await control(page, 'button', 'Place a finding').click();
    await page.select('select', 'port');
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
    await page.select('select', 'thickened');
    await control(page, 'button', 'left lower shin').click();
    await page.evaluate(() => {
      const input = document.querySelector<HTMLInputElement>('input[type="date"]');
      if (!input) return;
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(input, '2999-01-01');
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await page.evaluate(() => document.querySelector('form')?.setAttribute('novalidate', ''));
    await control(page, 'button', 'Place it').click();
    await words(page, 'This date lies in the future.');
    await words(page, 'Picked: left lower shin');
    expect(troubles(page)).toEqual([]);
  });

  it('finds a client as one types', async () => {
    await go(page, `${inject('appUrl')}/clients`);
    await control(page, 'searchbox', 'Find by name or phone number').fill('ottil');
    await words(page, '1 client');
    await words(page, 'Ottilie Fenwick');
    await control(page, 'searchbox', 'Find by name or phone number').fill('nobody at all');
    await words(page, 'No client matches');
    expect(await clientOf('Ottilie')).toBeGreaterThan(0);
  });
});
