import { appUrl } from '../app-url';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { admit, bookAnyTime, post } from '../api/client';
import { choose, control, go, gone, launch, open, paste, tread, troubles, until, words } from './browser';

/** The hour with busy hands: touch as well as keys, the beat, pausing, and what may not be touched. */
describe('at the table', () => {
  let browser: Browser;
  let page: Page;
  let visit: number;
  const app = appUrl();

  beforeAll(async () => {
    browser = await launch();
    const client = (await post('/api/clients', { name: 'Tessa Tisch' })).body.id;
    await post(`/api/clients/${client}/findings`, {
      id: 'nodes-removed-axillary',
      side: 'left',
      sinceOn: '2023-06',
    });
    visit = await bookAnyTime({ clientId: client, focus: ['arm.left'] });
    await admit(visit);
    page = await open(browser, `${app}/visits/${visit}/table`);
  });
  afterAll(() => browser.close());

  it('sends one who has no plan yet to the plan first', async () => {
    expect(page.url()).toContain('/plan');
    await words(page, 'The course');
    await go(page, `${app}/visits/${visit}/table`);
    await words(page, 'not begun');
  });

  it('begins, goes on and back by touch', async () => {
    await control(page, 'button', 'Space begin').click();
    await words(page, 'find the place');
    await control(page, 'button', 'Space next').click();
    await words(page, 'step 2 of');
    await control(page, 'button', 'PgUp back').click();
    await words(page, 'step 1 of');
  });

  it('beats once a second when the place is found', async () => {
    await words(page, 'one a second');
    const count = () => page.$eval('[aria-label="Pace"] svg', (svg) => svg.getAttribute('aria-label') ?? '');
    const first = await count();
    await until(
      page,
      (before) => document.querySelector('[aria-label="Pace"] svg')?.getAttribute('aria-label') !== before,
      first,
    );
    expect(await count()).toMatch(/Repetition \d+ of 10/);
  });

  it('stops both clocks in a pause', async () => {
    await page.keyboard.press('p');
    await words(page, 'paused');
    const clock = () => page.$eval('header', (head) => /visit (\d+:\d+)/.exec(head.textContent ?? '')?.[1]);
    const before = await clock();
    await new Promise((resolve) => setTimeout(resolve, 1600));
    expect(await clock()).toBe(before);
    await page.keyboard.press('p');
    await gone(page, '\npaused');
  });

  it('keeps what may not be touched marked on the body', async () => {
    await tread(page, 'PageDown', 11);
    await words(page, 'Left shoulder cap');
    const label = await page.$eval(
      '[role="img"][aria-label^="Where the hands are"]',
      (svg) => svg.getAttribute('aria-label') ?? '',
    );
    expect(label).toContain('left armpit nodes: closed');
    expect(label).toContain('left shoulder cap: here');
  });

  it('shows nothing essential smaller than 19 px, the count at 90 px and more', async () => {
    const sizes = await page.evaluate(() => {
      const seen: number[] = [];
      const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const parent = node.parentElement;
        if (
          !parent ||
          !node.textContent?.trim() ||
          parent.closest('.visually-hidden, script, style, kbd, svg, .skip-link')
        )
          continue;
        if (parent.getClientRects().length > 0) seen.push(parseFloat(getComputedStyle(parent).fontSize));
      }
      const number = document.querySelector('[aria-label="Pace"] svg text');
      return { smallest: Math.min(...seen), count: number?.getBoundingClientRect().height ?? 0 };
    });
    expect(sizes.smallest).toBeGreaterThanOrEqual(19);
    expect(sizes.count).toBeGreaterThanOrEqual(90);
  });

  it('asks for a physician when redness after light work is strong', async () => {
    await go(page, `${app}/visits/${visit}/close`);
    await choose(page, 'Redness of the skin', 'strong');
    await words(page, 'Strong redness after light work is a reaction');
    await words(page, 'The treatment is not at its end: back to the table');
    await words(page, 'saved');
    await paste(page, 'x'.repeat(4001));
    await words(page, 'Keep the note within 4000 characters.');
    expect(troubles(page)).toEqual([]);
  });
});
