import type { Browser, Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { call, post, visitOf } from '../api/client';
import { allNo } from '../api/answers';
import { choose, control, go, gone, open, pace, settled, textOf, tread, until, words } from './browser';
import { ownHouse } from './own-house';

/** A treatment that is followed with the ears: what it says is heard by an ear-bud in another window. */
describe('a conducted treatment', () => {
  const house = ownHouse('conducted');
  let page: Page;
  let ear: Page;
  let browser: Browser;
  let visit: number;
  const heard = () => ear.$$eval('ol[aria-label="What was heard"] li', (all) => all.map((one) => one.innerText));
  const plan = async () => (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.plan;

  beforeAll(async () => {
    ({ page, browser } = house);
    visit = await visitOf('Runa Tolvey', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
    await go(page, `${house.url}/visits/${visit}/plan`);
    await words(page, 'Aromatherapy whole body');
    ear = await open(browser, `${house.url}/bench/devices`);
    await words(ear, 'nothing said yet');
    await page.bringToFront();
  });

  it('is silent until the voice is asked for', async () => {
    await go(page, `${house.url}/visits/${visit}/table`);
    await tread(page, 'PageDown', 1);
    await words(page, 'silent');
    expect(await heard()).toEqual([]);
  });

  it('then says the place, the change and what comes, by one key', async () => {
    await page.keyboard.press('b');
    await words(page, 'beat: sound on');
    await pace();
    await page.keyboard.press('b');
    await words(page, 'a voice');
    const { steps } = await plan();
    await expect.poll(async () => (await heard()).length).toBeGreaterThan(0);
    await tread(page, 'PageDown', 1);
    const [, second] = steps;
    await expect.poll(async () => (await heard()).join(' ')).toContain(second.changes?.[0] ?? second.told.title);
  });

  it('is set once for this device: voice, pace, loudness', async () => {
    await page.keyboard.press('h');
    await words(page, 'With eyes closed');
    await choose(page, 'Loudness', 'full');
    await choose(page, 'Pace of speech', 'slower');
    await control(page, 'button', 'Try it').click();
    await words(ear, 'at pace 0.8, 100 % loud');
    await page.keyboard.press('Escape');
    await gone(page, 'With eyes closed');
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await words(page, 'a voice');
  });

  it('goes on with the screen off, and says pause', async () => {
    await page.keyboard.press('p');
    await expect.poll(heard).toContain('Paused.');
    await pace();
    await page.keyboard.press('p');
    await ear.bringToFront();
    const before = (await heard()).length + (await heard()).join('').length;
    await until(
      ear,
      (was) => {
        const lines = [...document.querySelectorAll<HTMLElement>('ol[aria-label="What was heard"] li')];
        return lines.length + lines.map((one) => one.innerText).join('').length !== was;
      },
      before,
    );
    await page.bringToFront();
  });

  it('never says who lies there, what is found on them, or what is noted', async () => {
    const client = (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;
    const said = (await textOf(ear)).toLowerCase();
    for (const name of client.client.name.toLowerCase().split(' ')) expect(said).not.toContain(name);
    for (const { label } of client.findings) expect(said).not.toContain(label.toLowerCase());
    await ear.close();
  });
});
