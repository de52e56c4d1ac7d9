import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post, visitOf } from '../api/client';
import { allNo } from '../api/answers';
import { appUrl } from '../app-url';
import { control, go, gone, launch, open, settled, textOf, troubles, until, words } from './browser';

/** Asked, and with a plan. */
async function makeReady(visit: number): Promise<void> {
  await post(`/api/visits/${visit}/check`, { answers: allNo });
  await post(`/api/visits/${visit}/first-plan`, undefined);
}

describe('a phone in the hand', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await launch();
    await makeReady(await visitOf('Marit Olsvang'));
    page = await open(browser, `${appUrl()}/`, { width: 390, height: 844 });
  }, 60_000);
  afterAll(async () => {
    expect(troubles(page)).toEqual([]);
    await browser.close();
  });

  it('has the places under the thumb, large enough to be met', async () => {
    const places = await page.$$eval('nav[aria-label="Places"] a', (all) =>
      all.map((one) => {
        const { height, width, bottom } = one.getBoundingClientRect();
        return { name: one.textContent, height, width, fromFoot: window.innerHeight - bottom };
      }),
    );
    expect(places.map(({ name }) => name)).toEqual(['Day', 'Clients', 'Bench', 'Library', 'Practice', 'House']);
    for (const { height, width, fromFoot } of places) {
      expect(height).toBeGreaterThanOrEqual(44);
      expect(width).toBeGreaterThanOrEqual(44);
      expect(fromFoot).toBeLessThan(20);
    }
  });

  it('gives the foot of a visit to what comes next, with a way back to the day', async () => {
    const visit = await visitOf('Marit Olsvang');
    await go(page, `${appUrl()}/visits/${visit}/ask`);
    expect(await page.$eval('nav[aria-label="Places"]', (nav) => nav.checkVisibility())).toBe(false);
    await control(page, 'link', 'Back to the day').click();
    await words(page, 'This week');
  });

  it('shows the body small, and whole when it is called', async () => {
    const visit = await visitOf('Marit Olsvang');
    await go(page, `${appUrl()}/visits/${visit}/plan`);
    await words(page, 'Ways out');
    const widthOfBody = () => page.$eval('section[data-body]', (body) => body.getBoundingClientRect().width);
    expect(await widthOfBody()).toBeLessThan(160);
    await control(page, 'button', 'Body').click();
    await words(page, 'Shut the body');
    expect(await widthOfBody()).toBe(390);
    await page.keyboard.press('Escape');
    await gone(page, 'Shut the body');
    expect(await widthOfBody()).toBeLessThan(160);
  });
});

describe('a tablet on its shelf', () => {
  it('takes the tape by thumb, on a pad of its own', async () => {
    const browser = await launch();
    const page = await open(browser, `${appUrl()}/`, { width: 820, height: 1180 });
    await page.setViewport({ width: 820, height: 1180, hasTouch: true, isMobile: true });
    const visit = await visitOf('Marit Olsvang');
    await go(page, `${appUrl()}/visits/${visit}/measure`);
    await settled(page);
    await until(page, () => document.querySelector('[aria-label="Number pad"]') !== null);
    const valueAt = (label: string) =>
      page.$eval(`input[aria-label="${label}"]`, (one) => (one as HTMLInputElement).value);
    const key = (name: string) =>
      page.evaluate((wanted) => {
        const keys = [...document.querySelectorAll<HTMLElement>('[aria-label="Number pad"] button')];
        keys.find(({ dataset }) => dataset['key'] === wanted)?.click();
      }, name);
    expect(await page.$eval('input[data-here]', (one) => one.getAttribute('inputmode'))).toBe('none');
    for (const name of ['2', '1', '.', '7', 'next']) await key(name);
    expect(await valueAt('right leg, 0 cm')).toBe('21.7');
    await words(page, '4 cm, right');
    for (const name of ['2', '3', '½', 'next']) await key(name);
    expect(await valueAt('right leg, 4 cm')).toBe('23.5');
    await words(page, '8 cm, right');
    const { height } = await page.$eval('[data-key="5"]', (one) => one.getBoundingClientRect().toJSON());
    expect(height).toBeGreaterThanOrEqual(44);
    expect(await textOf(page)).toContain('Last time');
    expect(troubles(page)).toEqual([]);
    await browser.close();
  }, 90_000);
});

describe('a treatment under way has room', () => {
  beforeAll(async () => makeReady(await visitOf('Marit Olsvang')));

  it.each([
    ['a phone upright', { width: 390, height: 844 }],
    ['a tablet upright', { width: 820, height: 1180 }],
    ['a tablet lying', { width: 1180, height: 820 }],
    ['a desk', { width: 1280, height: 800 }],
  ] as const)(
    'on %s',
    async (_, size) => {
      const browser = await launch();
      const visit = await visitOf('Marit Olsvang');
      const page = await open(browser, `${appUrl()}/visits/${visit}/table`, size);
      // The first press begins; what is begun is shown to whoever looks on, too.
      await page.keyboard.press('Space');
      await words(page, 'step 1 of');
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll('body *')]
          .filter((one) => one.getBoundingClientRect().right > window.innerWidth + 1)
          .filter((one) => one.closest('svg') === null)
          .map((one) => `${one.tagName.toLowerCase()} ${one.textContent?.slice(0, 30)}`),
      );
      expect(cut).toEqual([]);
      expect(troubles(page)).toEqual([]);
      await browser.close();
    },
    60_000,
  );
});
