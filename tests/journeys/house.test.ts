import { appUrl } from '../app-url';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  answerCheck,
  choose,
  control,
  follow,
  go,
  gone,
  launch,
  open,
  settled,
  textOf,
  troubles,
  words,
} from './browser';

/** The days and people of a house: finding one’s way, adding, booking, changing hands and light. */
describe('in the house', () => {
  let browser: Browser;
  let page: Page;
  const app = appUrl();

  beforeAll(async () => {
    browser = await launch();
    page = await open(browser, `${app}/`);
  });
  afterAll(() => browser.close());

  it('walks the week from the day’s thread', async () => {
    await words(page, 'This week');
    const links = await page.$$eval('aside ol a', (all) =>
      all.map((a) => (a as HTMLAnchorElement).getAttribute('href') ?? ''),
    );
    expect(links).toHaveLength(7);
    await go(page, `${app}${links[0]}`);
    await words(page, 'Monday');
    await go(page, `${app}/?day=not-a-day`);
    await words(page, 'Marit Olsvang');
  });

  it('shows what was left open, and leads there', async () => {
    await words(page, 'Hugo Brandt: record to finish');
    await follow(page, 'link', 'Hugo Brandt: record to finish');
    await words(page, 'How was it?');
  });

  it('has a guide, opened at the chapter of the view, that is searched in one’s own words', async () => {
    await go(page, `${app}/bench/stones`);
    await page.keyboard.press('?');
    await words(page, 'Read about this view in the guide');
    const href = await page.$eval('[role="dialog"] a', (a) => a.getAttribute('href'));
    expect(href).toBe('/guide#stones');
    await go(page, `${app}${href}`);
    await words(page, 'Hot and cool stones');
    await control(page, 'searchbox', 'Search the guide').fill('foot swich');
    await gone(page, 'Hot and cool stones');
    await words(page, 'The foot switch is silent');
    await control(page, 'searchbox', 'Search the guide').fill('elephant');
    await words(page, 'Nothing in the guide has all of these words');
  });

  it('jumps to finding a client with the slash key', async () => {
    await go(page, `${app}/`);
    await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), page.keyboard.press('/')]);
    await settled(page);
    expect(await page.evaluate(() => document.activeElement?.getAttribute('type'))).toBe('search');
  });

  it('adds a client, but not one without a name or with a name beyond measure', async () => {
    await control(page, 'button', 'Add a client').click();
    await control(page, 'textbox', 'Name').wait();
    await control(page, 'button', 'Add').click();
    await words(page, 'Write a name.');
    await control(page, 'textbox', 'Name').fill('x'.repeat(10_000));
    await control(page, 'button', 'Add').click();
    await words(page, 'Keep the name within 120 characters.');
    await control(page, 'textbox', 'Name').fill(`Lina "O'Mara" <b>&amp;`);
    await follow(page, 'button', 'Add');
    await words(page, `Lina "O'Mara" <b>&amp;`);
    await words(page, 'Nothing is booked.');
  });

  it('books a visit, not of 0 minutes, and begins it', async () => {
    await control(page, 'button', 'Book a visit').click();
    await words(page, 'What is to be drained');
    await page.select('select[name="focus"]', 'face neck');
    await page.select('select[name="purpose"]', 'sinus');
    await control(page, 'spinbutton', 'Minutes').fill('0');
    await control(page, 'button', 'Book').click();
    await words(page, 'A visit lasts at least 10 minutes.');
    await control(page, 'spinbutton', 'Minutes').fill('40');
    await follow(page, 'button', 'Book');
    await words(page, 'Consultation');
    await words(page, 'first visit');
  });

  it('stops at a yes to a red flag, says what to say, and opens again when it is corrected', async () => {
    await choose(page, 'Part of the consultation', 'check of today');
    await words(page, 'Before we begin');
    // The gate opens, and behind it stands the red flag.
    await page.keyboard.press('y');
    await words(page, 'become swollen');
    await page.keyboard.press('y');
    await words(page, 'Stop. Help is needed now.');
    await words(page, 'This needs a physician today');
    const visit = page.url().replace('/ask', '');
    await go(page, `${visit}/plan`);
    await words(page, 'The check stopped this visit');
    await go(page, `${visit}/ask`);
    await words(page, 'Stop. Help is needed now.');
    await choose(page, 'Part of the consultation', 'check of today');
    await page.evaluate(() => {
      const rows = [...document.querySelectorAll('li li')].filter((li) => li.textContent?.includes('become swollen'));
      [...(rows[0]?.querySelectorAll('label') ?? [])].find((label) => label.textContent === 'no')?.click();
    });
    await gone(page, 'Stop. Help');
    await answerCheck(page);
    await follow(page, 'link', 'Go on to the plan');
    await words(page, 'The natural way');
  });

  it('changes who is signed in, by one click in the demo, and the light, and remembers both', async () => {
    await go(page, `${app}/`);
    await control(page, 'button', 'IH: Ines Hollen is signed in. Open the menu').click();
    await Promise.all([
      page.waitForNavigation({ waitUntil: 'load' }),
      page.locator('::-p-aria([role="menuitem"][name="Bram Teasel Massage therapist"])').click(),
    ]).catch(async () => {
      throw new Error(`the menu says: ${await textOf(page)}`);
    });
    await settled(page);
    await control(page, 'button', 'BT: Bram Teasel is signed in. Open the menu').click();
    await page.locator('::-p-aria([role="menuitem"][name="Lamp light"])').click();
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    expect(await page.evaluate(() => document.documentElement.dataset['theme'])).toBe('lamp');
    expect(troubles(page)).toEqual([]);
  });
});
