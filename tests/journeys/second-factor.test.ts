import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Secret, TOTP } from 'otpauth';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { control, follow, go, gone, launch, open, pinAgain, textOf, troubles, words } from './browser';

/** A house that is no demo: opened by its owner, guarded by a second factor, and opened again by what was printed. */
describe('the door of a real house', () => {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-factor-'));
  let browser: Browser;
  let server: Served;
  let page: Page;
  let printed = '';
  let secret = '';
  let codes: readonly string[] = [];
  beforeAll(async () => {
    server = await startServer({ data, demo: false });
    browser = await launch();
    page = await open(browser, `${server.url}/welcome`, undefined, 'nobody');
  });
  afterAll(async () => {
    expect(troubles(page)).toEqual([]);
    await browser.close();
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  });
  const codesShown = () => page.$$eval('ol code', (all) => all.map((one) => one.textContent ?? ''));
  /** What the phone shows; each code opens once, so that the next half minute may have to be waited for. */
  const shownOnPhone = (aheadMs = 0) =>
    new TOTP({ secret: Secret.fromBase32(secret), digits: 6, period: 30 }).generate({
      timestamp: Date.now() + aheadMs,
    });
  const fillIn = async (fields: Readonly<Record<string, string>>) => {
    for (const [label, value] of Object.entries(fields)) await control(page, 'textbox', label).fill(value);
  };
  const openMenu = () => page.click('header button[aria-label*="signed in"]');
  const signOut = async () => {
    await openMenu();
    await follow(page, 'menuitem', 'Sign out');
    await words(page, 'Sign-in name');
  };

  it('shows its owner a code for the worst day, once', async () => {
    await fillIn({
      ...{ 'Name of the house': 'Haus am Bach', 'Your name': 'Ida Moor', 'Sign-in name': 'ida' },
      ...{ Password: 'three wet pebbles', 'PIN for the locked screen': '2719' },
    });
    await control(page, 'button', 'Open the house').click();
    await words(page, 'Your recovery code');
    [printed = ''] = await codesShown();
    expect(printed).toMatch(/^([0-9A-Z]{4}-){3}[0-9A-Z]{4}$/);
    await follow(page, 'button', 'I have written it down');
    await words(page, 'Book a visit');
    expect(await textOf(page)).not.toContain(printed);
  });

  it('asks everybody for a second factor when the owner says so, the owner first', async () => {
    await go(page, `${server.url}/house`);
    await page.select('select', 'everybody');
    await pinAgain(page);
    await words(page, 'Saved.');
    await go(page, `${server.url}/clients`);
    await words(page, 'The house asks you to set one up before you go on.');
    expect(page.url()).toContain('/second-factor');
  });

  it('is set up by a picture or by typing, and confirmed by what the phone shows', async () => {
    await control(page, 'button', 'Set it up').click();
    await words(page, 'Or type this into it');
    secret = /type this into it: ([A-Z2-7 ]+)/.exec(await textOf(page))?.[1]?.replaceAll(' ', '') ?? '';
    expect(await page.$('[role="img"][aria-label="Picture for the authenticator"] svg')).not.toBeNull();
    await fillIn({ 'The six digits that it shows': '000000' });
    await control(page, 'button', 'Turn it on').click();
    await words(page, 'That is not the code that is shown now.');
    await fillIn({ 'The six digits that it shows': shownOnPhone() });
    await control(page, 'button', 'Turn it on').click();
    await words(page, 'Codes for when your phone is lost');
    codes = await codesShown();
    expect(codes).toHaveLength(10);
    await follow(page, 'button', 'I have written it down');
    await words(page, 'Book a visit');
  });

  it('is asked for after the password', async () => {
    await signOut();
    await fillIn({ 'Sign-in name': 'ida', Password: 'three wet pebbles' });
    await control(page, 'button', 'Sign in').click();
    await words(page, 'Your second factor, too');
    // The next half minute: the code of this one was used up by setting it up.
    await fillIn({ 'Six digits, or a recovery code': shownOnPhone(30_000) });
    await follow(page, 'button', 'Sign in');
    await words(page, 'Book a visit');
  });

  it('has codes on paper for a phone that is lost', async () => {
    await signOut();
    await fillIn({ 'Sign-in name': 'ida', Password: 'three wet pebbles' });
    await control(page, 'button', 'Sign in').click();
    await words(page, 'Your second factor, too');
    await fillIn({ 'Six digits, or a recovery code': (codes[4] ?? '').toLowerCase() });
    await follow(page, 'button', 'Sign in');
    await words(page, 'Book a visit');
    await openMenu();
    await control(page, 'menuitem', 'Second factor').click();
    await words(page, '9 recovery codes are left');
    await page.keyboard.press('Escape');
    await gone(page, '9 recovery codes');
  });

  it('lets the owner back in by the printed code, when nothing else fits any more', async () => {
    await signOut();
    await follow(page, 'link', 'Owner, and nothing fits any more?');
    await fillIn({ 'Sign-in name': 'ida', 'Code from the paper': 'AAAA-AAAA-AAAA-AAAA', 'New password': 'short' });
    await control(page, 'button', 'Set the password').click();
    await words(page, 'Use at least 10 characters');
    await fillIn({ 'New password': 'seven grey herons at noon' });
    await control(page, 'button', 'Set the password').click();
    await words(page, 'Name and code do not fit together');
    await fillIn({ 'Code from the paper': printed.toLowerCase().replaceAll('-', ' ') });
    await control(page, 'button', 'Set the password').click();
    await words(page, 'Your new recovery code');
    const [next = ''] = await codesShown();
    expect(next).not.toBe(printed);
    await follow(page, 'button', 'I have written it down');
    await fillIn({ 'Sign-in name': 'ida', Password: 'seven grey herons at noon' });
    await follow(page, 'button', 'Sign in');
    // The second factor went with it, and the house asks for a new one.
    await words(page, 'The house asks you to set one up before you go on.');
  });
});
