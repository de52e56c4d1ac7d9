import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { call, post } from '../api/client';
import { control, go, pinAgain, textOf, troubles, until, words } from './browser';
import { ownHouse } from './own-house';

/** Copies of the house: where they go, making one, going back to one, and taking that back. */
describe('keeping the house', () => {
  const house = ownHouse('keeping');
  const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-backups-'));
  const passphrase = 'grey herons over wet stones';
  let page: Page;
  beforeAll(async () => {
    page = house.page;
    await go(page, `${house.url}/house?part=keeping`);
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('says that nothing is kept yet, and refuses what would not help', async () => {
    await words(page, 'There is no backup yet');
    await control(page, 'textbox', 'Folder for backups').fill('backups');
    await control(page, 'textbox', 'Passphrase').fill('short');
    await control(page, 'button', 'Save folder and passphrase').click();
    await pinAgain(page);
    await words(page, 'Write the whole path of a folder');
    await control(page, 'textbox', 'Folder for backups').fill(folder);
    await control(page, 'button', 'Save folder and passphrase').click();
    await words(page, 'Use at least 10 characters');
    await control(page, 'textbox', 'Passphrase').fill(passphrase);
    await control(page, 'button', 'Save folder and passphrase').click();
    await words(page, 'Backups go there from now on.');
  });

  it('is backed up by one press, into one encrypted file', async () => {
    await control(page, 'button', 'Back up now').click();
    await words(page, 'The last good backup is of');
    await until(page, () => document.querySelectorAll('tbody tr').length === 1);
    expect(readdirSync(folder)).toEqual([expect.stringMatching(/^velvet-stone-.*\.age$/)]);
  });

  it('shows what is in a backup before anything is done with it, and asks for the right passphrase', async () => {
    await post('/api/clients', { name: 'Spät Gekommen' }, house.url);
    await page.locator('tbody button').click();
    await words(page, 'It is checked from end to end first');
    await control(page, 'textbox', 'Passphrase of this backup').fill('not the passphrase');
    await control(page, 'button', 'See what is in it').click();
    await words(page, 'That is not the passphrase of this backup.');
    await control(page, 'textbox', 'Passphrase of this backup').fill(passphrase);
    await control(page, 'button', 'See what is in it').click();
    await words(page, 'Quillwater House, as it was on');
    await words(page, 'clients');
  });

  it('goes back to it, and everybody signs in again', async () => {
    await control(page, 'button', 'Restore this backup').click();
    await words(page, 'Sign in as');
    await page.locator('main button, ul button').click();
    await words(page, 'This week');
    const names = async () => (await call('GET', '/api/clients?q=gekommen', undefined, house.url, 'owner')).status;
    expect(await names()).toBe(401);
    await go(page, `${house.url}/clients?q=gekommen`);
    await words(page, 'No client matches');
  });

  it('brings back what was kept aside', async () => {
    await go(page, `${house.url}/house?part=keeping`);
    await control(page, 'button', 'Undo the restore …').click();
    await control(page, 'button', 'Undo the restore').click();
    await pinAgain(page);
    await words(page, 'Sign in as');
    await page.locator('main button, ul button').click();
    await words(page, 'This week');
    await go(page, `${house.url}/clients?q=gekommen`);
    await words(page, 'Spät Gekommen');
    expect(await textOf(page)).not.toContain('No client matches');
    expect(troubles(page)).toEqual([]);
  });

  it('is encrypted on this computer, and opens as before', async () => {
    await go(page, `${house.url}/house?part=keeping`);
    await words(page, 'The data is not encrypted');
    await control(page, 'button', 'Encrypt the data …').click();
    await words(page, 'If the passphrase is lost');
    const type = async (first: string, second: string) => {
      const [one, two] = await page.$$('[role="dialog"] input[type="password"]');
      for (const [input, text] of [
        [one, first],
        [two, second],
      ] as const) {
        await input?.click({ count: 3 });
        await input?.type(text);
      }
    };
    await type('a tale of two stones', 'a tale of three stones');
    await control(page, 'button', 'Encrypt now').click();
    await words(page, 'The two are not the same');
    await type('a tale of two stones', 'a tale of two stones');
    await control(page, 'button', 'Encrypt now').click();
    await pinAgain(page);
    await words(page, 'The data is encrypted: after each start');
    await go(page, `${house.url}/clients`);
    await words(page, 'Marit Olsvang');
    await go(page, `${house.url}/house?part=keeping`);
    await control(page, 'button', 'Remove the encryption …').click();
    const input = await page.waitForSelector('[role="dialog"] input[type="password"]');
    await input?.type('a tale of two stones');
    await control(page, 'button', 'Remove it').click();
    await words(page, 'The data is not encrypted');
  });
});
