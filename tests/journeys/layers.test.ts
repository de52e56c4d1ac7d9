import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { admit, bookAnyTime, call, post } from '../api/client';
import { control, go, pace, textOf, words } from './browser';
import { ownHouse } from './own-house';

/** Drops straight onto the skin, from the plan to the balance: named, limited, counted as they fall, known at the bench. */
describe('layers along the spine', () => {
  const house = ownHouse('layers');
  let page: Page;
  let visit: number;
  beforeAll(async () => {
    page = house.page;
    const { id } = (await post('/api/clients', { name: 'Marit Loh', bornOn: '1979-05-06' }, house.url)).body;
    visit = await bookAnyTime(
      { clientId: id, focus: ['back-upper.left'], purpose: 'wellness', therapistId: 1 },
      house.url,
    );
    await admit(visit, house.url);
    const choices = [{ id: 'c1', protocol: 'spine-oil-layers' }];
    const made = await post(`/api/visits/${visit}/treatment`, { choices, minutes: 45, basedOn: 0 }, house.url);
    expect(made.status).toBe(200);
  });
  const layers = async (): Promise<readonly { step: string; oil: string | null; drops: number; mostDrops: number }[]> =>
    (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.plan.treatment.layers.layers;
  const dropEvents = async () =>
    (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.events.filter(
      ({ kind }: { kind: string }) => kind === 'drops',
    );

  it('show in the plan which oil of the shelf drops, how often it may, and how full each limit gets', async () => {
    await go(page, `${house.url}/visits/${visit}/plan`);
    await words(page, 'On this skin');
    await words(page, '% of its limit');
    await page.click('[data-row="c1/layer-ease"]');
    await page.waitForSelector('select[aria-label="Oil that drops"]');
    expect(await page.$eval('select[aria-label="Oil that drops"]', (one) => (one as HTMLSelectElement).value)).toBe(
      (await layers())[0]?.oil,
    );
  });

  it('take another oil or other drops from the therapist, and what is usual again', async () => {
    const oils = await page.$$eval('select[aria-label="Oil that drops"] option', (all) =>
      all.map((one) => (one as HTMLOptionElement).value),
    );
    const before = (await layers())[0]?.oil;
    const other = oils.find((oil) => oil !== before) ?? '';
    await page.select('select[aria-label="Oil that drops"]', other);
    await words(page, 'as the shelf has it');
    await expect.poll(async () => (await layers())[0]).toMatchObject({ oil: other, drops: 1 });
    await control(page, 'button', 'as the shelf has it').click();
    await expect.poll(async () => (await layers())[0]?.oil).toBe(before);
  });

  it('stand on the room list in their order', async () => {
    await go(page, `${house.url}/visits/${visit}/prepare`);
    await words(page, 'Mix for the layers, and lay out in this order');
  });

  it('are counted at the table as each drop falls, and one too many is taken back', async () => {
    await go(page, `${house.url}/visits/${visit}/table`);
    await words(page, 'press Space to begin');
    await page.keyboard.press('Space');
    const [first] = await layers();
    await words(page, `of ${first?.drops} drops of`);
    for (let i = 0; i < 3; i += 1) {
      await page.keyboard.press('d');
      await pace();
    }
    await page.waitForSelector(`[role="img"][aria-label="3 of ${first?.drops} drops"]`);
    await page.keyboard.press('z');
    await page.waitForSelector(`[role="img"][aria-label="2 of ${first?.drops} drops"]`);
    await expect.poll(async () => (await dropEvents()).at(-1)).toMatchObject({ oil: first?.oil, drops: 2 });
  });

  it('say when this skin may have no more of an oil today', async () => {
    const last = (await layers()).at(-1);
    const most = last?.mostDrops ?? 0;
    expect(most).toBeGreaterThan(last?.drops ?? 0);
    const steps: readonly { id: string }[] = (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.plan
      .steps;
    const at = steps.findIndex(({ id }) => id === last?.step);
    for (let i = 0; i < at; i += 1) {
      await page.keyboard.press('PageDown');
      await words(page, `step ${i + 2} of ${steps.length}`);
      await pace();
    }
    // Fewer have fallen so far than were planned: what the other layers left is counted by the limit that fills first.
    await words(page, 'may fall today');
    let fallen = 0;
    while (!(await textOf(page)).includes('no more today')) {
      await control(page, 'button', 'D a drop').click();
      fallen += 1;
      await page.waitForSelector(`[role="img"][aria-label="${fallen} of ${last?.drops} drops"]`);
      expect(fallen).toBeLessThan(100);
    }
    expect(fallen).toBeGreaterThanOrEqual(most);
  });

  it('are counted in at the oil bench, as they fell', async () => {
    await go(page, `${house.url}/bench/oils?visit=${visit}`);
    await words(page, 'Together with what drops along the spine');
    expect(await textOf(page)).toMatch(/along the spine: [a-z ]+, [a-z ]+\./);
  });
});
