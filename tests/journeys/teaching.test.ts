import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { admit, bookAnyTime, call, post } from '../api/client';
import { control, follow, go, gone, settled, textOf, words } from './browser';
import { ownHouse } from './own-house';

/** What the library teaches, in the plan, at the table and on paper; and stones as the therapist wants them. */
describe('a treatment as it is taught', () => {
  const house = ownHouse('teaching');
  let page: Page;
  let visit: number;
  beforeAll(async () => {
    page = house.page;
    const { id } = (await post('/api/clients', { name: 'Lena Kiesel', bornOn: '1975-03-04' }, house.url)).body;
    visit = await bookAnyTime(
      { clientId: id, focus: ['back-upper.left'], purpose: 'wellness', therapistId: 2 },
      house.url,
    );
    await admit(visit, house.url);
    const choices = [
      { id: 'c1', protocol: 'stones-back' },
      { id: 'c2', protocol: 'stones-leg-back', blocks: ['oil-left', 'leg-left'] },
    ];
    const made = await post(`/api/visits/${visit}/treatment`, { choices, minutes: 90, basedOn: 0 }, house.url);
    expect(made.status).toBe(200);
  });
  const steps = async (
    block: string,
  ): Promise<readonly { id: string; repetitions: number; told: { stones?: { size: string } } }[]> =>
    (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.plan.steps.filter(({ id }: { id: string }) =>
      id.startsWith(`${block}/`),
    );
  const openPart = async (id: string) => {
    await page.click(`[data-row="${id}"]`);
    await page.waitForSelector(`[data-row="${id}"][aria-expanded="true"]`);
  };
  const blur = () => page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());

  it('says why, never and what the hands feel, with one key', async () => {
    await go(page, `${house.url}/visits/${visit}/plan`);
    await openPart('c2/leg-left');
    expect(await textOf(page)).not.toContain('It has worked when');
    await blur();
    await page.keyboard.press('w');
    await words(page, 'It has worked when');
    await words(page, 'Never');
    await page.keyboard.press('w');
    await gone(page, 'It has worked when');
  });

  it('takes other stones for a step, and those of the technique again', async () => {
    const size = '[role="group"][aria-label^="Stones: "] select[aria-label="Size of the stones"]';
    await page.select(size, 'large');
    await words(page, 'as the technique asks');
    await words(page, 'saved');
    await expect.poll(async () => (await steps('c2/leg-left'))[0]?.told.stones?.size).toBe('large');
    await control(page, 'button', 'as the technique asks').click();
    await gone(page, 'as the technique asks');
    await expect.poll(async () => (await steps('c2/leg-left'))[0]?.told.stones?.size).toBe('palm');
  });

  it('gives each step of a part three times', async () => {
    await page.select('[data-row="c2/leg-left"] ~ div label select', '3');
    await expect
      .poll(async () => (await steps('c2/leg-left')).filter(({ repetitions }) => repetitions > 3).length)
      .toBe(0);
  });

  it('copies a part for the other side', async () => {
    await control(page, 'button', 'Copy for the other side').click();
    await page.waitForSelector('[data-row="c2/leg-right"]');
    await gone(page, 'Copy for the other side');
  });

  it('offers a faster order, and brings the taught one back with one key', async () => {
    const order = () => page.$$eval('[data-row]', (rows) => rows.map((row) => (row as HTMLElement).dataset['row']));
    const taught = await order();
    await words(page, 'In the order that the protocol teaches.');
    await control(page, 'button', 'Take the faster order').click();
    await words(page, 'As the protocol has it');
    expect(await order()).not.toEqual(taught);
    await blur();
    await page.keyboard.press('o');
    await gone(page, 'As the protocol has it');
    expect(await order()).toEqual(taught);
  });

  it('keeps in sight at the table what is never done, and says why with one key', async () => {
    await follow(page, 'link', 'To the table');
    await page.keyboard.press('Space');
    await words(page, 'It has worked when');
    expect(await textOf(page)).toContain('Never');
    await page.keyboard.press('w');
    await gone(page, 'It has worked when');
    await words(page, 'Why');
    // Nothing of the words is cut off, or lies over what stands below.
    const overflow = await page.$eval('#main', (main) => main.scrollHeight - main.clientHeight);
    expect(overflow).toBeLessThanOrEqual(1);
  });

  it('stands on paper where it is met first, and only there', async () => {
    await go(page, `${house.url}/visits/${visit}/print`);
    await words(page, 'It has worked when');
    const told = await page.$$eval('dl', (lists) => lists.map(({ textContent }) => textContent));
    expect(new Set(told).size).toBe(told.length);
  });
});

describe('a tray that is short of stones', () => {
  const house = ownHouse('short-tray');

  it('is mended with one press, on the room list', async () => {
    const { page, url } = house;
    const { stones } = (await call('GET', '/api/stones', undefined, url)).body;
    const hot = stones.filter(
      ({ material, size }: { material: string; size: string }) => material === 'basalt' && size !== 'placement',
    );
    const kept = hot.filter(({ size }: { size: string }) => size === 'palm').slice(0, 5);
    for (const stone of hot)
      if (!kept.includes(stone)) await call('PUT', `/api/stones/${stone.id}`, { ...stone, state: 'chipped' }, url);
    const { id } = (await post('/api/clients', { name: 'Karl Kies', bornOn: '1975-03-04' }, url)).body;
    const visit = await bookAnyTime(
      { clientId: id, focus: ['back-upper.left'], purpose: 'wellness', therapistId: 2 },
      url,
    );
    await admit(visit, url);
    const choices = [{ id: 'c1', protocol: 'stones-back' }];
    expect((await post(`/api/visits/${visit}/treatment`, { choices, minutes: 60, basedOn: 0 }, url)).status).toBe(200);
    await go(page, `${url}/visits/${visit}/prepare`);
    await words(page, 'Short by');
    expect(await textOf(page)).toMatch(/from minute \d+ to minute \d+ of the visit/);
    await control(page, 'button', 'One stone in hand instead of two, where they are short').click();
    await gone(page, 'Short by');
    await settled(page);
    expect(await textOf(page)).not.toContain('Short by');
  });
});
