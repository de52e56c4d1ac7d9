import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { appUrl } from '../app-url';
import { admit, bookAnyTime, call, post } from '../api/client';
import { choose, control, go, gone, launch, open, troubles, until, words } from './browser';

/** Asked for, taken in the same frame and light, laid over each other, and taken back. */
describe('pictures of a client', () => {
  let browser: Browser;
  let page: Page;
  let visit: number;
  let client: number;
  const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-pictures-'));
  const grey = async (name: string, value: number) => {
    const file = path.join(folder, name);
    const background = { r: value, g: value, b: value };
    await sharp({ create: { width: 300, height: 400, channels: 3, background } })
      .png()
      .toFile(file);
    return file;
  };
  const put = async (file: string) => (await page.$('input[type="file"]'))?.uploadFile(file);
  const isOffered = (name: string) =>
    page.evaluate((text) => [...document.querySelectorAll('button')].some((one) => one.textContent === text), name);
  const report = () => call('GET', `/api/clients/${client}/progress.pdf`);
  const pictureCount = async () => String((await report()).body).match(/\/Subtype \/Image/g)?.length ?? 0;

  beforeAll(async () => {
    browser = await launch();
    client = (await post('/api/clients', { name: 'Pia Lindqvist', bornOn: '1981-02-03' })).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['face'], purpose: 'puffy-face' });
    await admit(visit);
    page = await open(browser, `${appUrl()}/visits/${visit}/measure?sheet=pictures`);
  }, 60_000);
  afterAll(async () => {
    await browser.close();
    rmSync(folder, { recursive: true });
  });

  it('asks first: until somebody has agreed there is neither camera nor file', async () => {
    await words(page, 'May we take pictures?');
    await words(page, 'Not asked yet.');
    expect(await isOffered('Use the camera')).toBe(false);
    expect(await page.$('input[type="file"]')).toBeNull();
    await choose(page, 'The client says', 'for the record only');
    await words(page, 'Asked on');
    await control(page, 'button', 'Use the camera').wait();
  });

  it('takes one with the camera, and fits it by keys before it is kept', async () => {
    await control(page, 'button', 'Use the camera').click();
    await control(page, 'button', 'Take the picture').click();
    await page.waitForSelector('canvas[tabindex="0"]');
    await page.focus('canvas[tabindex="0"]');
    const shown = () => page.$eval('canvas[tabindex="0"]', (canvas) => (canvas as HTMLCanvasElement).toDataURL());
    const before = await shown();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('+');
    await expect.poll(shown).not.toBe(before);
    await words(page, '% of white');
    await control(page, 'button', 'Save this picture').click();
    await words(page, 'the next one can be held against it');
    expect(await page.evaluate(() => document.querySelectorAll('video').length)).toBe(0);
  });

  it('can be asked for and taken on a phone too, which has the better camera', async () => {
    const isSeen = (text: string) =>
      page.evaluate((wanted) => {
        const found = [...document.querySelectorAll('button, label')].find((one) => one.textContent?.trim() === wanted);
        const box = found?.getBoundingClientRect();
        return box !== undefined && box.width > 0 && box.right <= window.innerWidth;
      }, text);
    await page.setViewport({ width: 390, height: 844 });
    for (const text of ['Use the camera', 'Choose a picture', 'no pictures'])
      await expect.poll(() => isSeen(text)).toBe(true);
    await page.setViewport({ width: 1280, height: 800 });
  });

  it('says that the light is another, while that can still be changed', async () => {
    await put(await grey('light.png', 250));
    await words(page, '% brighter than last time');
    await put(await grey('dark.png', 4));
    await words(page, '% darker than last time');
  });

  it('names what is no picture, and keeps what was there', async () => {
    const empty = path.join(folder, 'empty.png');
    writeFileSync(empty, '');
    await put(empty);
    await words(page, 'That file is empty');
    const words_ = path.join(folder, 'words.png');
    writeFileSync(words_, 'not a picture');
    await put(words_);
    await words(page, 'That is not a picture that can be shown');
    expect(await page.$('canvas[tabindex="0"]')).not.toBeNull();
  });

  it('lays the one after the work over the one before it at closing, by keys', async () => {
    await go(page, `${appUrl()}/visits/${visit}/measure-after?sheet=pictures`);
    await put(await grey('after.png', 120));
    await control(page, 'button', 'Save this picture').click();
    await words(page, 'Compare');
    await go(page, `${appUrl()}/visits/${visit}/close`);
    await words(page, 'Pictures, before and after');
    const share = () =>
      page.$eval('input[type="range"][aria-label="How much of the earlier picture shows"]', (input) =>
        Number((input as HTMLInputElement).value),
      );
    expect(await share()).toBe(50);
    await page.focus('input[type="range"][aria-label="How much of the earlier picture shows"]');
    await page.keyboard.press('ArrowRight');
    await expect.poll(share).toBe(51);
    await choose(page, 'Compare', 'side by side');
    await until(page, () => {
      const pictures = [...document.querySelectorAll<HTMLImageElement>('figure img')];
      return pictures.length === 2 && pictures.every(({ naturalWidth }) => naturalWidth > 0);
    });
  });

  it('leaves the house on paper only when the client agrees to that too', async () => {
    // Something else to report is needed for there to be a report at all.
    const neck = { flexion: 40, extension: 50, turnLeft: 45, turnRight: 70, bendLeft: 30, bendRight: 35 };
    await post(`/api/visits/${visit}/observations`, { kind: 'neck-range', value: neck });
    expect(await pictureCount()).toBe(0);
    await go(page, `${appUrl()}/visits/${visit}/measure?sheet=pictures`);
    await choose(page, 'The client says', 'also in letters');
    await expect.poll(pictureCount).toBe(2);
  });

  it('is taken back: nothing is shown any more, and what is on record goes when it shall', async () => {
    await choose(page, 'The client says', 'no pictures');
    await words(page, '2 pictures are still on record.');
    expect(await isOffered('Use the camera')).toBe(false);
    await control(page, 'button', 'Remove 2 pictures').click();
    await control(page, 'button', 'Remove for good').click();
    await gone(page, 'still on record');
    await words(page, 'None yet.');
    await go(page, `${appUrl()}/visits/${visit}/close`);
    await gone(page, 'Pictures, before and after');
    expect(troubles(page)).toEqual([]);
  });
});
