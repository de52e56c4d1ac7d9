import { appUrl } from '../app-url';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { clientOf, post, visitOf } from '../api/client';
import { still, choose, control, launch, open, troubles, until, words, settled } from './browser';
import { beyondAnySize } from './room';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Finding {
  readonly id: string;
  readonly impact: string;
  readonly nodes: readonly { readonly html: string; readonly failureSummary?: string }[];
}

const everyRule = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** What another light can change; names, roles and order are the same by every light. */
const rulesOfLight = ['color-contrast', 'link-in-text-block'];
/** What lying elsewhere can change. */
const rulesOfPlace = ['target-size', 'scrollable-region-focusable', 'aria-hidden-focus'];

/** Serious and critical findings of axe, in a few words each. */
async function axe(page: Page, runOnly: readonly string[] = everyRule): Promise<readonly string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  const violations = await page.evaluate(async (rules) => {
    const { axe: runner } = window as unknown as {
      axe: { run: (root: Document, options: object) => Promise<{ violations: Finding[] }> };
    };
    return (await runner.run(document, { runOnly: rules, resultTypes: ['violations'] })).violations;
  }, runOnly);
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .flatMap((v) =>
      v.nodes
        .slice(0, 3)
        .map(
          (node) => `${v.id}: ${node.html.slice(0, 160)} ${node.failureSummary?.replace(/\s+/g, ' ').slice(0, 200)}`,
        ),
    );
}

/** Every drill, and words that stand when it does. */
const practised = [
  ['order', 'Press the steps in their order'],
  ['route', 'Touch each next place'],
  ['direction', 'Draw it on the picture'],
  ['pace', 'Press to begin'],
  ['count', 'Begin'],
  ['heat', 'At the first touch'],
  ['drops', 'Not for this client'],
  ['screen', 'The limit that matters most'],
  ['change', 'Girths of both runs'],
] as const;
/** A desk and a phone show all that there is, one way or the other; a tablet only puts it elsewhere. */
const sizes = [
  [1280, 800, { daylight: everyRule, lamp: rulesOfLight }],
  [390, 844, { daylight: everyRule, lamp: rulesOfLight }],
  [820, 1180, { daylight: rulesOfPlace }],
] as const;

describe('every view', () => {
  let browser: Browser;
  let visit: number;
  let client: number;
  let intake: number;
  let treatment: number;
  let aroma: number;
  let mix: number;
  let homeLink: string;

  beforeAll(async () => {
    browser = await launch();
    visit = await visitOf('Ottilie Fenwick');
    client = await clientOf('Ottilie');
    intake = await visitOf('Isaura Penn');
    treatment = await visitOf('Sunniva Harrow');
    await post(`/api/visits/${visit}/check`, { answers: allNo });
    await post(`/api/visits/${treatment}/check`, { answers: allNo });
    aroma = await visitOf('Runa Tolvey');
    const blend = {
      ...{ name: 'Quiet hour', area: 'body', volumeMl: 30, carrier: 'grapeseed' },
      parts: [{ oil: 'lavender', drops: 9 }],
    };
    mix = (await post('/api/oils/mixes', { blend })).body.id;
    const wish = {
      ...{ routine: 'nodes-breathing', side: null, minutes: 4, times: ['08:00'], daysPerWeek: 3, language: 'en' },
      reach: { bends: true, usesLeft: true, usesRight: true },
    };
    const sheet = (await post(`/api/visits/${visit}/home`, { wish, keep: true })).body.id;
    homeLink = (await post(`/api/home/${sheet}/link`, { days: 3 })).body.path;
  });
  afterAll(() => browser.close());

  const views: readonly (readonly [string, () => string, string])[] = [
    ['day', () => '/', 'This week'],
    ['clients', () => '/clients', 'Find by name'],
    ['client', () => `/clients/${client}`, 'On the body'],
    ['ask, check', () => `/visits/${visit}/ask`, 'Before we begin'],
    ['ask, intake', () => `/visits/${intake}/ask`, 'Consultation'],
    ['house', () => '/house', 'Add somebody'],
    ['house, trail', () => '/house?part=audit', 'Of whom'],
    ['house, keeping', () => '/house?part=keeping', 'Backups'],
    ['house, consent', () => '/house?part=consent', 'What clients consent to'],
    ['outbox', () => '/outbox', 'Waiting'],
    ['clients in and out', () => '/clients/import', 'Add clients from a file'],
    ['licences', () => '/licences', 'Fonts'],
    ['guide', () => '/guide', 'The day'],
    ...practised.map(
      ([kind, ready]) => [`practice, ${kind}`, () => `/practice?kind=${kind}&level=3&seed=5`, ready] as const,
    ),
    ['measure', () => `/visits/${visit}/measure`, 'Tape run'],
    ['measure, skin', () => `/visits/${visit}/measure?sheet=skin`, 'Found today'],
    ['measure, feeling', () => `/visits/${visit}/measure?sheet=feel`, 'Heaviness'],
    ['measure, face', () => `/visits/${visit}/measure?sheet=face`, 'Eyelids'],
    ['measure, lines', () => `/visits/${treatment}/measure?sheet=lines`, 'Add a usual line'],
    ['measure, belly', () => `/visits/${visit}/measure?sheet=belly`, 'surgeon'],
    ['measure, pictures', () => `/visits/${visit}/measure?sheet=pictures`, 'On record'],
    ['progress', () => `/clients/${client}/progress`, 'All figures'],
    ['stone bench', () => `/bench/stones?visit=${treatment}`, 'Add stones'],
    ['oil bench', () => `/bench/oils?visit=${aroma}`, 'How it unfolds'],
    ['bottles', () => '/bench/bottles', 'To order'],
    ['devices', () => '/bench/devices', 'Foot switch'],
    ['for home', () => `/visits/${visit}/home`, 'Give this sheet'],
    ['on the phone', () => homeLink, 'Hello Ottilie'],
    ['a link that is gone', () => '/home/gone', 'This page is not here'],
    ['mixing card', () => `/bench/mixes/${mix}`, 'all 9 are in'],
    ['girths in and out', () => `/measures?client=${client}`, 'Import a table'],
    ['points of taping', () => '/protocols', 'Points of taping'],
    ['the library', () => '/library?protocol=lifting-facial', 'Lifting facial'],
    ['house, measuring', () => '/house?part=measuring', 'What counts as swelling'],
    ['plan', () => `/visits/${visit}/plan`, 'The course'],
    ['plan of a treatment', () => `/visits/${treatment}/plan`, 'This visit holds'],
    ['room list', () => `/visits/${treatment}/prepare`, 'The room before'],
    ['print', () => `/visits/${visit}/print`, 'Ways out'],
    ['table', () => `/visits/${visit}/table`, 'step 1 of'],
    ['close', () => `/visits/${visit}/close`, 'How was it?'],
  ];

  describe.each(views)('%s', (_name, path, ready) => {
    let page: Page;
    beforeAll(async () => {
      page = await open(browser, `${appUrl()}${path()}`);
      await words(page, ready);
    });
    afterAll(() => page.close());

    it.each(sizes)('has nothing serious for axe at %i px', async (width, height, lights) => {
      await page.setViewport({ width, height });
      for (const [light, rules] of Object.entries(lights)) {
        await page.evaluate((value) => (document.documentElement.dataset['theme'] = value), light);
        // What fades in is faint for a moment.
        await still(page);
        // What scrolls goes under the foot that stays: where a control lies at the moment is not its size.
        const found = (await axe(page, rules)).filter((one) => width === 1280 || !one.includes('partially obscured'));
        expect(found, light).toEqual([]);
      }
    });

    it('has room at every size, from a phone to a desk, and at 400 %', async () => {
      expect(await beyondAnySize(page)).toEqual([]);
      expect(troubles(page)).toEqual([]);
    });
  });

  it('has nothing serious for axe in every part of the record, at the door and on the tablet', async () => {
    const page = await open(browser, `${appUrl()}/clients/${client}`);
    for (const part of ['visits', 'contact and likes', 'files and consent', 'corrections']) {
      await choose(page, 'Part of the record', part);
      await still(page);
      expect(await axe(page), part).toEqual([]);
    }
    await choose(page, 'Part of the record', 'findings');
    for (const [name, ready] of [
      ['Place a finding', 'What'],
      ['Book a visit', 'Free times'],
    ] as const) {
      await control(page, 'button', name).click();
      await words(page, ready);
      await still(page);
      expect(await axe(page), name).toEqual([]);
    }
    await page.close();
    const tablet = await open(browser, `${appUrl()}/visits/${intake}/ask`, { width: 820, height: 1180 });
    await Promise.all([tablet.waitForNavigation({ waitUntil: 'load' }), tablet.keyboard.press('h')]);
    await settled(tablet);
    await words(tablet, 'Hello Isaura');
    expect(await axe(tablet), 'tablet').toEqual([]);
    await tablet.close();
    const door = await open(browser, `${appUrl()}/sign-in`, undefined, 'nobody');
    await words(door, 'Sign in as');
    expect(await axe(door), 'sign-in').toEqual([]);
    expect(await beyondAnySize(door), 'sign-in').toEqual([]);
    await door.close();
  }, 90_000);

  it('shows the front desk its own day and client, without anything serious for axe', async () => {
    for (const path of ['/', `/clients/${client}`]) {
      const page = await open(browser, `${appUrl()}${path}`, undefined, 'assistant');
      await words(page, 'Ottilie Fenwick');
      expect(await axe(page), path).toEqual([]);
      await page.close();
    }
  }, 60_000);

  it('holds still with reduced motion', async () => {
    const page = await open(browser, `${appUrl()}/visits/${visit}/table`);
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    await words(page, 'step 1 of');
    const moving = await page.evaluate(
      () =>
        document
          .getAnimations()
          .filter((a) => a.playState === 'running' && Number(a.effect?.getTiming().duration ?? 0) > 50).length,
    );
    expect(moving).toBe(0);
    await page.close();
  }, 60_000);

  it('lists the keys of a view on ?, without touching the treatment', async () => {
    const page = await open(browser, `${appUrl()}/visits/${visit}/table`);
    await words(page, 'not begun');
    await page.keyboard.press('?');
    await words(page, 'back one step');
    await page.keyboard.press('PageDown');
    await page.keyboard.press('Escape');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    await words(page, 'not begun');
    await page.close();
  }, 60_000);

  it('opens its dialogs with the focus inside and gives it back', async () => {
    const page = await open(browser, `${appUrl()}/clients/${client}`);
    await control(page, 'button', 'Book a visit').click();
    await words(page, 'What is to be drained');
    const inside = await page.evaluate(() => document.activeElement?.closest('[role="dialog"]') !== null);
    await page.keyboard.press('Escape');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    // The focus returns a frame after the dialog has gone.
    await until(page, () => document.activeElement !== document.body);
    const back = await page.evaluate(() => document.activeElement?.textContent);
    expect([inside, back]).toEqual([true, 'Book a visit']);
    await page.close();
  }, 60_000);
});

describe('a first start without demo data', () => {
  it('opens with a page that sets up the house', async () => {
    const { mkdtempSync, rmSync } = await import('node:fs');
    const { startServer } = await import('../../scripts/served.mjs');
    const data = mkdtempSync('/tmp/velvet-stone-first-');
    const server = await startServer({ data, demo: false });
    const browser = await launch();
    const page = await open(browser, `${server.url}/`, undefined, 'nobody');
    await words(page, 'Welcome to Velvet Stone');
    await control(page, 'button', 'Open the house').click();
    await words(page, 'Write a name.');
    await control(page, 'textbox', 'Name of the house').fill('Haus am Bach');
    await control(page, 'textbox', 'Your name').fill('Ida Moor');
    await control(page, 'textbox', 'Sign-in name').fill('ida');
    await control(page, 'textbox', 'Password').fill('too short');
    await control(page, 'textbox', 'PIN for the locked screen').fill('1234');
    await control(page, 'button', 'Open the house').click();
    await words(page, 'Use at least 10 characters');
    await words(page, 'among the first that are tried');
    await control(page, 'textbox', 'Password').fill('three wet pebbles');
    await control(page, 'textbox', 'PIN for the locked screen').fill('2719');
    await control(page, 'button', 'Open the house').click();
    await words(page, 'Your recovery code');
    await Promise.all([
      page.waitForNavigation({ waitUntil: 'load' }),
      control(page, 'button', 'I have written it down').click(),
    ]);
    await settled(page);
    await words(page, 'Nothing is booked today');
    await browser.close();
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  }, 90_000);
});
