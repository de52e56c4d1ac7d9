import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { call, post, visitOf } from '../api/client';
import { pace, control, go, gone, settled, textOf, tick, tread, words } from './browser';
import { ownHouse } from './own-house';

/** The stone bench: calculated temperatures and times, the bath that fails, the rotation, and its cues at the table. */
describe('stones', () => {
  const house = ownHouse('stones');
  let page: Page;
  let visit: number;
  beforeAll(async () => {
    page = house.page;
    visit = await visitOf('Evander Pell', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
    await go(page, `${house.url}/visits/${visit}/plan`);
  });

  it('shows what a stone does for this client, and changes by keyboard alone', async () => {
    await go(page, `${house.url}/bench/stones?visit=${visit}`);
    await words(page, 'Palm stone at rest, from 47°');
    await words(page, 'may lie still on one cloth');
    await page.keyboard.press('c');
    await page.keyboard.press('c');
    await page.keyboard.press('c');
    await words(page, 'Still on bare skin: never.');
    await page.keyboard.press('g');
    await words(page, 'Palm stone gliding, from 47°');
    for (let i = 0; i < 6; i += 1) await page.keyboard.press('ArrowRight');
    await words(page, 'Palm stone gliding, from 53°');
    await words(page, 'Warmer than the 47° for this client');
    await page.keyboard.press('s');
    await words(page, 'Small stone gliding');
    await page.keyboard.press('m');
    await words(page, 'marble · turned once');
    await words(page, 'Calculated. Test on your own forearm first');
  });

  it('draws its curve in the colours of the light, also when that is switched meanwhile', async () => {
    // Which colours there are, not how many texts: a chart comes piece by piece.
    const drawn = () =>
      page.$$eval('main svg text', (texts) => [...new Set(texts.map((one) => one.getAttribute('fill')))].sort().join());
    await page.waitForSelector('main svg text');
    await settled(page);
    let byDay = '';
    await expect
      .poll(async () => {
        const before = byDay;
        byDay = await drawn();
        return byDay === before;
      })
      .toBe(true);
    for (const light of ['lamp', 'daylight']) {
      await page.evaluate((value) => (document.documentElement.dataset['theme'] = value), light);
      await (light === 'lamp' ? expect.poll(drawn).not.toBe(byDay) : expect.poll(drawn).toBe(byDay));
    }
  });

  it('has stones enough for the visit, and says what is short when some are chipped', async () => {
    await words(page, 'enough stones');
    await words(page, 'Likes it mild: 3° less.');
    const { stones } = (await call('GET', '/api/stones', undefined, house.url)).body;
    const palm = stones.filter(
      (one: { size: string; material: string }) => one.size === 'palm' && one.material === 'basalt',
    );
    for (const one of palm.slice(0, 3)) {
      const { id, lastCleaned: _, lastOiled: __, ...kept } = one;
      expect((await call('PUT', `/api/stones/${id}`, { ...kept, state: 'chipped' }, house.url)).status).toBe(200);
    }
    await page.reload();
    await settled(page);
    await words(page, 'not enough stones');
    expect(await textOf(page)).toMatch(/Short by \d palm stones? between/);
    for (const one of palm.slice(0, 3)) {
      const { id, lastCleaned: _, lastOiled: __, ...kept } = one;
      await call('PUT', `/api/stones/${id}`, kept, house.url);
    }
  });

  it('warns at once when the bath drifts or its thermometer fails', async () => {
    await go(page, `${house.url}/bench/stones?visit=${visit}`);
    await words(page, 'Ready.');
    const fault = (kind: string, skipS = 0) =>
      call('POST', '/api/devices/stone-bath', { fault: kind, skipS }, house.url);
    await fault('drift', 600);
    await words(page, 'It is drifting from 48°');
    await fault('text', 10);
    await words(page, 'The thermometer reads “Err 3”, which is no temperature');
    await fault('nan', 10);
    await words(page, 'The thermometer reads “NaN”');
    await fault('none', 10);
    await gone(page, 'Measure by hand');
  });

  it('refuses a stone that cannot be, at its field, and adds one that can', async () => {
    await control(page, 'button', 'Add stones').click();
    await control(page, 'textbox', 'Thickness, mm').fill('0');
    await control(page, 'button', 'Add').click();
    await words(page, 'At least 4 mm.');
    await control(page, 'textbox', 'Thickness, mm').fill('24');
    await control(page, 'textbox', 'How many alike').fill('500');
    await control(page, 'button', 'Add').click();
    await words(page, 'At most 24.');
    await control(page, 'textbox', 'How many alike').fill('2');
    await control(page, 'button', 'Add').click();
    await words(page, '26 of 26 in use');
    await control(page, 'button', 'Cleaned').click();
    await words(page, 'Cleaned: written down.');
  });

  it('goes from the plan to the room list and to cues at the table', async () => {
    await go(page, `${house.url}/visits/${visit}/prepare`);
    await words(page, 'Fill the stone bath, set it to 48°');
    await tick(page, 'Fill the stone bath');
    await words(page, 'ticks are saved as you set them');
    await go(page, `${house.url}/visits/${visit}/table`);
    await page.keyboard.press('Space');
    // First the skin is oiled; then the first stones are taken.
    for (let i = 0; i < 8 && !(await textOf(page)).includes('out of the bath.'); i += 1)
      await tread(page, 'PageDown', 1);
    await words(page, 'out of the bath.');
    await call('POST', '/api/devices/stone-bath', { fault: 'text', skipS: 10 }, house.url);
    await words(page, 'The thermometer reads “Err 3”, which is no temperature');
    await call('POST', '/api/devices/stone-bath', { fault: 'none', skipS: 10 }, house.url);
    const seen = new Set<string>();
    for (let i = 0; i < 28; i += 1) {
      const text = await textOf(page);
      for (const word of ['Take palm', 'Take edge', 'back into the bath']) if (text.includes(word)) seen.add(word);
      await page.keyboard.press('PageDown');
      await pace();
    }
    expect([...seen].sort()).toEqual(['Take edge', 'Take palm', 'back into the bath']);
  });
});
