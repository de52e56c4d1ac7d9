import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { call } from '../api/client';
import { choose, control, go, gone, settled, textOf, until, words } from './browser';
import { ownHouse } from './own-house';

/** Finding, reading, changing and exchanging techniques and protocols. */
describe('the library', () => {
  const house = ownHouse('library');
  let page: Page;
  beforeAll(() => {
    page = house.page;
  });

  const listed = () => page.$$eval('[aria-label="Found"] strong', (names) => names.map((name) => name.textContent));

  it('finds by word, by school, and by a touch on the body', async () => {
    await go(page, `${house.url}/library`);
    await words(page, 'protocols, 34');
    await page.keyboard.press('f');
    await page.keyboard.type('mouth smile');
    await until(page, () => document.querySelectorAll('[aria-label="Found"] li').length < 15);
    expect((await listed()).slice(0, 2).sort()).toEqual([
      'Home sheet: mouth and smile line',
      'Mouth and smile line, gloved',
    ]);
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.press('Backspace');
    await choose(page, 'What to look at', 'techniques, 207');
    await choose(page, 'Drawing', 'Face');
    await page.locator('[aria-label^="left cheek"]').click();
    await words(page, 'every region');
    const found = (await listed()).length;
    expect(found > 5 && found < 100).toBe(true);
    await page.keyboard.press('Escape');
    await gone(page, 'every region');
  });

  it('finds in the words that therapists use, misspelt too, and says why', async () => {
    await page.keyboard.press('f');
    await page.keyboard.type('clavicel');
    await words(page, 'also called “clavicle”');
    await choose(page, 'What to look at', 'protocols, 34');
    await words(page, 'done on: ');
    expect(await listed()).toContain('Open and clear');
    await control(page, 'button', 'More filters').click();
    await words(page, 'Kind of work');
    await control(page, 'button', 'Fewer filters').click();
    await gone(page, 'Kind of work');
  });

  it('keeps an own version of a technique, shows what differs, and gives back what ships', async () => {
    await go(page, `${house.url}/library?technique=jaw-knead`);
    await control(page, 'button', 'Change').click();
    await control(page, 'spinbutton', 'Repetitions, usually').fill('9');
    await control(page, 'button', 'Save as ours').click();
    await words(page, 'The usual number, 9, lies outside');
    await control(page, 'spinbutton', 'Repetitions, at most').fill('12');
    await control(page, 'button', 'Save as ours').click();
    await words(page, 'Changed here');
    expect(await textOf(page)).toContain('repetitions usual');
    await control(page, 'button', 'As it ships').click();
    await gone(page, 'Changed here');
  });

  it('rearranges a copy of a protocol by keyboard, and says what is wrong with it', async () => {
    await go(page, `${house.url}/library?protocol=neck-release`);
    await control(page, 'button', 'Copy').click();
    await words(page, 'A protocol of our own');
    await page.waitForSelector('[data-key="work-left 0"]');
    const order = () =>
      page.$$eval('[aria-label="Steps of work left"] [data-key]', (steps) =>
        steps.map((step) => (step as HTMLElement).dataset['key']),
      );
    const before = await order();
    await page.focus('[data-key="work-left 0"]');
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.up('Alt');
    await until(
      page,
      (first) =>
        document.querySelector<HTMLElement>('[aria-label="Steps of work left"] [data-key]')?.dataset['key'] !== first,
      before[0],
    );
    expect(await order()).toEqual([before[1], before[0], ...before.slice(2)]);
    for (const key of before.slice(1)) {
      await page.focus(`[data-key="${key}"]`);
      await page.$eval(`[data-key="${key}"]`, (step) =>
        step.parentElement?.querySelector<HTMLElement>(':scope > button')?.click(),
      );
    }
    await words(page, 'is intense: follow it');
    await control(page, 'button', 'Save as ours').click();
    await words(page, 'to put right first');
    await control(page, 'button', 'Cancel').click();
    await words(page, 'Neck release');
    await control(page, 'button', 'Copy').click();
    await control(page, 'textbox', 'Name').fill('Neck, our way');
    await control(page, 'button', 'Save as ours').click();
    await words(page, '“Neck, our way” is saved as our own.');
    expect(await listed()).toContain('Neck, our way');
  });

  it('takes the library out, and brings a file in after showing what it would do', async () => {
    const out = await call('GET', '/api/library', undefined, house.url);
    expect(out.body).toMatchObject({ format: 'velvet-stone-library', version: 1 });
    const [own] = out.body.protocols;
    const bad = path.join(house.folder, 'bad.json');
    writeFileSync(bad, JSON.stringify({ ...out.body, version: 9 }));
    const good = path.join(house.folder, 'good.json');
    writeFileSync(
      good,
      JSON.stringify({ ...out.body, protocols: [{ ...own, id: 'neck-two', name: 'Neck, second way' }] }),
    );
    await go(page, `${house.url}/library`);
    await control(page, 'button', 'Files in and out').click();
    const input = await page.waitForSelector('input[type="file"]');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(bad);
    await words(page, 'written by a newer program');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(good);
    await words(page, '1 of 1 entry would be imported');
    await control(page, 'button', 'Import').click();
    await words(page, '1 entry imported.');
    await expect.poll(listed).toContain('Neck, second way');
    await settled(page);
  });
});
