import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { call, post, visitOf } from '../api/client';
import {
  allKept,
  choose,
  control,
  follow,
  go,
  gone,
  launch,
  noteOf,
  open,
  paste,
  settled,
  textOf,
  tick,
  troubles,
  until,
  words,
} from './browser';
import { ownHouse } from './own-house';

/** The two minutes after the hour, and what the client does alone until the next visit. */
describe('closing a visit, and home', () => {
  const house = ownHouse('close-and-home');
  let page: Page;
  let visit: number;
  const closing = async () => (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;

  beforeAll(async () => {
    page = house.page;
    visit = await visitOf('Marit Olsvang', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
    await go(page, `${house.url}/visits/${visit}/plan`);
    const { plan } = (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;
    const at = (seconds: number) => new Date(Date.now() - 3_600_000 + seconds * 1000).toISOString();
    const events = (plan.steps as { id: string }[]).flatMap(({ id }, i) =>
      ['start', 'end'].map((kind, k) => ({
        ...{ id: `close-${kind}-${i}-of-it`, kind, stepId: id, at: at(i * 40 + k * 39), planVersion: plan.version },
      })),
    );
    const mark = { id: 'close-mark-one', kind: 'mark', stepId: plan.steps[9].id, at: at(362), planVersion: 1 };
    const finish = { id: 'close-finish-1', kind: 'finish', stepId: null, at: at(1800), planVersion: plan.version };
    const all = [...events.slice(0, 19), { ...mark, mark: 'tighter' }, ...events.slice(19), finish];
    const sent = await post(`/api/visits/${visit}/events`, { deviceId: 'the-table-of-it', events: all }, house.url);
    expect(sent.status).toBe(200);
  });

  it('reminds the day to look at the skin again, ten minutes after the end', async () => {
    await go(page, house.url);
    await words(page, 'Look at the skin again');
  });

  it('hands the tablet to the client, who says how it was without seeing the record', async () => {
    await go(page, `${house.url}/visits/${visit}/close`);
    await words(page, 'steps in');
    await follow(page, 'button', 'Let the client answer');
    await words(page, 'Marit, how was it today?');
    expect(await textOf(page)).not.toMatch(/Olsvang|nodes|swelling|oedema|removed/i);
    await choose(page, 'How was the pressure?', 'just right');
    await control(page, 'button', 'Next').click();
    await words(page, 'How comfortable was it?');
    await choose(page, 'How comfortable was it? 0: not at all, 10: it could not be better', '9');
    await control(page, 'button', 'Next').click();
    for (const ask of ['How relaxed were you when you came?', 'How relaxed are you now?', 'How was the warmth?']) {
      await words(page, ask);
      await control(page, 'button', 'Skip').click();
    }
    await words(page, 'Please give the tablet back now.');
    const elsewhere = await call('GET', `/api/visits/${visit}`, undefined, house.url);
    expect(elsewhere.status).toBe(200);
    await page.keyboard.press('Tab');
    await page.focus('input');
    await page.keyboard.type('2719');
    await follow(page, 'button', 'Take the tablet back');
    await words(page, 'said by the client');
    expect((await closing()).closing).toMatchObject({ pressure: 0, comfort: 9, byClient: ['pressure', 'comfort'] });
  });

  it('is closed by keyboard alone, with marks in the note and what to mind chosen by what was done', async () => {
    const began = Date.now();
    let keys = 0;
    const press = async (...names: readonly ('Tab' | 'ArrowRight' | 'Space' | 'Enter')[]) => {
      for (const name of names) {
        await page.keyboard.press(name);
        keys += 1;
      }
    };
    /** On with Tab to the group of that name, then to the answer with the arrows. */
    const answer = async (group: string, right: number) => {
      const isThere = () =>
        page.evaluate(
          (name) =>
            document.getElementById(
              document.activeElement?.closest('[role="radiogroup"]')?.getAttribute('aria-labelledby') ?? '',
            )?.textContent === name,
          group,
        );
      for (let i = 0; i < 60 && !(await isThere()); i += 1) await press('Tab');
      expect(await isThere()).toBe(true);
      await press('Space');
      for (let i = 0; i < right; i += 1) await press('ArrowRight');
    };
    await answer('Relaxed before, 0 to 10', 4);
    await answer('Relaxed now, 0 to 10', 8);
    await answer('Redness before the work', 0);
    await answer('Redness of the skin', 1);
    await words(page, 'Back after');
    await answer('Back after', 1);
    const isInNote = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') === 'Note');
    for (let i = 0; i < 60 && !(await isInNote()); i += 1) await press('Tab');
    await paste(page, 'Slept. <script>document.title = "run"</script>');
    await words(page, 'Put your stocking or sleeve on again now');
    await words(page, 'Tighter at');
    await control(page, 'button', 'Take into the note').click();
    await until(
      page,
      () => document.querySelector<HTMLElement>('[role="textbox"]')?.innerText.includes('Tighter at') === true,
    );
    expect(await noteOf(page)).toContain('<script>');
    await allKept(page);
    await Promise.all([
      page.waitForNavigation({ waitUntil: 'load' }),
      (async () => {
        await page.keyboard.down('Control');
        await page.keyboard.press('Enter');
        await page.keyboard.up('Control');
      })(),
    ]);
    await settled(page);
    await words(page, 'Marit Olsvang');
    expect(await page.title()).toContain('Marit Olsvang');
    // At a second a key, with reading, two minutes are not reached.
    expect(keys).toBeLessThan(80);
    expect(Date.now() - began).toBeLessThan(120_000);
    const { closing: kept, stage, signatures } = await closing();
    expect([stage, signatures.length]).toEqual(['done', 1]);
    expect(kept).toMatchObject({ relaxationBefore: 4, relaxationAfter: 8, redness: 1, fadeMinutes: 15 });
    expect(kept.noteDoc.content.length).toBeGreaterThan(1);
    expect(kept.note).toContain('Slept.');
  });

  it('makes a version of a later correction, and asks for another signature', async () => {
    await go(page, `${house.url}/visits/${visit}/close`);
    await words(page, 'Signed by Ines Hollen');
    await control(page, 'button', 'Correct the record').click();
    await choose(page, 'Comfort, 0 to 10', '8');
    await words(page, 'What was changed since is not signed yet.');
    expect(await textOf(page)).not.toMatch(/Comfort, 0 to 10\s+said by the client/);
    await follow(page, 'button', 'Sign the correction');
    const { signatures, closing: kept } = await closing();
    expect(signatures.map(({ version }: { version: number }) => version)).toEqual([
      signatures[0].version,
      kept.version,
    ]);
    expect(kept.byClient).toEqual(['pressure']);
  });

  it('draws a sheet up within the client’s reach, and leaves out what is beyond it', async () => {
    await go(page, `${house.url}/visits/${visit}/home`);
    await words(page, 'Ankle and foot');
    await tick(page, 'bend down to the foot');
    await gone(page, 'Ankle and foot');
    await words(page, 'Left out (');
    await page.evaluate(() => {
      const minutes = [...document.querySelectorAll('label')].find((one) => one.textContent === 'Minutes');
      const input = document.getElementById(minutes?.htmlFor ?? '') as HTMLInputElement;
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(input, '29');
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await words(page, 'At most 20 minutes of this alone.');
    await go(page, `${house.url}/visits/${visit}/home`);
    await words(page, 'Ankle and foot');
    await control(page, 'button', 'Give this sheet').click();
    await words(page, 'Not ticked yet.');
    const pdf = await page.evaluate(async () => {
      const link = [...document.querySelectorAll('a')].find((a) => a.textContent === 'Letter');
      const answer = await fetch(link?.href ?? '');
      return [answer.status, answer.headers.get('content-type'), (await answer.arrayBuffer()).byteLength];
    });
    expect(pdf).toEqual([200, 'application/pdf', expect.any(Number)]);
    expect(pdf[2]).toBeGreaterThan(30_000);
  });

  it('is followed on a phone behind a link, with the beat, and ticked off without a sign-in', async () => {
    await control(page, 'button', 'Make a link').click();
    const url = await until(
      page,
      () => [...document.querySelectorAll('a')].find((a) => new URL(a.href).pathname.startsWith('/home/'))?.href,
    ).then((handle) => handle.jsonValue());
    const other = await launch();
    const phone = await open(other, url ?? '', { width: 390, height: 844 }, 'nobody');
    await words(phone, 'Hello Marit');
    expect(await textOf(phone)).not.toMatch(/Olsvang|oedema|removed|nodes removed/);
    await control(phone, 'button', 'Begin').click();
    await words(phone, '1 of ');
    await words(phone, 'Breathe into the belly');
    await words(phone, 'find the place');
    await words(phone, 'in');
    const steps = Number(/1 of (\d+)/.exec(await textOf(phone))?.[1]);
    const wide = await phone.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
    await control(phone, 'button', 'Next').click();
    await words(phone, '2 of ');
    await phone.reload({ waitUntil: 'load' });
    await settled(phone);
    await words(phone, '2 of ');
    for (let i = 2; i <= steps; i += 1)
      await phone.evaluate(() =>
        [...document.querySelectorAll('button')].find((b) => b.textContent === 'Next')?.click(),
      );
    await words(phone, 'Well done');
    await control(phone, 'button', 'Tick it off').click();
    await words(phone, 'Ticked off.');
    expect(troubles(phone)).toEqual([]);

    const guessed = await phone.goto(`${house.url}/home/${'a'.repeat(43)}`);
    expect(guessed?.status()).toBe(404);
    await words(phone, 'This page is not here');
    await phone.goto(`${house.url}/clients`);
    expect(phone.url()).toContain('/sign-in');

    await control(page, 'button', 'Take the link back').click();
    await gone(page, 'Take the link back');
    expect((await phone.goto(url ?? ''))?.status()).toBe(404);
    await other.close();

    const client = (await closing()).client.id;
    await go(page, `${house.url}/clients/${client}/progress`);
    await words(page, 'At home');
    await words(page, '1 of 1 times');
    await go(page, `${house.url}/clients/${client}`);
    await choose(page, 'Part of the record', 'visits');
    await words(page, 'Home self-care');
  });
});
