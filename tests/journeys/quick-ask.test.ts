import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { call, visitOf } from '../api/client';
import { appUrl } from '../app-url';
import { allKept, choose, control, gone, launch, open, textOf, troubles, until, words } from './browser';

const url = appUrl();
const answersOf = async (visit: number): Promise<Readonly<Record<string, string>>> =>
  (await call('GET', `/api/visits/${visit}/ask`)).body.state.check;
const stageOf = async (visit: number) => (await call('GET', `/api/visits/${visit}`)).body.stage;
const currentText = (page: Page) =>
  page.$eval('main li[data-current] p', ({ textContent }) => textContent ?? '').catch(() => '');

/** A gate takes a breath to be read aloud, and a key. */
const secondsPerGate = 1.2;

describe('the quick ask of a client who comes again', () => {
  let browser: Browser;
  let page: Page;
  let visit: number;
  const pressed: string[] = [];
  const press = async (key: 'n' | 'y' | 'r' | 'z' | 'l') => {
    pressed.push(key);
    await page.keyboard.press(key);
  };
  beforeAll(async () => {
    browser = await launch();
    visit = await visitOf('Ottilie Fenwick');
    page = await open(browser, `${url}/visits/${visit}/ask`);
    await words(page, 'Before we begin');
  }, 60_000);
  afterAll(async () => {
    expect(troubles(page)).toEqual([]);
    await browser.close();
  });

  it('asks in words that say all that a no stands for', async () => {
    const shown = await textOf(page);
    expect(shown).toContain('Anything alarming today?');
    expect(shown).toContain('a drooping face');
    expect(shown).toMatch(/Anything new since \d+ \w+ \d{4}\?/);
    expect(shown).toContain('How was it after the last visit?');
    expect(shown).not.toContain('Blood pressure 180 over 110 or more today?');
  });

  it('takes back what was answered in one go', async () => {
    await page.keyboard.press('r');
    await words(page, 'The rest was answered with no.');
    await words(page, 'Go on to');
    await page.keyboard.press('z');
    await gone(page, 'Go on to');
    await allKept(page);
    expect(Object.keys(await answersOf(visit))).toEqual([]);
  });

  it('is done with a no to each gate, in eight keys at most', async () => {
    for (let i = 0; i < 12 && !(await textOf(page)).includes('Go on to'); i += 1) {
      const before = await currentText(page);
      await press('n');
      await until(
        page,
        (was) =>
          document.querySelector('main li[data-current] p')?.textContent !== was ||
          document.body.innerText.includes('Go on to'),
        before,
      );
    }
    await words(page, 'Go on to');
    expect(pressed.length).toBeLessThanOrEqual(8);
    expect(pressed.length * secondsPerGate).toBeLessThanOrEqual(10);
  });

  it('has stored every question behind the gates by itself', async () => {
    await allKept(page);
    await expect.poll(() => stageOf(visit), { timeout: 20_000 }).not.toBe('ask');
    const answers = await answersOf(visit);
    expect(Object.keys(answers).length).toBeGreaterThan(15);
    expect(new Set(Object.values(answers))).toEqual(new Set(['no']));
    expect(answers['stroke-signs']).toBe('no');
    expect(answers['borne-badly']).toBe('no');
  });

  it('shows the whole list with one key, answered', async () => {
    await page.keyboard.press('l');
    await words(page, 'Blood pressure 180 over 110 or more today?');
    const open = await page.$$eval('main li[data-open]', (all) => all.length);
    expect(open).toBe(0);
    await control(page, 'button', 'By gates').click();
    await gone(page, 'Blood pressure 180 over 110 or more today?');
  });
});

describe('the quick ask on a phone', () => {
  it('is done by thumb alone, and a yes opens its questions only', async () => {
    const browser = await launch();
    const visit = await visitOf('Adaeze Quill');
    const page = await open(browser, `${url}/visits/${visit}/ask`, { width: 390, height: 844 });
    await choose(page, 'Part of the consultation', 'check of today');
    await words(page, 'Skin today?');
    const tapOn = (gate: string, answer: string) =>
      page.evaluate(
        (wanted, text) => {
          const row = [...document.querySelectorAll('main li[data-gate]')].find(
            (one) => one.querySelector('p')?.textContent === wanted,
          );
          const label = [...(row?.querySelectorAll('label') ?? [])].find(({ textContent }) => textContent === text);
          (label as HTMLElement | undefined)?.click();
          return label !== undefined;
        },
        gate,
        answer,
      );
    expect(await tapOn('Skin today?', 'yes')).toBe(true);
    await words(page, 'Any of these?');
    expect(await textOf(page)).not.toContain('Temperature of 38');
    expect(await tapOn('Skin today?', 'no')).toBe(true);
    await control(page, 'button', 'The rest: no').click();
    await words(page, 'The rest was answered with no.');
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
    expect(troubles(page)).toEqual([]);
    await browser.close();
  }, 60_000);
});
