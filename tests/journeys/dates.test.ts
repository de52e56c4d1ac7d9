import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { call, clientOf } from '../api/client';
import { allKept, choose, control, go, until, words } from './browser';
import { ownHouse } from './own-house';

/** Dates are typed and shown as the house writes them, whatever the browser would do. */
describe('dates', () => {
  const house = ownHouse('dates');
  let page: Page;
  let client: number;
  const born = async () => {
    const { body } = await call('GET', `/api/clients/${client}/export`, undefined, house.url);
    return /"born_?on":"([\d-]+)"/i.exec(JSON.stringify(body))?.[1];
  };
  const openFields = async () => {
    await go(page, `${house.url}/clients/${client}`);
    await choose(page, 'Part of the record', 'contact and likes');
  };
  const shown = () =>
    page.$eval('input[placeholder]', (input) => [
      (input as HTMLInputElement).placeholder,
      (input as HTMLInputElement).value,
    ]);

  beforeAll(async () => {
    page = house.page;
    client = await clientOf('Runa Tolvey', house.url);
  });

  it('are day first where the house has not said, and understood in words below', async () => {
    await openFields();
    await control(page, 'textbox', 'Born on').fill('3.2.1979');
    await words(page, '3 February 1979');
    await control(page, 'button', 'Save').click();
    await words(page, 'Saved.');
    expect(await born()).toBe('1979-02-03');
  });

  it('that are none are said to be none, and what was typed stays', async () => {
    await openFields();
    await control(page, 'textbox', 'Born on').fill('31/2/1979');
    await page.keyboard.press('Tab');
    await words(page, 'That is no date. Write it like 18/04/2026.');
    expect(await shown()).toEqual(['dd/mm/yyyy', '31/2/1979']);
    await control(page, 'button', 'Save').click();
    await until(page, () => document.querySelector('[role="alert"]') !== null);
    expect(await born()).toBe('1979-02-03');
  });

  it('are month first in a house that says so, on every page', async () => {
    await go(page, `${house.url}/house`);
    await choose(page, 'Part of the house', 'measuring');
    await control(page, 'combobox', 'Dates in fields').fill('month-day-year');
    await words(page, 'Saved. Dates are written month first, 04/18/2026.');
    await allKept(page);
    await openFields();
    await words(page, '3 February 1979');
    expect(await shown()).toEqual(['mm/dd/yyyy', '02/03/1979']);
    await control(page, 'textbox', 'Born on').fill('04181979');
    await words(page, '18 April 1979');
    await control(page, 'button', 'Save').click();
    await words(page, 'Saved.');
    expect(await born()).toBe('1979-04-18');
  });
});
