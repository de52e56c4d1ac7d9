import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { call, clientOf, post, visitOf } from '../api/client';
import { control, follow, go, gone, settled, textOf, tick, until, words } from './browser';
import { ownHouse } from './own-house';

/** Lines of the face, treatments kept to be taken again, the room before, and time that runs short at the table. */
describe('a facial from its lines to the table', () => {
  const house = ownHouse('kept-treatment');
  let page: Page;
  let visit: number;
  let client: number;
  beforeAll(async () => {
    page = house.page;
    visit = await visitOf('Sunniva Harrow', house.url);
    client = await clientOf('Sunniva', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
  });

  /** Draws on the large face, in the units of its drawing. */
  const draw = async (points: readonly (readonly [number, number])[]) => {
    const at = await page.evaluate((input) => {
      const pad = document.querySelector<SVGGraphicsElement>('svg rect[class*="pad"]');
      const matrix = pad?.getScreenCTM();
      if (!matrix) throw new Error('nothing to draw on');
      return input.map(([x, y]) => {
        const point = new DOMPoint(x, y).matrixTransform(matrix);
        return [point.x, point.y] as const;
      });
    }, points);
    const [first = [0, 0], ...rest] = at;
    await page.mouse.move(first[0], first[1]);
    await page.mouse.down();
    for (const [x, y] of rest) await page.mouse.move(x, y, { steps: 6 });
    await page.mouse.up();
  };
  const stored = async () => {
    const { body } = await call('GET', `/api/visits/${visit}`, undefined, house.url);
    return body;
  };

  it('takes a line drawn on the face, names it by where it lies, and one that is added by keyboard', async () => {
    await go(page, `${house.url}/visits/${visit}/measure?sheet=lines`);
    await words(page, '9 lines');
    await draw([
      [242, 398],
      [237, 414],
      [236, 434],
    ]);
    await words(page, '10 lines');
    expect(await textOf(page)).toMatch(/strokes? across, then on to under the jaw/);
    await draw([
      [20, 20],
      [80, 20],
    ]);
    await words(page, 'That is beside the lines that are worked');
    await page.focus('button[aria-label="Add neck line"]');
    await page.keyboard.press('Enter');
    await words(page, '11 lines');
    await words(page, 'every answer is saved as you give it');
    await page.reload();
    await words(page, '11 lines');
  });

  it('says as last time, but which lines nothing works, and adds work on them', async () => {
    await go(page, `${house.url}/visits/${visit}/plan`);
    await words(page, 'As on');
    await control(page, 'button', 'Take out Mouth and smile line, gloved').click();
    await words(page, 'Lines not worked');
    await control(page, 'button', 'Add work on the client’s own lines').click();
    await words(page, 'The client’s own lines');
    await words(page, 'lines round the mouth');
    await gone(page, 'Lines not worked');
    await words(page, 'different');
  });

  it('takes single parts of a protocol, and keeps the treatment as what is usual', async () => {
    await control(page, 'button', 'Choose').click();
    await words(page, 'all 9 parts');
    await page.evaluate(() => {
      const details = [...document.querySelectorAll<HTMLDetailsElement>('[role="dialog"] details')][0];
      details?.querySelector('summary')?.click();
    });
    await tick(page, 'dry start');
    await words(page, '8 of 9 parts');
    await control(page, 'button', 'Plan these').click();
    await words(page, '8 parts');
    await words(page, 'saved');
    const { plan } = await stored();
    expect(plan.treatment.blocks.map(({ id }: { id: string }) => id)).not.toContain('c1/dry-start');
    await control(page, 'button', 'Save for another time').click();
    await control(page, 'textbox', 'Name').fill('Her face and lines');
    await control(page, 'button', 'Save').click();
    await words(page, 'It stands first among what may be chosen for Sunniva.');
    await control(page, 'button', 'Done').click();
  });

  it('lists the room with times counted back, keeps ticks, and shows them in the day’s thread', async () => {
    await follow(page, 'link', 'Room list');
    await words(page, 'The room before Sunniva comes');
    const item = await page.evaluate(() => document.querySelector('main li strong')?.textContent);
    expect(item).toMatch(/^\d\d?:\d\d$/);
    await tick(page, 'Face oil');
    await words(page, 'ticks are saved as you set them');
    await page.reload();
    await settled(page);
    expect(
      await page.$$eval('main input:checked', (boxes) => boxes.map((box) => box.closest('label')?.textContent ?? '')),
    ).toEqual([expect.stringContaining('Face oil')]);
    await go(page, house.url);
    await words(page, 'Lifting facial');
  });

  it('offers to shorten, leave out or run over when time runs short, and puts it back', async () => {
    const { plan } = await stored();
    // Later by ten minutes than the plan has to spare.
    const spareSeconds = plan.treatment.availableSeconds - plan.treatment.totalSeconds;
    const begun = new Date(Date.now() - (spareSeconds + 600) * 1000).toISOString();
    const event = { id: 'late-start-1', kind: 'start', stepId: plan.steps[0].id, at: begun, planVersion: plan.version };
    expect(
      (await post(`/api/visits/${visit}/events`, { deviceId: 'another-tablet', events: [event] }, house.url)).status,
    ).toBe(200);
    await go(page, `${house.url}/visits/${visit}/table`);
    await words(page, 'Another device leads.');
    await page.keyboard.press('t');
    await words(page, 'Time runs short:');
    const text = await textOf(page);
    expect(text).toContain('Run over by');
    await page.keyboard.press('l');
    await words(page, 'ends in time');
    const total = await page.$$eval('[aria-label^="Step"] li', (beads) => beads.length);
    expect(total).toBeLessThan(plan.steps.length);
    await page.keyboard.press('u');
    await words(page, 'Time runs short:');
    expect(await page.$$eval('[aria-label^="Step"] li', (beads) => beads.length)).toBe(plan.steps.length);
    await page.keyboard.press('o');
    await words(page, 'min late');
    await page.reload();
    await words(page, 'min late');
  });

  it('books the next visit by its kind, from what is usual', async () => {
    await go(page, `${house.url}/clients/${client}`);
    await control(page, 'button', 'Book a visit').click();
    await words(page, 'Free times');
    await until(page, () => document.body?.innerText.includes('Ready-made') || document.querySelector('optgroup'));
    const usual = await page.evaluate(
      () =>
        [...document.querySelectorAll('option')].find((one) => one.textContent === 'Usual: Her face and lines')?.value,
    );
    expect(usual).toBeDefined();
    const select = await page.$('select');
    await select?.select(usual ?? '');
    await gone(page, 'What is to be drained');
    await until(page, () => document.querySelectorAll('[aria-pressed="true"]').length > 0);
    await control(page, 'button', 'Book').click();
    await words(page, 'Lifting facial, outlet first + lines of the face');
  });
});
