import type { ElementHandle, Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { call } from '../api/client';
import { open, pace, settled, troubles, until, words } from './browser';
import { ownHouse } from './own-house';

type Sized = readonly [name: string, width: number, height: number, client: string];
/** The devices of a treatment room, and who comes that day. */
const devices: readonly Sized[] = [
  ['a phone', 390, 844, 'Marit Olsvang'],
  ['a tablet', 820, 1180, 'Runa Tolvey'],
];

/** Touches what has that text, where a finger would: what lies over it is touched instead, and nothing happens. */
async function touch(page: Page, text: string, within = 'body'): Promise<void> {
  const handle = await until(
    page,
    (wanted, place) => {
      const all = [...document.querySelectorAll<HTMLElement>(`${place} :is(a, button, label, summary)`)];
      return all.find((one) => {
        const { width, height } = one.getBoundingClientRect();
        const says = one.getAttribute('aria-label') ?? one.innerText.trim();
        return width > 0 && height > 0 && (says.startsWith(wanted) || says.endsWith(wanted));
      });
    },
    text,
    within,
  );
  const element = handle.asElement() as ElementHandle<HTMLElement> | null;
  if (!element) throw new Error(`nothing says “${text}”`);
  // As a thumb would: only as far as it takes to reach it.
  await element.evaluate((one) => one.scrollIntoView({ block: 'nearest' }));
  await element.tap();
}

/** Touches a way to another page. */
async function touchOn(page: Page, text: string): Promise<void> {
  await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), touch(page, text)]);
  await settled(page);
}

/** Nothing reaches beyond the edge of the screen. */
const isWithin = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);

describe.each(devices)('a whole visit on %s, by touch alone', (_, width, height, client) => {
  const house = ownHouse('touch');
  let page: Page;
  let visit: string;
  const read = async () => (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;

  beforeAll(async () => {
    page = await open(house.browser, house.url, { width, height });
    await page.setViewport({ width, height, hasTouch: true, isMobile: true });
    await page.reload({ waitUntil: 'load' });
    await settled(page);
  });

  it('begins in the day', async () => {
    await touchOn(page, client);
    visit = /visits\/(\d+)/.exec(page.url())?.[1] ?? '';
    await words(page, 'Before we begin');
    expect(await isWithin(page)).toBe(true);
  });

  it('asks with one touch a gate', async () => {
    const openGates = () => page.$$eval('main li[data-open]', (all) => all.length);
    let touches = 0;
    for (let left = await openGates(); left > 0 && touches < 20; touches += 1) {
      await touch(page, 'no', 'main li[data-open]');
      await until(page, (before) => document.querySelectorAll('main li[data-open]').length < before, left);
      left = await openGates();
    }
    await words(page, 'Go on to');
    expect(touches).toBeLessThanOrEqual(9);
    expect((await read()).stage).not.toBe('stopped');
  });

  it('measures what the visit needs, the tape on our own pad', async () => {
    await touchOn(page, 'Go on to');
    if (client === 'Marit Olsvang') {
      for (const key of ['2', '1', '½'] as const) await touch(page, key === '½' ? 'and a half' : key, '[role="group"]');
      await touch(page, 'next', '[role="group"]');
      await expect
        .poll(async () => {
          const { body } = await call('GET', `/api/visits/${visit}/measure`, undefined, house.url);
          return body.tapings[0]?.first.reference[0];
        })
        .toBe(21.5);
    }
    expect(await isWithin(page)).toBe(true);
    if (page.url().includes('/measure')) await touchOn(page, 'Go on to the plan');
    expect(page.url()).toContain('/plan');
  });

  it('plans, and goes to the table', async () => {
    await until(page, () => document.querySelectorAll('main ol li').length > 3);
    expect(await isWithin(page)).toBe(true);
    await touchOn(page, 'To the table');
  });

  it('goes on with the words and back with the body, as an elbow can', async () => {
    const { plan } = await read();
    await touch(page, 'Touch the words: begin');
    await words(page, `step 1 of ${plan.steps.length}`);
    await pace();
    await touch(page, 'Touch the words: next step');
    await words(page, `step 2 of ${plan.steps.length}`);
    await pace();
    await touch(page, 'Touch the body: back');
    await words(page, `step 1 of ${plan.steps.length}`);
    await touch(page, 'pause', 'footer');
    await words(page, 'paused');
    await touch(page, 'go on', 'footer');
    expect(await isWithin(page)).toBe(true);
    await expect
      .poll(async () => (await read()).events.map(({ kind }: { kind: string }) => kind))
      .toEqual(['start', 'end', 'start', 'back', 'pause', 'resume']);
  });

  it('is closed with a few touches', async () => {
    await touchOn(page, 'leave');
    await page.goto(`${house.url}/visits/${visit}/close`, { waitUntil: 'load' });
    await settled(page);
    await words(page, 'How was it?');
    await touch(page, 'just right', 'main');
    expect(await isWithin(page)).toBe(true);
    await expect.poll(async () => (await read()).closing?.pressure).toBe(0);
    expect(troubles(page)).toEqual([]);
    await page.close();
  });
});
