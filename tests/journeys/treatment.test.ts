import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { admit, bookAnyTime, call, post } from '../api/client';
import { pace, control, follow, go, gone, textOf, until, words } from './browser';
import { ownHouse } from './own-house';

/** Whole treatments of several parts: chosen, put into order and time, rearranged, and followed at the table. */
describe('a whole treatment', () => {
  const house = ownHouse('treatment');
  let page: Page;
  beforeAll(() => {
    page = house.page;
  });

  const visitOf = async (name: string, focus: string, therapistId: number, findings: readonly object[] = []) => {
    const { id } = (await post('/api/clients', { name, bornOn: '1975-03-04' }, house.url)).body;
    for (const one of findings) {
      const input = { sinceOn: null, note: '', isUnsure: false, answers: {}, ...one };
      expect((await post(`/api/clients/${id}/findings`, input, house.url)).status).toBe(200);
    }
    const visit = await bookAnyTime({ clientId: id, focus: [focus], purpose: 'wellness', therapistId }, house.url);
    await admit(visit, house.url);
    return visit;
  };
  /** Ticks protocols in the dialog, leaving nothing else ticked, and plans them. */
  const chooseOnly = async (names: readonly string[]) => {
    await page.waitForSelector('[role="dialog"] input[type="checkbox"]');
    await page.evaluate((wanted) => {
      for (const label of document.querySelectorAll<HTMLElement>('[role="dialog"] fieldset label')) {
        const name = label.querySelector('span')?.textContent ?? '';
        const box = label.querySelector<HTMLInputElement>('input[type="checkbox"]');
        if (box && box.checked !== wanted.includes(name)) label.click();
      }
    }, names);
    await control(page, 'button', 'Plan these').click();
    await words(page, 'The treatment');
    await page.waitForSelector('[data-row]');
  };
  const combine = async (visit: number, names: readonly string[]) => {
    await go(page, `${house.url}/visits/${visit}/plan`);
    await control(page, 'button', 'More than drainage').click();
    await chooseOnly(names);
  };
  const setMinutes = async (minutes: number) => {
    await control(page, 'textbox', 'Minutes').fill(String(minutes));
    await page.keyboard.press('Enter');
    await words(page, `of ${minutes}:00 min`);
  };
  const parts = () =>
    page.$$eval('[data-row]', (blocks) => blocks.map((block) => (block as HTMLElement).dataset['row']));

  it('plans a lifting facial with mouth work for a client with rosacea, and says what is left out', async () => {
    const visit = await visitOf('Rosa Blush', 'face', 2, [{ id: 'rosacea' }]);
    await combine(visit, ['Lifting facial, outlet first', 'Mouth and smile line, gloved']);
    await words(page, 'Left out');
    const text = await textOf(page);
    expect(text).toContain('no pinching');
    expect(text).toContain('Instead:');
    const { plan } = (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;
    const facial = plan.steps.filter(({ id }: { id: string }) => id.startsWith('c1'));
    expect(facial.every(({ pressure }: { pressure: string }) => pressure === 'feather')).toBe(true);
  });

  it('fits aromatherapy for the whole body into 60 minutes, rearranged by keyboard', async () => {
    const visit = await visitOf('Aroma Vale', 'whole-body', 1);
    await combine(visit, ['Aromatherapy whole body']);
    await setMinutes(60);
    const before = await parts();
    await page.focus(`[data-row="${before[0]}"]`);
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.up('Alt');
    await until(
      page,
      (first) => document.querySelector<HTMLElement>('[data-row]')?.dataset['row'] !== first,
      before[0],
    );
    expect(await parts()).toEqual([before[1], before[0], ...before.slice(2)]);
    await words(page, 'saved');
    // What is given face down goes to the very end: a second turn, shown, and mended with one key.
    const prone = (await parts()).find((id) => id?.includes('/leg-back') || id?.endsWith('/back'));
    for (let i = 0; i < before.length - 1; i += 1) {
      await page.focus(`[data-row="${prone}"]`);
      await page.keyboard.down('Alt');
      await page.keyboard.press('ArrowDown');
      await page.keyboard.up('Alt');
      await pace();
    }
    await words(page, 'The client turns once at most.');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('m');
    await gone(page, 'The client turns once at most.');
    expect(new Set(await parts())).toEqual(new Set(before));
  });

  it('leads through dry brushing, drainage and cool stones at the table, with what changes between', async () => {
    const visit = await visitOf('Stella Reed', 'leg.left', 2);
    await combine(visit, ['Leg drainage, natural or rerouted', 'Dry brushing whole body', 'Cool stones, face']);
    await setMinutes(90);
    await words(page, 'No order needs less for changes.');
    await follow(page, 'link', 'To the table');
    await page.keyboard.press('Space');
    const seen = new Set<string>();
    for (let i = 0; i < 140; i += 1) {
      const text = await textOf(page);
      for (const word of ['Take the brush.', 'Take up the stones', 'Turn the client', 'Belly breathing'])
        if (text.includes(word)) seen.add(word);
      if (text.includes('To closing') || text.includes('the visit is done')) break;
      await page.keyboard.press('Space');
      await pace();
    }
    expect([...seen]).toEqual(expect.arrayContaining(['Take the brush.', 'Take up the stones', 'Turn the client']));
    await go(page, `${house.url}/visits/${visit}/print`);
    await words(page, 'Dry brushing whole body');
    await words(page, 'Turn the client');
  });
});
