import { appUrl } from '../app-url';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { AskState } from '../../src/contracts/ask-views';
import { bookAnyTime, call, post } from '../api/client';
import {
  answerCheck,
  allKept,
  choose,
  control,
  follow,
  go,
  gone,
  launch,
  open,
  textOf,
  troubles,
  until,
  words,
  settled,
} from './browser';

const app = appUrl();

async function visitOfNew(name: string, focus = ['arm.left']): Promise<{ client: number; visit: number }> {
  const client = (await post('/api/clients', { name, bornOn: '1962-04-01' })).body.id;
  return { client, visit: await bookAnyTime({ clientId: client, focus }) };
}

const stateOf = async (visit: number): Promise<AskState> => (await call('GET', `/api/visits/${visit}/ask`)).body.state;

/** What is asked at the moment, as it stands on the screen. */
const asked = (page: Page) =>
  page.evaluate(() => {
    const row = document.querySelector('main li[data-current]');
    return {
      group: row?.closest('section')?.getAttribute('aria-label') ?? '',
      isGate: row?.hasAttribute('data-gate') ?? false,
      isOpen: row?.hasAttribute('data-open') ?? false,
      label: row?.querySelector('small')?.textContent ?? '',
      text: row?.querySelector('p')?.textContent ?? '',
    };
  });

describe('an intake with seven conditions, by keyboard alone', () => {
  const found: Readonly<Record<string, readonly string[]>> = {
    'Heart and vessels': ['Varicose veins'],
    'Cancer and its treatment': ['Lymph nodes removed from an armpit (full clearance)'],
    'Bones and joints': ['Brittle bones (osteoporosis)'],
    'Devices and implants': ['Port or tunnelled line for infusions'],
    Medicines: ['Blood thinners (anticoagulants)', 'Five or more prescription medicines'],
    Allergies: ['Latex allergy'],
  };
  const ids = [
    'varicose-veins',
    'nodes-removed-axillary',
    'osteoporosis',
    'port',
    'anticoagulants',
    'many-medicines',
    'latex-allergy',
  ];
  let browser: Browser;
  let page: Page;
  let visit: number;
  let client: number;
  const keys: string[] = [];

  beforeAll(async () => {
    browser = await launch();
    ({ visit, client } = await visitOfNew('Septima Sieben'));
    page = await open(browser, `${app}/visits/${visit}/ask`);
  });
  afterAll(() => browser.close());

  it('is asked group by group, with a key for each answer', async () => {
    await words(page, 'Consultation');
    for (let i = 0; i < 160; i += 1) {
      const question = await asked(page);
      if (!question.isOpen) break;
      const wanted = found[question.group] ?? [];
      const state = await stateOf(visit);
      const areAllFound = wanted.every((label) => state.findings.some((finding) => finding.label === label));
      const key = question.isGate
        ? wanted.length > 0
          ? 'y'
          : 'n'
        : areAllFound
          ? 'r'
          : wanted.includes(question.label)
            ? 'y'
            : 'n';
      keys.push(key);
      await page.keyboard.press(key);
      await until(
        page,
        (before) =>
          document.querySelector('main li[data-current] p')?.textContent !== before ||
          !document.querySelector('main li[data-current][data-open]'),
        question.text,
      );
      await allKept(page);
    }
    await words(page, 'Every question of the intake has its answer.');
    expect((await stateOf(visit)).findings.map(({ id }) => id).sort()).toEqual([...ids].sort());
  }, 120_000);

  it('takes under four minutes even of somebody who reads every question', () => {
    // Reading a question and answering the client takes about three seconds, a key 0.2 (keystroke-level model).
    expect(keys.length * 3.2).toBeLessThan(240);
  });

  it('shows at once what is kept off, with the side still open', async () => {
    const nodes = (await stateOf(visit)).findings.find(({ id }) => id === 'nodes-removed-axillary');
    expect(nodes?.side).toBeUndefined();
    await choose(page, 'Side of the client', 'left');
    await until(page, () =>
      document.querySelector('[aria-label="Body map"]')?.innerHTML.includes('left armpit nodes: closed'),
    );
    await control(page, 'textbox', 'When (a year, a month or a day)').fill('2022');
    await page.keyboard.press('Tab');
    await allKept(page);
    const stored = async () => (await stateOf(visit)).findings.find(({ id }) => id === 'nodes-removed-axillary');
    await expect.poll(stored).toMatchObject({
      side: 'left',
      sinceOn: '2022',
    });
  });

  it('decides what the rules decide, and no other', async () => {
    const state = await stateOf(visit);
    const { body: shown } = await call('GET', `/api/visits/${visit}`);
    const computed = await post('/api/compute/screening', {
      visitDate: shown.startsAt.slice(0, 10),
      age: shown.client.age,
      conditions: ids.map((id) => (id === 'nodes-removed-axillary' ? { id, side: 'left', date: '2022' } : { id })),
      qualifications: shown.therapist.qualifications,
    });
    const rows = (all: readonly { modality: string; decision: string }[]) =>
      Object.fromEntries(all.map(({ modality, decision }) => [modality, decision]));
    expect(rows(state.screening.decisions)).toEqual(rows(computed.body.byModality));
    expect(state.screening.overall).toBe(computed.body.overall);
  });

  it('says why in one glance, opened by a click', async () => {
    const rows = () => page.$$eval('aside li[data-decision]', (all) => all.map(({ textContent }) => textContent ?? ''));
    const shut = await rows();
    const at = shut.findIndex((text) => text.includes('Lymph drainage'));
    expect(at).toBeGreaterThanOrEqual(0);
    await (await page.$$('aside li[data-decision] > button'))[at]?.click();
    await until(page, () => document.querySelector('aside [aria-expanded="true"]') !== null);
    const opened = (await rows())[at] ?? '';
    expect(opened).toContain('Why');
    expect(opened).toMatch(/nodes removed/i);
  });

  it('is obeyed by the plan: nothing is led to the cleared armpit', async () => {
    await control(page, 'button', 'On to the check of today').click();
    await answerCheck(page);
    const made = await post(`/api/visits/${visit}/plan`, { school: {}, minutes: 60, fill: true, basedOn: 0 });
    const drainage = (await stateOf(visit)).screening.decisions.find(({ modality }) => modality === 'lymph-drainage');
    expect(made.body.plan.plan.decision).toBe(drainage?.decision);
    type Led = { readonly toward?: string; readonly via?: readonly string[]; readonly pressure?: string };
    for (const step of made.body.plan.steps as readonly Led[])
      expect([step.toward, ...(step.via ?? [])]).not.toContain('axillary.left');
    expect(client).toBeGreaterThan(0);
    expect(troubles(page)).toEqual([]);
  });
});

describe('the tablet in the client’s hands', () => {
  let browser: Browser;
  let page: Page;
  let visit: number;

  beforeAll(async () => {
    browser = await launch();
    ({ visit } = await visitOfNew('Tabea Tafel', ['leg.left']));
    await post(`/api/visits/${visit}/intake`, { answers: [{ condition: 'immune-weak', answer: 'yes' }] });
    page = await open(browser, `${app}/visits/${visit}/ask`, { width: 820, height: 1180 });
  });
  afterAll(() => browser.close());

  it('is handed over with one key, and asks in plain words', async () => {
    await words(page, 'hand the tablet over');
    await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), page.keyboard.press('h')]);
    await settled(page);
    await words(page, 'Hello Tabea.');
    const shown = await page.$eval('body', ({ outerHTML }) => outerHTML);
    for (const secret of ['What this allows', 'refer', 'Needs Stone therapy']) expect(shown).not.toContain(secret);
    const targets = await page.$$eval('main label', (all) => all.map((label) => label.getBoundingClientRect().height));
    expect(Math.min(...targets)).toBeGreaterThanOrEqual(44);
  });

  it('shows nothing else, wherever the client goes', async () => {
    for (const path of ['/', '/clients', `/visits/${visit}/ask`, '/house']) {
      await go(page, `${app}${path}`);
      expect(page.url()).toBe(`${app}/tablet/${visit}`);
    }
  });

  it('takes answers by touch, a group a page, and “not sure” as one', async () => {
    await choose(page, 'Anything with your heart, blood vessels, blood pressure or swelling?', 'yes, or not sure');
    await choose(page, 'Do you have bulging, twisted veins? Please mark where.', 'not sure');
    await control(page, 'button', 'Next').click();
    await words(page, 'Have you ever had cancer');
    for (let i = 0; i < 30; i += 1) {
      if ((await textOf(page)).includes('Please read this')) break;
      const label = await page.$eval('h1', (h1) => h1.textContent ?? '');
      if (/Any infection now/.test(label)) await control(page, 'button', 'Next').click();
      else await choose(page, label, 'no, nothing of that');
      await until(page, (before) => document.querySelector('h1')?.textContent !== before, label);
    }
    await words(page, 'Please read this, and sign if you agree');
  });

  it('keeps the consent with areas and a drawn name', async () => {
    await page.evaluate(() => document.querySelector<HTMLInputElement>('input[value="groin"]')?.click());
    const box = await (await page.waitForSelector('[aria-label^="Drawn name"]'))?.boundingBox();
    if (!box) throw new Error('nowhere to sign');
    await page.mouse.move(box.x + 40, box.y + 60);
    await page.mouse.down();
    await page.mouse.move(box.x + 160, box.y + 30, { steps: 5 });
    await page.mouse.up();
    await page.waitForSelector('[aria-label="Drawn name: drawn"]');
    await control(page, 'button', 'I have read this and agree').click();
    await words(page, 'Please give the tablet back now.');
  });

  it('comes back to the therapist with the PIN only, and the answers stand in the intake', async () => {
    await page.type('input[type="password"]', '1111');
    await page.keyboard.press('Enter');
    await words(page, 'left');
    await page.type('input[type="password"]', '2719');
    await Promise.all([page.waitForNavigation({ waitUntil: 'load' }), page.keyboard.press('Enter')]);
    await settled(page);
    await words(page, 'Signed by Tabea Tafel');
    const state = await stateOf(visit);
    expect(state.findings.map(({ id, isUnsure, source }) => [id, isUnsure, source])).toEqual([
      ['immune-weak', false, 'therapist'],
      ['varicose-veins', true, 'client'],
    ]);
    expect(state.consent).toMatchObject({ name: 'Tabea Tafel', areas: ['groin'] });
    expect(troubles(page)).toEqual([]);
  });
});

describe('a visit that does not take place', () => {
  it('is stopped by fever at the check, with what to say, and plans nothing', async () => {
    const browser = await launch();
    const { visit } = await visitOfNew('Fiona Fieber', ['leg.left']);
    const page = await open(browser, `${app}/visits/${visit}/ask`);
    await words(page, 'Consultation');
    await choose(page, 'Part of the consultation', 'check of today');
    for (let i = 0; i < 20; i += 1) {
      const { text } = await asked(page);
      if (text.startsWith('Temperature of 38')) break;
      // A yes to a gate opens what is behind it.
      await page.keyboard.press(text.startsWith('Feverish, ill or infected') ? 'y' : 'n');
      await until(page, (before) => document.querySelector('main li[data-current] p')?.textContent !== before, text);
    }
    await page.keyboard.press('y');
    await words(page, 'Today your body needs rest.');
    await allKept(page);
    await page.waitForNetworkIdle();
    expect(await textOf(page)).not.toContain('Go on to');
    await expect
      .poll(async () => (await call('GET', `/api/visits/${visit}`)).body.stage, { timeout: 20_000 })
      .toBe('stopped');
    await go(page, `${app}/visits/${visit}/plan`);
    await words(page, 'The check stopped this visit');
    await go(page, `${app}/visits/${visit}/table`);
    expect(await textOf(page)).not.toContain('press Space to begin');
    const pdf = await fetch(`${app}/api/visits/${visit}/referral.pdf`, {
      headers: { cookie: (await page.cookies()).map(({ name, value }) => `${name}=${value}`).join('; ') },
    });
    expect([pdf.status, pdf.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    expect(
      Buffer.from(await pdf.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    await browser.close();
  }, 60_000);
});

describe('a session that runs out in the middle of a long intake', () => {
  it('loses nothing: the door opens in place, and what was answered is stored', async () => {
    const browser = await launch();
    const { visit } = await visitOfNew('Aurelia Ablauf', ['leg.left']);
    const page = await open(browser, `${app}/visits/${visit}/ask`);
    await words(page, 'Consultation');
    await page.keyboard.press('n');
    await allKept(page);
    const cookie = (await page.cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
    await fetch(`${app}/api/session`, { method: 'DELETE', headers: { cookie, origin: app } });
    await page.keyboard.press('y');
    await page.keyboard.press('y');
    await words(page, 'Sign in again');
    await words(page, 'What you entered is still here');
    await control(page, 'button', 'Sign in as Ines Hollen Lymphoedema therapist, owner').click();
    await gone(page, 'Sign in again');
    await allKept(page);
    await expect.poll(async () => (await stateOf(visit)).findings, { timeout: 20_000 }).toHaveLength(1);
    await follow(page, 'link', 'Day').catch(() => undefined);
    await browser.close();
  }, 60_000);
});
