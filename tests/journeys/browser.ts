import puppeteer, { type Browser, type ElementHandle, type EvaluateFunc, type Page } from 'puppeteer-core';
import { chromiumFlags, signInDemo } from '../../scripts/served.mjs';
import { people, type Person } from '../api/client';
import { savingWords } from '../../src/islands/saving/saving.words';
import { shiftClock } from '../clock/shift.mjs';

const executablePath = process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium';
const patienceMs = 30_000;

export async function launch(): Promise<Browser> {
  return puppeteer.launch({ executablePath, args: [...chromiumFlags], headless: true });
}

/** An empty page with the clock of the tests. */
export async function newPage(browser: Browser): Promise<Page> {
  const page = await browser.newPage();
  // A machine that does much else at once takes its time to start a page.
  page.setDefaultNavigationTimeout(60_000);
  await page.evaluateOnNewDocument(shiftClock, Number(process.env['VELVET_STONE_CLOCK_OFFSET_MS'] ?? 0));
  return page;
}

/** Opens a page of the app as one of its people and waits until its islands answer. Anything the page throws fails the test that asks `troubles`. */
export async function open(
  browser: Browser,
  url: string,
  size = { width: 1280, height: 800 },
  as: Person | 'nobody' = 'owner',
): Promise<Page> {
  const page = await newPage(browser);
  await page.setViewport(size);
  page.setDefaultTimeout(patienceMs);
  const list: string[] = [];
  page.on('pageerror', (error) => list.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource|ERR_CONNECTION/.test(message.text()))
      list.push(message.text());
  });
  troublesOf.set(page, list);
  const { origin } = new URL(url);
  // Pages of one browser share their cookies; each begins with its own person.
  await page.deleteCookie({ name: 'velvet-stone', url: origin });
  if (as !== 'nobody') {
    await page.setCookie({ name: 'velvet-stone', value: await signInDemo(origin, people[as]), url: origin });
  }
  await go(page, url);
  return page;
}

const troublesOf = new WeakMap<Page, string[]>();
export const troubles = (page: Page): readonly string[] => troublesOf.get(page) ?? [];

export async function go(page: Page, url: string): Promise<void> {
  await page.goto(url, { waitUntil: 'load' });
  await settled(page);
}

/**
 * Waits until every island of the page has come alive, says that it is not busy, and has nothing left to do at once. An
 * island is alive when React has committed it: before that its words are there, and its keys are not.
 */
export async function settled(page: Page): Promise<void> {
  const isQuiet = () => {
    if (document.querySelector('astro-island[ssr], [aria-busy="true"]') !== null) return false;
    return [...document.querySelectorAll('astro-island')].every((island) => {
      const [, root] = Object.entries(island).find(([name]) => name.startsWith('__reactContainer$')) ?? [];
      const { stateNode } = (root ?? {}) as {
        stateNode?: { current?: { memoizedState?: { isDehydrated?: boolean; element?: unknown } } };
      };
      const state = stateNode?.current?.memoizedState;
      return state != null && state.isDehydrated !== true && state.element != null;
    });
  };
  await until(page, isQuiet);
  await page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve, { timeout: 2000 })));
  await until(page, isQuiet);
}

/**
 * Waits until something holds in the page. It is asked by the clock, not by the frames: a page that is not drawn, as
 * one behind another, is asked, too.
 */
export function until<Params extends unknown[], Func extends EvaluateFunc<Params>>(
  page: Page,
  condition: Func,
  ...args: Params
) {
  return page.waitForFunction<Params, Func>(condition, { timeout: patienceMs, polling: 100 }, ...args);
}

/** Answers what is open in the check of the day with no, by keyboard, until the way on is shown. */
export async function answerCheck(page: Page): Promise<void> {
  await words(page, 'check of today');
  if (!(await textOf(page)).includes('Before we begin'))
    await choose(page, 'Part of the consultation', 'check of today');
  await words(page, 'Before we begin');
  for (let i = 0; i < 60; i += 1) {
    if ((await textOf(page)).includes('Go on to')) return;
    await page.keyboard.press('n');
    await new Promise((resolve) => setTimeout(resolve, 30));
  }
  await words(page, 'Go on to');
}

type Role = 'button' | 'link' | 'textbox' | 'radio' | 'heading' | 'searchbox' | 'combobox' | 'menuitem' | 'spinbutton';

/** A control by its role and visible name. */
export function control(page: Page, role: Role, name: string) {
  return page.locator(`::-p-aria([name="${name}"][role="${role}"])`);
}

/** Waits until nothing fades or slides any more. */
export async function still(page: Page): Promise<void> {
  await until(page, () =>
    document
      .getAnimations()
      .every((one) => one.playState !== 'running' || one.effect?.getTiming().iterations === Infinity),
  );
}

/** From now on it is so much later in the page, also on top of a clock that was moved before. */
export async function later(page: Page, ms: number): Promise<void> {
  await page.evaluate((more) => {
    const before = globalThis.Date;
    const now = () => before.now() + more;
    globalThis.Date = new Proxy(before, {
      construct: (target, input: unknown[], asked) =>
        Reflect.construct(target, input.length === 0 ? [now()] : input, asked) as Date,
      get: (target, key) => (key === 'now' ? now : (Reflect.get(target, key) as unknown)),
    });
  }, ms);
}

/**
 * As slowly as a foot presses again: two presses of one key within 150 ms are one, and a busy machine brings presses
 * nearer together than they were sent.
 */
export const pace = () => new Promise((resolve) => setTimeout(resolve, 240));

/** Presses a key so often, as slowly as a foot can. */
export async function tread(page: Page, key: 'PageDown' | 'Space', times: number): Promise<void> {
  for (let i = 0; i < times; i += 1) {
    await page.keyboard.press(key);
    await pace();
  }
}

/** Pastes into the note, as a person pastes a long letter. */
export async function paste(page: Page, text: string): Promise<void> {
  await page.focus('[role="textbox"][aria-label="Note"]');
  await page.keyboard.sendCharacter(text);
}

/** What is written in the note. */
export async function noteOf(page: Page): Promise<string> {
  return page.$eval('[role="textbox"][aria-label="Note"]', (note) => (note as HTMLElement).innerText);
}

/** Chooses one of a few by the words on it, in the group of that name. */
export async function choose(page: Page, group: string, option: string): Promise<void> {
  await until(
    page,
    (groupName, optionText) => {
      const groups = [...document.querySelectorAll<HTMLElement>('[role="radiogroup"]')];
      const labelled = groups.find(
        (g) => document.getElementById(g.getAttribute('aria-labelledby') ?? '')?.textContent === groupName,
      );
      const label = [...(labelled?.querySelectorAll('label') ?? [])].find((l) => l.textContent === optionText);
      label?.click();
      return label !== undefined;
    },
    group,
    option,
  );
}

/** Picks a finding by typing its name. */
export async function pick(page: Page, name: string): Promise<void> {
  await control(page, 'combobox', 'What').fill(name);
  await page.locator('[role="option"]').click();
}

/** Ticks or unticks the box whose label begins with these words. */
export async function tick(page: Page, label: string): Promise<void> {
  await until(
    page,
    (wanted) => {
      const found = [...document.querySelectorAll('label')].find(
        (one) => one.querySelector('input[type="checkbox"]') && one.textContent?.includes(wanted),
      );
      found?.click();
      return found !== undefined;
    },
    label,
  );
}

/** The row of the course with that number and name. */
export async function step(page: Page, name: string): Promise<ElementHandle<HTMLElement>> {
  const handle = await until(
    page,
    (wanted) =>
      [...document.querySelectorAll<HTMLElement>('ol button[aria-expanded]')].find((b) =>
        b.querySelector('strong')?.textContent?.startsWith(wanted),
      ),
    name,
  );
  return handle.asElement() as ElementHandle<HTMLElement>;
}

/** Waits for words to stand somewhere on the page. */
export async function words(page: Page, text: string): Promise<void> {
  await until(page, (wanted) => document.body?.innerText.includes(wanted) === true, text).catch(async () => {
    const shown = await textOf(page);
    throw new Error(`“${text}” did not appear. The page says: ${shown.slice(0, 1500)}`);
  });
}

/** Waits for words to be gone from the page; one that is just loading has no words yet, and is waited for. */
export async function gone(page: Page, text: string): Promise<void> {
  await until(page, (unwanted) => document.body !== null && !document.body.innerText.includes(unwanted), text);
}

/** Waits until everything that was answered on the page has reached the house. */
export async function allKept(page: Page): Promise<void> {
  await gone(page, savingWords.saving);
}

export async function textOf(page: Page): Promise<string> {
  return page.evaluate(() => document.body?.innerText ?? '');
}

/** Follows a control that leads to another page. */
export async function follow(page: Page, role: Role, name: string): Promise<void> {
  await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), control(page, role, name).click()]);
  await settled(page);
}

/** Types numbers as a therapist does in a tape run: each with Enter. */
export async function tape(page: Page, girths: readonly (number | string)[]): Promise<void> {
  for (const girth of girths) {
    await page.keyboard.type(String(girth));
    await page.keyboard.press('Enter');
  }
}

/** Gives the PIN where it is asked for again. */
export async function pinAgain(page: Page): Promise<void> {
  await words(page, 'Your PIN again');
  await control(page, 'textbox', 'Your PIN').fill('2719');
  await control(page, 'button', 'Go on').click();
  await gone(page, 'Your PIN again');
}
