import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { workbook } from '../../src/islands/imports/workbook-fixture';
import { drawLimbs } from '../../src/demo/picture';
import { admit, bookAnyTime, call, clientOf, post } from '../api/client';
import {
  allKept,
  choose,
  control,
  follow,
  go,
  gone,
  launch,
  open,
  settled,
  tape,
  textOf,
  troubles,
  until,
  words,
} from './browser';

const arm = {
  right: [16.2, 17.6, 20.1, 22.8, 24.6, 25.4, 25.9, 26.8, 28.0, 29.1, 30.2],
  left: [17.4, 19.5, 22.6, 25.7, 27.5, 28.2, 28.4, 29.0, 30.1, 30.8, 31.4],
};
const leg = {
  right: [21.7, 23.5, 26.8, 30.3, 33.3, 35.6, 36.2, 37.2, 38.8, 39.7, 41.1, 43.5, 45.9, 48.4, 51.0, 52.9, 55.1, 56.5],
  left: [22.1, 24.5, 28.2, 32.1, 35.3, 37.7, 38.4, 39.2, 40.8, 41.4, 42.8, 45.2, 47.5, 49.8, 52.4, 54.2, 56.1, 57.4],
};
const kept = 'every number is saved as you type it';

/** Taping, touching, asking and looking back, as a therapist does it with the keyboard. */
describe('measures, skin and progress', () => {
  let browser: Browser;
  let server: Served;
  let page: Page;
  let client: number;
  const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-measures-'));
  const data = path.join(folder, 'data');

  const newVisit = async (name: string, focus: string) => {
    client = (await post('/api/clients', { name, bornOn: '1970-05-01' }, server.url)).body.id;
    const visit = await bookAnyTime({ clientId: client, focus: [focus] }, server.url);
    await admit(visit, server.url);
    return visit;
  };
  /** Books the same client again, on the first day after a visit on which the hour is free. */
  const bookAfter = async (startsAt: string): Promise<number> => {
    for (let day = 1; day < 30; day += 1) {
      const at = new Date(Date.parse(startsAt) + day * 86_400_000).toISOString();
      const wish = {
        clientId: client,
        therapistId: 1,
        focus: ['arm.left'],
        purpose: 'swelling',
        startsAt: at,
        minutes: 45,
      };
      const { status, body } = await post('/api/visits', wish, server.url);
      if (status < 300) return body.id;
    }
    throw new Error('no free day in a month');
  };
  const focusCell = (label: string) =>
    page.evaluate((name) => document.querySelector<HTMLInputElement>(`[aria-label="${name}"]`)?.focus(), label);

  beforeAll(async () => {
    server = await startServer({ data });
    browser = await launch();
    page = await open(browser, `${server.url}/`);
  });
  afterAll(async () => {
    await browser.close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  it('tapes both arms and both legs by keyboard alone, within 90 seconds of typing', async () => {
    let typingMs = 0;
    for (const [name, focus, run, mL] of [
      ['Arma Tape', 'arm.left', arm, '368 mL'],
      ['Lega Tape', 'leg.left', leg, '693 mL'],
    ] as const) {
      const visit = await newVisit(name, focus);
      await go(page, `${server.url}/visits/${visit}/measure`);
      await words(page, 'left is swollen');
      const began = Date.now();
      await tape(page, run.right);
      await tape(page, run.left);
      typingMs += Date.now() - began;
      await words(page, mL);
      await words(page, kept);
    }
    expect(typingMs).toBeLessThan(90_000);
    await words(page, 'By volume ≥ 10 %');
    await words(page, 'not met');
  });

  it('goes on to the figure-of-eight, and takes back the last number with U', async () => {
    const eights = () =>
      page.$$eval('input[aria-label$="foot, figure-of-eight"]', (inputs) =>
        inputs.map((input) => (input as HTMLInputElement).value),
      );
    await focusCell('right foot, figure-of-eight');
    await tape(page, ['52.4', '53,1']);
    await expect.poll(eights).toEqual(['52.4', '53.1']);
    await allKept(page);
    await focusCell('left foot, figure-of-eight');
    await page.keyboard.press('u');
    await expect.poll(eights).toEqual(['52.4', '']);
  });

  it('tapes again without looking, marks what disagrees, and settles it with a third reading', async () => {
    await focusCell('right leg, 0 cm');
    await page.keyboard.press('a');
    await words(page, 'Tape run, again');
    const blank = await page.$$eval('tbody input', (inputs) =>
      inputs.every((input) => (input as HTMLInputElement).value === ''),
    );
    expect(blank).toBe(true);
    await tape(page, ['21.9', '24.8']);
    await words(page, 'The two readings differ: tape a third time.');
    await page.keyboard.press('a');
    await words(page, 'third readings');
    await tape(page, ['23.6']);
    await gone(page, 'The two readings differ');
    await words(page, kept);
    const visit = (await call('GET', `/api/visits/${/visits\/(\d+)/.exec(page.url())?.[1]}`, undefined, server.url))
      .body;
    expect(visit.before.reference.slice(0, 2)).toEqual([expect.closeTo(21.8), 23.6]);
    expect(visit.before.first.reference[1]).toBe(23.5);
  });

  it('takes units and comma decimals as they are typed, letter by letter', async () => {
    const visit = await newVisit('Cosmo Thread', 'arm.left');
    await go(page, `${server.url}/visits/${visit}/measure`);
    await words(page, 'left is swollen');
    await tape(page, ['16,2 cm', '6.5 in', '17.4cm', '18.9', '19.9']);
    await until(
      page,
      () => document.querySelector<HTMLInputElement>('[aria-label="right arm, 16 cm"]')?.value === '19.9',
    );
    const shown = await page.$$eval('[aria-label^="right arm, "]', (cells) =>
      cells.map((cell) => (cell as HTMLInputElement).value).filter(Boolean),
    );
    expect(shown).toEqual(['19.9', '18.9', '17.4', '16.5', '16.2']);
    expect(await page.$('[role="dialog"]')).toBeNull();
    await page.keyboard.press('c');
    await page.waitForSelector('[role="dialog"]');
    await page.keyboard.press('Escape');
  });

  it('catches a side that was typed in the wrong unit, and mends it with one press', async () => {
    const visit = await newVisit('Una Inch', 'arm.left');
    await go(page, `${server.url}/visits/${visit}/measure`);
    await words(page, 'left is swollen');
    await tape(
      page,
      arm.right.map((cm) => (cm / 2.54).toFixed(2)),
    );
    await tape(page, arm.left);
    await words(page, 'All values look as if typed in the other unit.');
    await control(page, 'button', 'Read them as inches').click();
    await gone(page, 'as if typed in the other unit');
    await words(page, '368 mL');
    const first = await page.$eval('[aria-label="right arm, 0 cm"]', (input) => (input as HTMLInputElement).value);
    expect(first).toBe('16.2');
  });

  it('doubts what changed a lot since last time, and takes “it is right” by key', async () => {
    const first = (await call('GET', `/api/visits/${/visits\/(\d+)/.exec(page.url())?.[1]}`, undefined, server.url))
      .body;
    const again = await bookAfter(first.startsAt);
    await admit(again, server.url);
    await go(page, `${server.url}/visits/${again}/measure`);
    await focusCell('right arm, 0 cm');
    await tape(page, [19.4]);
    await words(page, 'Changed a lot since last time (16.2): tape again?');
    await focusCell('right arm, 0 cm');
    await page.keyboard.press('y');
    await gone(page, 'Changed a lot');
    await words(page, kept);
  });

  it('takes numbers from the tape with a button, and tells what it cannot read', async () => {
    await focusCell('right arm, 4 cm');
    await page.keyboard.press('b');
    await words(page, 'each press of its button fills the point at hand');
    const devices = await open(browser, `${server.url}/bench/devices`);
    const press = async (shown: string) => {
      await control(devices, 'textbox', 'Its window shows, cm').fill(shown);
      await control(devices, 'button', 'Press its button').click();
    };
    await press('17.6');
    await until(
      page,
      () => document.querySelector<HTMLInputElement>('[aria-label="right arm, 4 cm"]')?.value === '17.6',
    );
    await press('NaN');
    await words(page, 'not a number: press again, or type it');
    await devices.close();
  });

  it('finds warmth and redness by touch, and stops until somebody has written down what was done', async () => {
    const visit = await newVisit('Rosa Warm', 'leg.left');
    await go(page, `${server.url}/visits/${visit}/measure?sheet=skin`);
    await words(page, 'left lower shin');
    await choose(page, 'Redness', 'clear');
    for (const [label, text] of [
      ['Warmth here, °C', '33,4'],
      ['Mirror point, °C', '31,2'],
    ] as const) {
      await control(page, 'textbox', label).fill(text);
      await page.keyboard.press('Tab');
    }
    await words(page, 'clearly warmer than the other side (+2.2 °C)');
    await words(page, 'Doctor or urgent care today.');
    await post(`/api/visits/${visit}/plan`, { school: {}, minutes: 45, fill: false, basedOn: 0 }, server.url);
    const refused = await post(
      `/api/visits/${visit}/events`,
      {
        deviceId: 'some-device',
        events: [{ id: 'press-0001', kind: 'start', stepId: 's1', at: new Date().toISOString(), planVersion: 1 }],
      },
      server.url,
    );
    expect([refused.status, refused.body.errors[0].message]).toEqual([400, expect.stringContaining('urgent care')]);
    await control(page, 'button', 'Write down what was done').click();
    await control(page, 'button', 'Close it with this note').click();
    await words(page, 'Write down what was done: whom you called');
    await control(page, 'textbox', 'What was done').fill('Seen at the clinic this morning, cleared.');
    await control(page, 'button', 'Close it with this note').click();
    await gone(page, 'urgent care today');
  });

  it('takes scores, face lengths and pictures, each with what it says', async () => {
    await page.keyboard.press('f');
    await words(page, 'Heaviness');
    await choose(page, 'Heaviness: 0 none, 10 worst imaginable', '6');
    await page.keyboard.press('n');
    await words(page, 'ear notch to point of the chin');
    await page.focus('[data-length-cell]');
    for (const length of [14.9, 14.3, 11.6, 11.2, 11.2, 10.9, 13.4, 13.0, 12.1, 11.8, 12.5, 12.7, 10.6, 10.1])
      await tape(page, [length]);
    await words(page, 'The right side is larger by 2.7 % on the whole.');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('p');
    await choose(page, 'The client says', 'for the record only');
    await words(page, 'Choose a picture');
    const [empty, picture] = [path.join(folder, 'empty.png'), path.join(folder, 'legs.png')];
    writeFileSync(empty, '');
    writeFileSync(picture, drawLimbs([0, 20, 40], [leg.left.slice(0, 3), leg.right.slice(0, 3)]));
    const input = await page.$('input[type="file"]');
    await input?.uploadFile(empty);
    await words(page, 'That file is empty');
    await input?.uploadFile(picture);
    await control(page, 'button', 'Save this picture').click();
    await words(page, 'the next one can be held against it');
    expect(troubles(page)).toEqual([]);
  });

  it('shows progress as a sentence with its interval, compares two dates, and prints it', async () => {
    const marit = await clientOf('Marit Olsvang', server.url);
    await go(page, `${server.url}/clients/${marit}`);
    await follow(page, 'link', 'Progress');
    await words(page, 'Falling by');
    await words(page, 'nine visits.');
    await words(page, 'is still gone at the next');
    await until(page, () => document.querySelectorAll('main svg path').length > 40);
    await choose(page, 'What to look at', 'redness');
    await words(page, 'Redness');
    await choose(page, 'What to look at', 'excess');
    await control(page, 'combobox', 'From').wait();
    await page.select(
      'select',
      await page.$eval('select option:nth-child(3)', (option) => (option as HTMLOptionElement).value),
    );
    await words(page, 'in all, most between');
    const pdf = await call('GET', `/api/clients/${marit}/progress.pdf`, undefined, server.url);
    expect([pdf.status, pdf.type]).toEqual([200, 'application/pdf']);
    const nobody = (await post('/api/clients', { name: 'Nothing Measured' }, server.url)).body.id;
    expect((await call('GET', `/api/clients/${nobody}/progress.pdf`, undefined, server.url)).status).toBe(400);
  });

  it('brings in a table with three bad rows only when they are left out on purpose', async () => {
    const rows = ['Datum;limb;side;point cm;girth cm'];
    for (const day of ['4.5.2026', '18.5.2026'])
      for (const side of ['left', 'right'])
        for (const x of [0, 4, 8, 12]) rows.push(`${day};leg;${side};${x};${side === 'left' ? 24 : 22},5`);
    rows.push('31.2.2026;leg;left;16;30,0', '4.5.2026;leg;left;0;25,0', '4.5.2026;leg;left;16;thick');
    const file = path.join(folder, 'old.csv');
    writeFileSync(file, Buffer.from(rows.join('\r\n'), 'latin1'));
    await go(page, `${server.url}/measures?client=${client}`);
    const input = await page.$('input[type="file"]');
    await input?.uploadFile(file);
    await words(page, 'split at semicolons');
    await words(page, 'which column holds the date');
    await page.select('select', 'date');
    await choose(page, 'Dates are written', 'day, month, year');
    await control(page, 'button', 'Read and check it').click();
    await words(page, '19 rows read: 2 tapings, 3 rows in trouble');
    await words(page, 'is already in row 2');
    expect((await call('GET', `/api/clients/${client}/measures.csv`, undefined, server.url)).body).not.toContain(
      '24.5',
    );
    await control(page, 'button', 'Leave out the 3 and import the rest').click();
    await words(page, '2 tapings of 1 client are on record now.');
    const table = (await call('GET', `/api/clients/${client}/measures.csv`, undefined, server.url)).body as string;
    expect(table.match(/24\.5/g)?.length).toBeGreaterThanOrEqual(8);
    expect(troubles(page)).toEqual([]);
  });

  it('reads a workbook as it is, and refuses by name what is none', async () => {
    const rows: (string | number | Date)[][] = [['date', 'limb', 'side', 'swollen', 'point cm', 'girth cm']];
    for (const side of ['left', 'right'])
      for (const x of [0, 4, 8, 12])
        rows.push([new Date('2026-06-02T00:00:00Z'), 'leg', side, side === 'right' ? 'yes' : 'no', x, 23.25 + x / 2]);
    const file = path.join(folder, 'girths.xlsx');
    writeFileSync(file, Buffer.from(await workbook(rows).arrayBuffer()));
    await go(page, `${server.url}/measures?client=${client}`);
    const choosing = async (name: string) => (await page.$('input[type="file"]'))?.uploadFile(name);
    const broken = path.join(folder, 'broken.xlsx');
    writeFileSync(broken, Buffer.from([0x50, 0x4b, 3, 4, 1, 2, 3]));
    await choosing(broken);
    await words(page, '“broken.xlsx” cannot be read as a workbook');
    await choosing(file);
    await control(page, 'button', 'Read and check it').click();
    await words(page, '8 rows read: 1 taping');
    await words(page, 'right leg');
    await control(page, 'button', 'Import 1 taping').click();
    await words(page, '1 taping of 1 client is on record now.');
    const table = (await call('GET', `/api/clients/${client}/measures.csv`, undefined, server.url)).body as string;
    expect(table.split('\r\n').filter((row) => row.includes('2026-06-02') && row.includes('right,yes'))).toHaveLength(
      4,
    );
    expect(table).toContain('23.25');
    expect(troubles(page)).toEqual([]);
  });

  it('keeps own points, and lets the house decide what counts as swelling', async () => {
    await go(page, `${server.url}/protocols?limb=arm`);
    await control(page, 'button', 'Copy').click();
    await control(page, 'textbox', 'Name').fill('Arm by thirds');
    await control(page, 'textbox', 'Points, cm from the zero mark').fill('0 12 11');
    await control(page, 'button', 'Save these points').click();
    await words(page, '11 cm does not lie above 12 cm');
    await control(page, 'textbox', 'Points, cm from the zero mark').fill('0 12 24 36');
    await control(page, 'button', 'Save these points').click();
    await words(page, '4 points, 0 to 36 cm');
    await go(page, `${server.url}/house?part=measuring`);
    await page.evaluate(() =>
      [...document.querySelectorAll('label')].find((label) => label.innerText.startsWith('Girth 2 cm'))?.click(),
    );
    await control(page, 'button', 'Save these').click();
    await words(page, 'Saved. Every series is worked out afresh');
    const marit = await clientOf('Marit Olsvang', server.url);
    await go(page, `${server.url}/clients/${marit}/progress`);
    await words(page, 'by any girth ≥ 2 cm');
  });

  it('closes with the shortest after-measure, and minutes until redness has gone', async () => {
    const visit = await newVisit('Clara Short', 'leg.left');
    await go(page, `${server.url}/visits/${visit}/measure`);
    await words(page, 'left is swollen');
    await tape(page, leg.right);
    await tape(page, leg.left);
    await words(page, kept);
    await go(page, `${server.url}/visits/${visit}/close`);
    await words(page, 'Shortest form: the left leg at three marks');
    await page.focus('[aria-label^="after, left leg"]');
    await tape(page, ['38.0', '37.9', '37.2']);
    await words(page, 'over the marks taped both times');
    await choose(page, 'Redness before the work', 'none');
    await choose(page, 'Redness of the skin', 'clear');
    await choose(page, 'Back after', '15 minutes');
    await words(page, 'Faded within half an hour: expected.');
    await choose(page, 'Warmth', 'too hot');
    await words(page, 'Too hot: cool it now.');
    await expect
      .poll(async () => (await call('GET', `/api/visits/${visit}`, undefined, server.url)).body.closing)
      .toMatchObject({ redness: 2, rednessBefore: 0, fadeMinutes: 15, warmth: 2 });
    expect((await textOf(page)).includes('undefined')).toBe(false);
    await settled(page);
  });
});
