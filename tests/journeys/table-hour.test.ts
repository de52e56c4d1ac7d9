import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { admit, bookAnyTime, call, post } from '../api/client';
import { pace, control, go, gone, launch, newPage, open, settled, textOf, tread, troubles, words } from './browser';

/** The whole hour: one foot, no network for its middle third, two devices, a browser that keeps nothing, and time that runs away. */
describe('an hour at the table', () => {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-hour-'));
  let server: Served;
  let browser: Browser;
  let page: Page;

  /** A visit of drainage, oil and cool stones, planned and ready. */
  const mixedVisit = async (name: string) => {
    const client = (await post('/api/clients', { name, bornOn: '1980-04-02' }, server.url)).body.id;
    const visit = await bookAnyTime({ clientId: client, focus: ['face'] }, server.url);
    await admit(visit, server.url);
    const choices = ['face-drainage', 'lifting-facial', 'stones-face-cool'].map((protocol, i) => ({
      id: `c${i + 1}`,
      protocol,
    }));
    const made = await post(`/api/visits/${visit}/treatment`, { choices, minutes: 60, basedOn: 0 }, server.url);
    expect(made.status).toBe(200);
    const { steps, version, treatment } = made.body.plan;
    const spareSeconds: number = treatment.availableSeconds - treatment.totalSeconds;
    return { visit, steps: steps as { id: string; seconds: number }[], version: version as number, spareSeconds };
  };
  const stored = async (visit: number) =>
    (await call('GET', `/api/visits/${visit}`, undefined, server.url)).body.events as {
      id: string;
      kind: string;
      stepId: string;
      side?: string;
    }[];
  const table = (visit: number) => `${server.url}/visits/${visit}/table`;

  beforeAll(async () => {
    server = await startServer({ data });
    browser = await launch();
    page = await open(browser, server.url);
  }, 60_000);
  afterAll(async () => {
    await browser.close();
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  });

  it('is led by one foot from the first step to the last, the middle third without network or server', async () => {
    const { visit, steps } = await mixedVisit('Hanna Stunde');
    await go(page, table(visit));
    await words(page, 'ready without the network');
    await tread(page, 'PageDown', 1);
    const third = Math.floor(steps.length / 3);
    await tread(page, 'PageDown', third - 1);
    await words(page, `step ${third} of ${steps.length}`);
    await words(page, 'all saved');

    await page.setOfflineMode(true);
    await server.kill();
    await tread(page, 'PageDown', 5);
    await words(page, 'saved here');
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await words(page, `step ${third + 5} of ${steps.length}`);
    await page.keyboard.press('1');
    await words(page, 'which side?');
    await tread(page, 'PageDown', 1);
    await gone(page, 'which side?');
    await tread(page, 'PageDown', third - 5);
    await words(page, `step ${2 * third} of ${steps.length}`);
    server = await startServer({ data, port: server.port });
    await page.setOfflineMode(false);
    await words(page, 'all saved');

    await tread(page, 'PageDown', steps.length - 2 * third + 1);
    await words(page, 'All done');
    await words(page, 'all saved');
    const events = await stored(visit);
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
    expect(events.filter(({ kind }) => kind === 'end').map(({ stepId }) => stepId)).toEqual(steps.map(({ id }) => id));
    // What was noticed, kept at once, and then its side.
    const marks = events.filter(({ kind }) => kind === 'mark');
    expect(marks.map(({ side }) => side ?? null)).toEqual([null, 'right']);
    expect(events.at(-1)?.kind).toBe('finish');
  }, 120_000);

  it('says before the first step that a plan is of another day', async () => {
    const { visit } = await mixedVisit('Gesa Gestern');
    const db = new SQLite(path.join(data, 'velvet-stone.sqlite'));
    const yesterday = new Date(Date.now() - 86_400_000).toISOString();
    db.prepare('update plan set recorded_at = ? where visit_id = ?').run(yesterday, visit);
    db.close();
    await go(page, table(visit));
    await words(page, 'Has today been asked?');
    await tread(page, 'PageDown', 1);
    await gone(page, 'Has today been asked?');
  });

  it('takes a key that is held down as one press', async () => {
    const { visit, steps } = await mixedVisit('Halte Taste');
    await go(page, table(visit));
    await words(page, 'ready without the network');
    await page.keyboard.down('PageDown');
    for (let i = 0; i < 5; i += 1) await page.keyboard.down('PageDown');
    await page.keyboard.up('PageDown');
    await words(page, `step 1 of ${steps.length}`);
    expect(await textOf(page)).not.toContain('not begun');
  });

  it('is moved by the simulated foot switch in another window, and says when its cable is out', async () => {
    const { visit, steps } = await mixedVisit('Fenja Fuss');
    await go(page, table(visit));
    await words(page, 'not begun');
    const panel = await open(browser, `${server.url}/bench/devices`);
    await words(panel, 'a table listens');
    await control(panel, 'button', 'On').click();
    await words(page, `step 1 of ${steps.length}`);
    await pace();
    await control(panel, 'button', 'A trembling foot').click();
    await words(page, `step 2 of ${steps.length}`);
    await control(panel, 'button', 'Pull the cable').click();
    await words(panel, 'The cable is out.');
    await page.bringToFront();
    await words(page, 'The foot switch is silent.');
    await tread(page, 'PageDown', 1);
    await words(page, `step 3 of ${steps.length}`);
    await panel.close();
  });

  it('is led by one device: a second follows, writes nothing, and takes over by one key', async () => {
    const { visit, steps } = await mixedVisit('Zita Zwei');
    await go(page, table(visit));
    await words(page, 'ready without the network');
    await tread(page, 'PageDown', 2);
    await words(page, 'all saved');
    const other = await launch();
    const second = await open(other, table(visit));
    await words(second, 'Another device leads.');
    await words(second, `step 2 of ${steps.length}`);
    await tread(second, 'PageDown', 1);
    await tread(page, 'PageDown', 1);
    await words(second, `step 3 of ${steps.length}`);
    await second.keyboard.press('t');
    await gone(second, 'Another device leads.');
    await tread(second, 'PageDown', 1);
    await words(second, `step 4 of ${steps.length}`);
    // What the first still presses is put aside, and it learns that it follows.
    await tread(page, 'PageDown', 1);
    await words(page, 'Another device leads.');
    await words(page, `step 4 of ${steps.length}`);
    const kinds = (await stored(visit)).map(({ kind }) => kind);
    expect(kinds).toEqual(['start', 'end', 'start', 'end', 'start', 'end', 'start']);
    expect(troubles(second)).toEqual([]);
    await other.close();
  });

  it('lets only one window of a browser write', async () => {
    const { visit } = await mixedVisit('Wanda Fenster');
    await go(page, table(visit));
    await words(page, 'ready without the network');
    await tread(page, 'PageDown', 1);
    await words(page, 'all saved');
    const twin = await open(browser, table(visit));
    await words(twin, 'Another window leads.');
    await twin.close();
  });

  it('says when the browser keeps nothing, and goes on', async () => {
    const { visit, steps } = await mixedVisit('Nele Nichts');
    const strict = await newPage(browser);
    await strict.evaluateOnNewDocument(() => {
      const refuse = () => {
        throw new DOMException('refused', 'SecurityError');
      };
      Object.defineProperty(window, 'indexedDB', { get: refuse });
      Object.defineProperty(window, 'localStorage', { get: refuse });
    });
    await strict.goto(table(visit), { waitUntil: 'networkidle2' });
    await words(strict, 'This browser keeps nothing');
    await tread(strict, 'PageDown', 2);
    await words(strict, `step 2 of ${steps.length}`);
    await words(strict, 'all saved');
    await strict.close();
  });

  it('late by six minutes, it offers three ways, each as it says', async () => {
    const { visit, steps, version, spareSeconds } = await mixedVisit('Lotte Spaet');
    const late = 360 + spareSeconds + (steps[0]?.seconds ?? 0);
    const at = new Date(Date.now() - late * 1000).toISOString();
    const start = { id: `late-${visit}-0001`, kind: 'start', stepId: steps[0]?.id, at, planVersion: version };
    const sent = await post(
      `/api/visits/${visit}/events`,
      { deviceId: 'the-other-tablet', events: [start] },
      server.url,
    );
    expect(sent.status).toBe(200);
    await go(page, table(visit));
    await words(page, 'Another device leads.');
    await page.keyboard.press('t');
    await words(page, 'Time runs short:');
    const beads = () => page.$$eval('[aria-label^="Step"] li', (all) => all.length);
    const offers = await textOf(page);
    for (const way of ['Shorten evenly', 'Leave out', 'Run over by']) expect(offers).toContain(way);
    expect(await beads()).toBe(steps.length);

    await page.keyboard.press('e');
    await words(page, 'ends in time');
    expect(await beads()).toBe(steps.length);
    await page.keyboard.press('u');
    await words(page, 'Time runs short:');
    await page.keyboard.press('l');
    await words(page, 'ends in time');
    expect(await beads()).toBeLessThan(steps.length);
    await page.keyboard.press('u');
    await words(page, 'Time runs short:');
    await page.keyboard.press('o');
    await words(page, 'min late');
    expect(await beads()).toBe(steps.length);
    expect(troubles(page)).toEqual([]);
  });
});
