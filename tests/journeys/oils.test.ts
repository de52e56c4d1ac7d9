import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { call, post, visitOf } from '../api/client';
import { control, follow, go, settled, textOf, until, words } from './browser';
import { ownHouse } from './own-house';

/** The blend bench: from a purpose to a labelled bottle, by keyboard; what it refuses and what it offers instead. */
describe('oils', () => {
  const house = ownHouse('oils');
  let page: Page;
  let visit: number;
  const press = async (...keys: readonly string[]) => {
    for (const key of keys) await page.keyboard.press(key as Parameters<typeof page.keyboard.press>[0]);
  };
  const drops = () =>
    page.$$eval('[data-oil]', (rows) =>
      rows.map((row) => [row.getAttribute('data-oil'), Number(row.querySelector('strong')?.textContent)] as const),
    );
  beforeAll(async () => {
    page = house.page;
    visit = await visitOf('Runa Tolvey', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
  });

  it('finds a good blend for a client in seconds, inside every limit, by keyboard', async () => {
    await go(page, `${house.url}/bench/oils?visit=${visit}`);
    await words(page, 'no nut carriers');
    await (await control(page, 'button', 'sleep')).click();
    await press('b');
    await words(page, 'Inside every limit.');
    const found = await drops();
    expect(found.length).toBeGreaterThanOrEqual(2);
    const [first] = found;
    await page.focus('[data-oil] button');
    await press('ArrowUp');
    expect((await drops())[0]?.[1]).toBe((first?.[1] ?? 0) + 1);
    await press('z');
    expect(await drops()).toEqual(found);
  });

  it('says what is over and mends it exactly', async () => {
    await press('a');
    await page.keyboard.type('ylang');
    await press('Enter');
    await words(page, 'Ylang');
    for (let i = 0; i < 9; i += 1) await press('ArrowUp');
    await words(page, 'Not like this.');
    expect(await textOf(page)).toMatch(/Ylang ylang would be .* over its 0.8 %/i);
    await press('s');
    await words(page, 'Inside every limit.');
    await press('Delete');
    expect((await drops()).some(([oil]) => oil === 'ylang-ylang')).toBe(false);
  });

  it('shows what neat drops come to, and takes them diluted', async () => {
    await press('a');
    await page.keyboard.type('wintergreen');
    await press('Enter');
    await words(page, 'Wintergreen');
    for (let i = 0; i < 7; i += 1) await press('ArrowUp');
    await press('d');
    await words(page, 'Drops straight onto the skin');
    await words(page, 'on the skin: not like this');
    await (await control(page, 'button', 'Take it diluted')).click();
    await words(page, 'Inside every limit.');
    expect(await page.$eval('input[aria-label="Millilitres"]', (input) => (input as HTMLInputElement).value)).toBe(
      '30',
    );
  });

  it('keeps what it had while millilitres cannot be read', async () => {
    const field = await control(page, 'textbox', 'Millilitres');
    await field.click({ count: 3 });
    await page.keyboard.type('0');
    await words(page, 'More than 0 and at most 1000 mL.');
    await field.click({ count: 3 });
    await page.keyboard.type('40,5');
    await page.keyboard.press('Tab');
    await words(page, 'Inside every limit.');
    expect(await textOf(page)).toMatch(/40\.\d mL/);
  });

  it('lets the nose choose between unnamed strips, with rests, and the visit carries what it chose', async () => {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await press('w');
    await words(page, 'The client sees only the numbers');
    await (await control(page, 'button', 'Hide the names and begin')).click();
    await words(page, 'The first strip.');
    expect(await page.$eval('[role="dialog"]', (dialog) => dialog.textContent)).not.toMatch(
      /lavender|vetiver|mandarin/i,
    );
    const strips = await page.$$eval('[role="dialog"] h2', (all) => all.length);
    expect(strips).toBe(1);
    for (const liking of [3, 8, 5]) {
      const rested = await page.$$('::-p-aria([name="It is rested"][role="button"])');
      await rested[0]?.click();
      await page.waitForSelector('[role="radiogroup"]');
      await page.$$eval(
        '[role="dialog"] input[type="radio"]',
        (radios, at) => (radios[at] as HTMLInputElement).click(),
        liking,
      );
      await page.waitForSelector('[role="dialog"] button:not(:disabled)');
      const next = await page.$$('::-p-aria([name="Rest, then the next"][role="button"])');
      if (next[0]) await next[0].click();
      else {
        await (await control(page, 'button', 'Show what they are')).click();
        break;
      }
    }
    await words(page, '8 of 10');
    await page.$$eval('[role="dialog"] li[data-liked] button', ([button]) => (button as HTMLElement).click());
    await words(page, 'Chosen by nose; the visit carries it.');
    const { visit: carried } = (await call('GET', `/api/oils?visit=${visit}`, undefined, house.url)).body;
    expect(carried.chosen.body.blend.parts.length).toBeGreaterThan(0);
  });

  it('mixes it drop by drop, draws it from the shelf and ends with a label that fits', async () => {
    const before = (await call('GET', '/api/oils/bottles', undefined, house.url)).body.bottles;
    await follow(page, 'button', 'Mixing card');
    await settled(page);
    await press('Space', 'Space', 'Space');
    await press('ArrowDown');
    await words(page, '2 of');
    for (let i = 0; i < 5 && !(await textOf(page)).includes('It is mixed'); i += 1) {
      const shown = await textOf(page);
      await press('Enter');
      await until(page, (before) => document.body.innerText !== before, shown);
    }
    await (await control(page, 'button', 'It is mixed')).click();
    await words(page, 'Stick the label on');
    await words(page, 'R. T.');
    await words(page, 'Leave the oil on for 8 to 12 hours');
    const sheet = await call(
      'GET',
      `/api/oils/mixes/${page.url().split('/').at(-1)}/aftercare.pdf`,
      undefined,
      house.url,
    );
    expect([sheet.status, sheet.type]).toEqual([200, 'application/pdf']);
    const after = (await call('GET', '/api/oils/bottles', undefined, house.url)).body.bottles;
    const left = (bottles: readonly { leftMl: number }[]) => bottles.reduce((sum, one) => sum + one.leftMl, 0);
    expect(left(after)).toBeLessThan(left(before));
    const id = page.url().split('/').at(-1);
    const label = await call('GET', `/api/oils/mixes/${id}/label.pdf?size=usual`, undefined, house.url);
    expect([label.status, label.type]).toEqual([200, 'application/pdf']);
    await follow(page, 'link', 'Back to the room list');
    await words(page, 'It is mixed.');
  });

  it('refuses a label on which the text does not fit', async () => {
    const blend = {
      ...{ name: 'A very long name for a blend that goes on and on until the end', area: 'body', volumeMl: 100 },
      ...{ carrier: 'rice-bran', uses: [] },
      parts: [
        'lavender',
        'marjoram-sweet',
        'cedarwood-atlas',
        'mandarin',
        'ginger',
        'geranium',
        'frankincense',
        'vetiver',
      ].map((oil) => ({ oil, drops: 2 })),
    };
    const tooLong = await call('POST', '/api/oils/mixes', { blend }, house.url);
    expect([tooLong.status, tooLong.body.errors[0].path]).toEqual([400, 'blend.name']);
    const { body } = await call(
      'POST',
      '/api/oils/mixes',
      { blend: { ...blend, name: blend.name.slice(0, 58) } },
      house.url,
    );
    const label = await call('GET', `/api/oils/mixes/${body.id}/label.pdf?size=small`, undefined, house.url);
    expect([label.status, label.body.errors[0].path]).toEqual([422, 'size']);
  });

  it('keeps bottles: old ones are thrown away, a list is read, and what is wrong in it is named', async () => {
    await go(page, `${house.url}/bench/bottles`);
    await words(page, 'Bergamot, expressed');
    await (await control(page, 'button', 'Throw away')).click();
    await words(page, 'thrown away.');
    const file = path.join(house.folder, 'shelf.csv');
    writeFileSync(file, 'kind,oil,size_ml,opened\nessential,neroli,5,2026-10-01\nessential,moonflower,5,\n');
    const upload = async () => {
      const input = await page.$('input[type="file"]');
      await input?.uploadFile(file);
    };
    await upload();
    await words(page, 'Row 3: oil: There is no oil “moonflower” in the catalogue.');
    writeFileSync(file, 'kind,oil,size_ml,opened\nessential,neroli,5,2026-10-01\n');
    await upload();
    await words(page, '1 bottle can be read.');
    await (await control(page, 'button', 'Add to the shelf')).click();
    await words(page, '1 bottle added to the shelf.');
    await upload();
    await words(page, '1 bottle can be read, and is on the shelf already: there is nothing to add.');
    writeFileSync(file, 'kind,oil,size_ml,opened\nessential,neroli,5,2026-10-01\nessential,neroli,5,18.10.2026\n');
    await upload();
    await words(page, '1 of them is on the shelf already and stays as it is. Add the other one?');
    await (await control(page, 'button', 'Cancel')).click();
  });

  it('leads a pregnant client with a nut allergy to something weak without nuts', async () => {
    const clients = (await call('GET', '/api/clients?search=Adaeze', undefined, house.url)).body;
    const [adaeze] = clients.clients ?? clients.hits ?? clients;
    for (const id of ['pregnancy-2', 'nut-allergy'])
      await call(
        'POST',
        `/api/clients/${adaeze.id}/findings`,
        { id, sinceOn: null, note: '', isUnsure: false, answers: {} },
        house.url,
      );
    await go(page, `${house.url}/bench/oils?client=${adaeze.id}`);
    await words(page, 'pregnant');
    await (await control(page, 'button', 'calm')).click();
    await press('b');
    await words(page, 'Inside every limit.');
    await words(page, 'usual here: up to 1 %');
    await press('v');
    await words(page, 'kept away: nut carriers');
    await press('Escape');
    expect(await textOf(page)).not.toMatch(/Wintergreen, (top|middle|base)/);
  });

  it('leaves those without clinical training the ready blends, unchanged', async () => {
    const blend = {
      ...{ name: 'My own', area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: [] },
      parts: [{ oil: 'lavender', drops: 9 }],
    };
    const refused = await call('POST', '/api/oils/mixes', { blend }, house.url, 'therapist');
    expect([refused.status, refused.body.errors[0].path]).toEqual([400, 'parts']);
    const assistant = await call('GET', '/api/oils', undefined, house.url, 'assistant');
    expect(assistant.status).toBe(403);
  });

  it('offers what can stand in for an oil that is out, in drops that are safe', async () => {
    const { bottles } = (await call('GET', '/api/oils/bottles', undefined, house.url)).body;
    for (const one of bottles.filter(({ oil }: { oil: string }) => oil === 'cedarwood-atlas')) {
      const { kind, oil, lot, openedOn, printedOn, sizeMl, leftMl, costCents, dropsPerMl, note } = one;
      const input = { kind, oil, lot, openedOn, printedOn, sizeMl, leftMl, costCents, dropsPerMl, note };
      await call('PUT', `/api/oils/bottles/${one.id}`, { ...input, state: 'discarded' }, house.url);
    }
    await go(page, `${house.url}/bench/oils`);
    await page.$$eval('[aria-label="House blends"] li > button', ([first]) => (first as HTMLElement).click());
    await words(page, 'not on the shelf');
    await (await control(page, 'button', 'Stand in for it')).click();
    await words(page, 'Instead of atlas cedarwood');
    await page.$$eval('[role="dialog"] li button', ([first]) => (first as HTMLElement).click());
    expect((await drops()).some(([oil]) => oil === 'cedarwood-atlas')).toBe(false);
    await words(page, 'Inside every limit.');
  });

  it('takes blends of the house out as a file and brings them in, all or none', async () => {
    const { body: file } = await call('GET', '/api/oils/blends', undefined, house.url);
    expect(file.blends.length).toBeGreaterThanOrEqual(3);
    const blendFile = path.join(house.folder, 'blends.json');
    const strange = {
      ...file,
      blends: [file.blends[0], { ...file.blends[1], parts: [{ oil: 'moonflower', drops: 1 }] }],
    };
    const bring = async (given: unknown) => {
      writeFileSync(blendFile, typeof given === 'string' ? given : JSON.stringify(given));
      await (await page.$('input[aria-label="A file of blends"]'))?.uploadFile(blendFile);
    };
    await bring(strange);
    await words(page, 'There is no oil “moonflower”');
    await bring('{ not json');
    await words(page, 'That file is not JSON');
    await bring({ ...file, blends: [{ ...file.blends[0], name: 'From far away' }] });
    await words(page, 'One blend was imported.');
    await words(page, 'From far away');
  });
});
