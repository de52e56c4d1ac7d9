import { appUrl } from '../app-url';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signInDemo } from '../../scripts/served.mjs';
import { bookAnyTime, call, post } from '../api/client';
import {
  choose,
  control,
  follow,
  go,
  gone,
  launch,
  open,
  pinAgain,
  settled,
  textOf,
  troubles,
  until,
  words,
} from './browser';

const app = appUrl();

/** A client’s record in the hands of a house: two people at once, files, merging, erasing; the desk and the owner. */
describe('a client’s record', () => {
  let browser: Browser;
  let page: Page;
  let client: number;
  const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-files-'));
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );

  beforeAll(async () => {
    browser = await launch();
    client = (await post('/api/clients', { name: 'Alba Archiv', phone: '0700 77 88 99', bornOn: '1971-03-03' })).body
      .id;
    page = await open(browser, `${app}/clients/${client}`);
  });
  afterAll(async () => {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  });

  const add = async (name: string, content: Uint8Array) => {
    const file = path.join(folder, name);
    writeFileSync(file, content);
    const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(file);
  };

  it('shows both when two people change it, and asks', async () => {
    await choose(page, 'Part of the record', 'contact and likes');
    await control(page, 'textbox', 'Phone').fill('0700 1');
    const other = await call('PUT', `/api/clients/${client}`, {
      name: 'Alba Archiv',
      phone: '0700 2',
      bornOn: '1971-03-03',
      basedOn: 1,
    });
    expect(other.status).toBe(200);
    await control(page, 'button', 'Save').click();
    await words(page, 'Someone else saved in the meantime.');
    await words(page, '0700 1');
    await words(page, '0700 2');
    await control(page, 'button', 'Keep mine').click();
    await words(page, 'Saved. What was there before is under corrections.');
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await choose(page, 'Part of the record', 'corrections');
    await words(page, 'phone: 0700 2');
    await words(page, 'Ines Hollen');
  });

  it('does not take a birthday of tomorrow, and keeps what was typed', async () => {
    await choose(page, 'Part of the record', 'contact and likes');
    await control(page, 'textbox', 'Address').fill('<script>alert(1)</script>');
    await control(page, 'textbox', 'Born on').fill('01/01/2999');
    await control(page, 'button', 'Save').click();
    await words(page, 'This date lies in the future.');
    expect(await page.$$eval('input', (all) => all.map((i) => i.value))).toContain('<script>alert(1)</script>');
  });

  it('keeps a picture, but not a program that calls itself one, nor 50 MB', async () => {
    await choose(page, 'Part of the record', 'files and consent');
    await add('letter.png', png);
    await words(page, 'Saved: letter.png.');
    await add('holiday.png', Buffer.concat([Buffer.from('MZ\x90\x00'), Buffer.alloc(4000)]));
    await words(page, 'the content of this file is something else');
    await add('film.png', Buffer.concat([png, Buffer.alloc(50_000_000)]));
    await words(page, 'That is more than 10 MB');
    const kept = await call('GET', await page.$eval('main li a', (a) => a.getAttribute('href') ?? ''));
    expect([kept.status, kept.type]).toEqual([200, 'image/png']);
    expect(kept.headers.get('x-content-type-options')).toBe('nosniff');
    expect(kept.headers.get('content-security-policy')).toContain("default-src 'self'");
  });

  it('is merged with its double after a preview', async () => {
    const twin = (
      await post('/api/clients', { name: 'Alba Archiv', bornOn: '1971-03-03', email: 'alba@brook.example' })
    ).body.id;
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await words(page, 'same name and birthday');
    await control(page, 'button', 'See what merging would do').click();
    await words(page, 'Alba Archiv stays.');
    await control(page, 'button', 'Merge').click();
    await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), pinAgain(page)]);
    await settled(page);
    await choose(page, 'Part of the record', 'contact and likes');
    await expect.poll(() => page.$$eval('input', (all) => all.map((i) => i.value))).toContain('alba@brook.example');
    await go(page, `${app}/clients/${twin}`);
    expect(await textOf(page)).not.toContain('0700 1');
  });

  it('is handed out whole as JSON', async () => {
    const { status, headers, body } = await call('GET', `/api/clients/${client}/export`);
    expect([status, headers.get('content-disposition')]).toEqual([200, expect.stringContaining('attachment')]);
    expect(JSON.stringify(body)).toContain('Alba Archiv');
  });

  it('is erased for good by the owner, once the name is typed; only the trail says that it was', async () => {
    await bookAnyTime({ clientId: client });
    await go(page, `${app}/clients/${client}`);
    await control(page, 'button', 'Erase for good').click();
    await control(page, 'textbox', 'Type the name to confirm').fill('Alba');
    // The PIN was given a moment ago, for merging.
    await control(page, 'button', 'Erase').click();
    await words(page, 'Type the name as it stands on the record.');
    await control(page, 'textbox', 'Type the name to confirm').fill('Alba Archiv');
    await follow(page, 'button', 'Erase');
    expect(page.url()).toBe(`${app}/clients`);
    expect((await call('GET', `/clients/${client}`)).status).toBe(404);
    expect((await call('GET', '/api/clients?q=alba%20archiv')).body).toEqual([]);
    await go(page, `${app}/house?part=audit&action=erased`);
    await words(page, 'client erased');
    await words(page, 'no longer on record');
    expect(await textOf(page)).not.toContain('Alba');
    expect(troubles(page)).toEqual([]);
  });

  it('may not be erased by a therapist', async () => {
    const id = (await post('/api/clients', { name: 'Bleibt Da' })).body.id;
    const his = await open(browser, `${app}/clients/${id}`, undefined, 'therapist');
    await words(his, 'Bleibt Da');
    expect(await textOf(his)).not.toContain('Erase for good');
    await his.close();
  });
});

describe('the house and its desk', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await launch();
  });
  afterAll(() => browser.close());

  it('books from the day: for whom, then when, with a time that is free', async () => {
    await post('/api/clients', { name: 'Bea Buchung', phone: '0700 31' });
    const desk = await open(browser, `${app}/`, undefined, 'assistant');
    await control(desk, 'button', 'Book a visit').click();
    await control(desk, 'searchbox', 'For whom').fill('bea bucung');
    await words(desk, 'Bea Buchung');
    await desk.locator('[aria-label="Clients found"] button').click();
    await words(desk, 'Book a visit for Bea Buchung');
    await desk.waitForSelector('[aria-pressed="true"]');
    await desk.evaluate(() => [...document.querySelectorAll<HTMLElement>('fieldset [aria-pressed]')].at(-1)?.click());
    await control(desk, 'button', 'Book').click();
    // The day shows it without being loaded again: the dialog closes, and the focus is back on the button.
    await gone(desk, 'Book a visit for Bea Buchung');
    const [{ id }] = (await call('GET', '/api/clients?q=bea%20buchung')).body;
    await go(desk, `${app}/clients/${id}`);
    await words(desk, '60 min with Ines Hollen');
    await desk.locator('[aria-label^="Cancel:"]').click();
    await control(desk, 'button', 'Cancel the visit').click();
    await words(desk, 'Nothing is booked.');
    await words(desk, 'It stays on record.');
    await control(desk, 'button', 'Undo').click();
    await words(desk, 'Booked again:');
    await words(desk, '60 min with Ines Hollen');
    expect(troubles(desk)).toEqual([]);
    await desk.close();
  }, 60_000);

  it('books somebody new without losing the booking', async () => {
    const desk = await open(browser, `${app}/`, undefined, 'assistant');
    await control(desk, 'button', 'Book a visit').click();
    await control(desk, 'searchbox', 'For whom').fill('Frida Neuling');
    await control(desk, 'button', 'Somebody new').click();
    await words(desk, 'Add a client');
    expect(await desk.$eval('[role="dialog"] input[name="name"]', (one) => (one as HTMLInputElement).value)).toBe(
      'Frida Neuling',
    );
    await control(desk, 'button', 'Add').click();
    await words(desk, 'Book a visit for Frida Neuling');
    await desk.waitForSelector('[aria-pressed="true"]');
    await control(desk, 'button', 'Book').click();
    await gone(desk, 'Book a visit for Frida Neuling');
    const [{ id }] = (await call('GET', '/api/clients?q=frida%20neuling')).body;
    const booked = (await call('GET', `/api/clients/${id}/booked`)).body;
    expect(booked).toHaveLength(1);
    await desk.close();
  }, 60_000);

  it('finds who is on record already while somebody is typed, misspelt too, and takes them', async () => {
    const { id } = (await post('/api/clients', { name: 'Berta Zwilling', bornOn: '1968-04-18' })).body;
    const desk = await open(browser, `${app}/`, undefined, 'assistant');
    await control(desk, 'button', 'Book a visit').click();
    await control(desk, 'searchbox', 'For whom').fill('Berta Zwiling');
    await control(desk, 'button', 'Somebody new').click();
    await words(desk, 'Add a client');
    await control(desk, 'textbox', 'Born on').fill('18/04/1968');
    await words(desk, 'Berta Zwilling, born 18 April 1968: same birthday, much the same name');
    await control(desk, 'button', 'It is Berta Zwilling').click();
    await words(desk, 'Book a visit for Berta Zwilling');
    await desk.waitForSelector('[aria-pressed="true"]');
    await control(desk, 'button', 'Book').click();
    await gone(desk, 'Book a visit for Berta Zwilling');
    expect((await call('GET', `/api/clients/${id}/booked`)).body).toHaveLength(1);
    expect((await call('GET', '/api/clients?q=zwiling')).body).toHaveLength(1);
    expect(troubles(desk)).toEqual([]);
    await desk.close();
  }, 60_000);

  it('notes what became of a reminder that was sent from one’s own phone; the stand-in is driven among the devices', async () => {
    const client = (await post('/api/clients', { name: 'Olga Nachricht', phone: '0700 42' })).body.id;
    await bookAnyTime({ clientId: client });
    const desk = await open(browser, `${app}/outbox`, undefined, 'assistant');
    await words(desk, 'Olga Nachricht');
    const link = await desk.$eval('a[aria-label="Write the text: Olga Nachricht"]', (a) => a.getAttribute('href'));
    expect(link).toMatch(/^sms:070042\?body=/);
    await control(desk, 'button', 'It did not arrive: Olga Nachricht').click();
    await words(desk, 'It did not arrive. Ring the client.');
    await control(desk, 'button', 'It is sent: Olga Nachricht').click();
    await words(desk, 'Noted as sent.');
    expect(await textOf(desk)).not.toContain('Let it fail');
    const devices = await open(browser, `${app}/bench/devices`);
    await words(devices, 'Let it fail');
    await devices.locator('::-p-text(Let it fail)').click();
    await words(devices, 'It did not arrive: the reminder stays open.');
    expect(troubles(devices)).toEqual([]);
    await devices.close();
    await desk.close();
  }, 60_000);

  it('gives a calendar to follow', async () => {
    const page = await open(browser, `${app}/`, undefined, 'therapist');
    await control(page, 'button', 'My calendar').click();
    const address = await until(
      page,
      () =>
        document.querySelector<HTMLInputElement>('[role="dialog"] input')?.value.includes('.ics') &&
        document.querySelector<HTMLInputElement>('[role="dialog"] input')?.value,
    );
    const feed = await fetch(String(await address.jsonValue()));
    expect([feed.status, feed.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8']);
    expect(await feed.text()).toContain('BEGIN:VEVENT');
    expect((await fetch(`${app}/api/calendar/guessed.ics`)).status).toBe(404);
    await page.close();
  }, 60_000);

  it('adds somebody, with faults named at their fields', async () => {
    const page = await open(browser, `${app}/house`);
    await control(page, 'button', 'Add somebody').click();
    await control(page, 'textbox', 'Name').fill('Nele Neu');
    await control(page, 'textbox', 'Sign-in name').fill('Nele!');
    await control(page, 'button', 'Add').click();
    await pinAgain(page);
    await words(page, 'Use 2 to 40 small letters');
    await control(page, 'textbox', 'Sign-in name').fill('nele');
    await control(page, 'button', 'Add').click();
    await words(page, 'Give a first password.');
    await control(page, 'textbox', 'First password').fill('seven warm pebbles');
    await follow(page, 'button', 'Add');
    await words(page, 'Nele Neu');
    await words(page, 'signs in as nele');
    await page.close();
  }, 60_000);

  it('shows nothing to whoever goes back after signing out', async () => {
    const page = await open(browser, `${app}/clients`, undefined, 'therapist');
    await go(page, `${app}/`);
    await words(page, 'This week');
    await control(page, 'button', 'BT: Bram Teasel is signed in. Open the menu').click();
    await page.locator('::-p-aria([role="menuitem"][name="Sign out"])').click();
    await words(page, 'Sign in as');
    await page.goBack({ waitUntil: 'load' });
    await words(page, 'Sign in as');
    expect(await textOf(page)).not.toContain('This week');
    await page.close();
  }, 60_000);

  it('lists one’s devices, and signs out on another one', async () => {
    const page = await open(browser, `${app}/clients`, undefined, 'therapist');
    await signInDemo(app, 2);
    await control(page, 'button', 'BT: Bram Teasel is signed in. Open the menu').click();
    await page.locator('::-p-aria([role="menuitem"][name="My devices"])').click();
    await words(page, 'Where you are signed in');
    await words(page, 'this device');
    const count = () => page.$$eval('[role="dialog"] li', (all) => all.length);
    await until(page, () => document.querySelectorAll('[role="dialog"] li button').length > 0);
    const before = await count();
    await page.locator('[role="dialog"] li button').click();
    await words(page, 'Signed out there.');
    expect(await count()).toBe(before - 1);
    await page.close();
  }, 60_000);

  it('locks the screen, and opens it with the PIN', async () => {
    const page = await open(browser, `${app}/clients`, undefined, 'therapist');
    await control(page, 'button', 'BT: Bram Teasel is signed in. Open the menu').click();
    await page.locator('::-p-aria([role="menuitem"][name="Lock the screen"])').click();
    await words(page, 'Locked for Bram Teasel');
    await page.type('[role="dialog"] input', '2719');
    await page.keyboard.press('Enter');
    await gone(page, 'Locked for');
    await page.close();
  }, 60_000);
});
