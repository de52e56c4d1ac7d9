import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { bookAnyTime, call, post } from '../api/client';
import { reportOn, startMailServer, type TestMailServer } from '../mail-server';
import { control, launch, open, troubles, until, words } from './browser';

/** Messages that leave the house, and come back: a house with a mail server. */
describe('mails', () => {
  let browser: Browser;
  let mails: TestMailServer;
  let server: Served;
  let visit = 0;
  let client = 0;
  const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-mail-'));

  beforeAll(async () => {
    browser = await launch();
    mails = await startMailServer();
    server = await startServer({
      data: path.join(folder, 'data'),
      env: {
        VELVET_STONE_SMTP: mails.url,
        VELVET_STONE_MAIL_FROM: 'visits@house.example',
        VELVET_STONE_BOUNCE_TOKEN: 'a-long-secret',
      },
    });
  }, 120_000);
  afterAll(async () => {
    await browser.close();
    await server.stop();
    await mails.close();
    rmSync(folder, { recursive: true, force: true });
  });

  const ofOlga = () => mails.got.filter(({ to }) => to === 'olga@post.example');

  it('go to whoever said so on their record, with an entry for their own calendar', async () => {
    client = (await post('/api/clients', { name: 'Olga Postmann', email: 'olga@post.example' }, server.url)).body.id;
    const record = await open(browser, `${server.url}/clients/${client}`, undefined, 'assistant');
    await words(record, 'Ask before anything goes out by itself.');
    await record.select('select[name="messagesBy"]', 'mail');
    await control(record, 'button', 'Save').click();
    await words(record, 'said today');
    expect(troubles(record)).toEqual([]);
    await record.close();

    visit = await bookAnyTime({ clientId: client }, server.url);
    const desk = await open(browser, `${server.url}/outbox`, undefined, 'assistant');
    await words(desk, 'Mails go through 127.0.0.1');
    await words(desk, 'Olga Postmann');
    await words(desk, 'invitation');
    await control(desk, 'button', 'Send the mails now').click();
    await until(desk, () => /\d+ mails? sent\./.test(document.body.innerText));
    expect(troubles(desk)).toEqual([]);
    await desk.close();
    const [mail] = ofOlga();
    expect(mail?.mail.subject).toBe('Booked for you');
    expect(mail?.raw).toContain('method=REQUEST');
    expect(mail?.raw).not.toMatch(/swell|drain|lymph/i);
  }, 60_000);

  it('tell of a change by themselves, without anybody’s pressing', async () => {
    const found = await post('/api/reminders', { kind: 'send-due' }, server.url);
    expect([found.status, JSON.stringify(found.body)]).toEqual([
      400,
      expect.stringContaining('A mail server is connected'),
    ]);
    expect((await call('DELETE', `/api/visits/${visit}/booking`, undefined, server.url)).status).toBe(200);
    const since = Date.now();
    while (ofOlga().length < 2 && Date.now() - since < 40_000) await new Promise((resolve) => setTimeout(resolve, 250));
    expect(ofOlga()[1]?.mail.subject).toBe('Your visit is cancelled');
    expect(ofOlga()[1]?.raw).toContain('method=CANCEL');
  }, 60_000);

  it('come back as a report, and the message is open again with the reason', async () => {
    const [got] = ofOlga();
    if (!got) throw new Error('nothing was sent');
    const report = (token: string) =>
      fetch(`${server.url}/api/mail/reports/${token}`, { method: 'POST', body: reportOn(got) });
    expect((await report('guessed')).status).toBe(404);
    const answer = await report('a-long-secret');
    expect([answer.status, await answer.json()]).toEqual([200, { kind: 'saved', what: 'failed' }]);
    const desk = await open(browser, `${server.url}/outbox`, undefined, 'assistant');
    await words(desk, 'The mail came back: 550 5.1.1 no such mailbox Ring the client.');
    expect(troubles(desk)).toEqual([]);
    await desk.close();
  }, 60_000);

  it('leave nothing to play for a stand-in among the devices', async () => {
    const devices = await open(browser, `${server.url}/bench/devices`);
    await words(devices, 'connected to 127.0.0.1');
    expect(await devices.$$eval('button', (all) => all.map(({ innerText }) => innerText).join())).not.toMatch(
      /Let it fail|Send the/,
    );
    await devices.close();
  }, 60_000);
});
