import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { admit, bookAnyTime, call, post } from '../api/client';
import { choose, control, follow, go, gone, open, settled, textOf, until, words } from './browser';
import { ownHouse } from './own-house';

/** Answers that cannot be sent at once: they stay on the device, are to be seen, and arrive. */
describe('what cannot be sent at once', () => {
  const house = ownHouse('saving');
  let page: Page;
  let visit: number;
  const closing = async () => (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.closing;
  /** All that stands in the databases of the browser, as somebody who finds the device would read it. */
  const onDevice = () =>
    page.evaluate(async () => {
      const texts: string[] = [];
      for (const { name } of await indexedDB.databases()) {
        const db = await new Promise<IDBDatabase>((resolve, reject) => {
          const asked = indexedDB.open(name ?? '');
          asked.onsuccess = () => resolve(asked.result);
          asked.onerror = () => reject(new Error('no database'));
        });
        for (const store of db.objectStoreNames) {
          const rows = await new Promise<unknown[]>((resolve) => {
            const asked = db.transaction(store).objectStore(store).getAll();
            asked.onsuccess = () => resolve(asked.result as unknown[]);
          });
          for (const row of rows) {
            texts.push(JSON.stringify(row));
            for (const value of Object.values(row as object))
              if (value instanceof Uint8Array) texts.push(new TextDecoder('latin1').decode(value));
          }
        }
        db.close();
      }
      return texts;
    });

  beforeAll(async () => {
    page = house.page;
    const client = (await post('/api/clients', { name: 'Späte Post', bornOn: '1980-01-01' }, house.url)).body.id;
    visit = await bookAnyTime({ clientId: client, focus: ['leg.left'] }, house.url);
    await admit(visit, house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
    await go(page, `${house.url}/visits/${visit}/close`);
    await words(page, 'How was it');
  });
  afterAll(() => page.setOfflineMode(false));

  it('is safe on the device, says so, and says how many', async () => {
    await choose(page, 'Comfort, 0 to 10', '8');
    await expect.poll(async () => (await closing())?.comfort).toBe(8);
    await page.setOfflineMode(true);
    await choose(page, 'Comfort, 0 to 10', '3');
    await words(page, 'One answer is safe on this device');
    expect((await closing()).comfort).toBe(8);
  });

  it('cannot be read there by anybody else', async () => {
    await page.focus('[role="textbox"][aria-label="Note"]');
    await page.keyboard.sendCharacter('seltenes Kennwort');
    await expect.poll(async () => (await onDevice()).length).toBeGreaterThan(0);
    expect((await onDevice()).join('\n')).not.toContain('seltenes');
  });

  it('does not end the visit before it has arrived', async () => {
    await control(page, 'button', 'Close the visit').click();
    await words(page, 'Not everything is saved yet');
  });

  it('is sent from whatever view comes next', async () => {
    await page.setOfflineMode(false);
    // Before the queue of this view tries again somebody has gone elsewhere.
    await go(page, `${house.url}/clients`);
    await expect.poll(async () => (await closing()).comfort).toBe(3);
    expect((await closing()).note).toContain('seltenes Kennwort');
    await until(page, () => document.querySelector('a[href$="/close"]') === null);
    expect(await onDevice()).toEqual([]);
  });

  it('is shown where it was written when somebody comes back to it', async () => {
    await go(page, `${house.url}/visits/${visit}/close`);
    await page.setOfflineMode(true);
    await choose(page, 'Comfort, 0 to 10', '5');
    await words(page, 'safe on this device');
    await page.setOfflineMode(false);
    await page.reload({ waitUntil: 'load' });
    await settled(page);
    await expect.poll(async () => (await closing()).comfort).toBe(5);
    await until(page, () => {
      const group = [...document.querySelectorAll('[role="radiogroup"]')].find((one) =>
        document.getElementById(one.getAttribute('aria-labelledby') ?? '')?.textContent?.startsWith('Comfort'),
      );
      return group?.querySelector<HTMLInputElement>('input:checked')?.value === '5';
    });
  });

  it('asks who is right when somebody else was faster, and shows both', async () => {
    const other = await open(house.browser, `${house.url}/visits/${visit}/close`);
    await choose(other, 'Comfort, 0 to 10', '9');
    await expect.poll(async () => (await closing()).comfort).toBe(9);
    await page.bringToFront();
    await choose(page, 'Comfort, 0 to 10', '1');
    await words(page, 'Somebody else saved this in the meantime.');
    expect((await closing()).comfort).toBe(9);
    await control(page, 'button', 'Compare …').click();
    await words(page, 'Saved meanwhile');
    const rows = await page.$$eval('[role="dialog"] tbody tr', (all) => all.map((row) => row.innerText));
    expect(rows).toHaveLength(1);
    expect(rows[0]?.split(/\s*\t\s*/)).toEqual(['Comfort, of 10', '1', '9']);
    await control(page, 'button', 'Keep yours').click();
    await gone(page, 'Somebody else saved this');
    await expect.poll(async () => (await closing()).comfort).toBe(1);
    await other.close();
  });

  it('is asked about before somebody signs out, and is gone from the device afterwards', async () => {
    // Menu and dialogs come some seconds after the view, so that they are here when the network goes.
    await page.waitForFunction(() => {
      const fetched = performance.getEntriesByType('resource').map(({ name }) => name);
      return ['WhoMenu', 'OpenDialog'].every((part) => fetched.some((name) => name.includes(part)));
    });
    await page.setOfflineMode(true);
    await choose(page, 'Comfort, 0 to 10', '7');
    await words(page, 'safe on this device');
    await page.click('header button[aria-label*="signed in"]');
    await control(page, 'menuitem', 'Sign out').click();
    await words(page, 'One answer has not reached the house yet.');
    await control(page, 'button', 'Stay signed in').click();
    await gone(page, 'has not reached the house');
    expect(await textOf(page)).toContain('safe on this device');
    await page.click('header button[aria-label*="signed in"]');
    await control(page, 'menuitem', 'Sign out').click();
    await words(page, 'has not reached the house yet');
    // Signing out itself needs the house: it is back, yet asks to be left alone for what was to be sent.
    await page.setRequestInterception(true);
    page.on('request', (request) => void (request.url().endsWith('/closing') ? request.abort() : request.continue()));
    await page.setOfflineMode(false);
    await follow(page, 'button', 'Sign out and discard');
    expect(await onDevice()).toEqual([]);
    await page.setRequestInterception(false);
    expect((await closing()).comfort).toBe(1);
  });
});
