import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import type { MailView, ReminderView } from '../../contracts/house-views';
import { now, openHouse, type TestHouse } from '../../server/shared/test-house';
import { readHouse } from '../../server/house/read-house';
import { listReminders } from '../../server/messages/outbox';
import { Outbox } from '../outbox/Outbox';
import { House } from './House';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const noFilter = { by: '', about: '', action: '', until: '' };
const shown = async (part: 'people' | 'consent' | 'audit', page = 1) =>
  renderToStaticMarkup(<House view={await readHouse(house.db, { page })} part={part} filter={noFilter} page={page} />);

describe('the house of its owner', () => {
  it('lists people with what they may, hold and sign in as', async () => {
    const html = await shown('people');
    expect(html).toContain('Owner: everything, and the house itself');
    expect(html).toContain('signs in as ida');
    expect(html).toContain('Lymphoedema therapy, certified');
    expect(html).toContain('no password yet');
    expect(html).not.toContain('$argon2id$');
  });

  it('still names those who have left, and when', async () => {
    await house.db.updateTable('therapist').set({ left_at: now.toISOString() }).where('id', '=', 2).execute();
    expect(await shown('people')).toContain('left on 25 Nov 2026');
  });

  it('shows the wording that clients sign, with its version', async () => {
    const html = await shown('consent');
    expect(html).toContain('version 1');
    expect(html).toContain('I may stop, change or refuse any part');
    expect(html).toContain('Save as version 2');
  });

  it('shows the trail with names that lead to clients, and pages that end', async () => {
    const html = await shown('audit');
    expect(html).toContain('visit booked');
    expect(html).toContain(`href="/clients/${house.client}"`);
    expect(html).not.toContain('Older →');
    expect(await shown('audit', 2)).toContain('← Newer');
    expect(await shown('audit', 2)).toContain('No entry matches.');
  });
});

describe('the outbox', () => {
  const outbox = (reminders: readonly ReminderView[], mail: MailView | null = null) =>
    renderToStaticMarkup(<Outbox initial={reminders} mail={mail} />);

  it('sends nothing by itself and says so, also when it is empty', () => {
    expect(outbox([])).toContain('send it there, and say here that it is sent');
    expect(outbox([])).toContain('Nothing waits.');
    expect(outbox([])).not.toContain('<button');
  });

  it('shows what is due, to whom and in which words', async () => {
    const html = outbox(await listReminders(house.db, now));
    expect(html).toContain('text to 0700 1');
    expect(html).toContain('we expect you on Wednesday 25 November at 9:00');
    expect(html).toContain('href="sms:07001?body=Haus%20am%20Bach');
    expect(html).toContain('aria-label="Write the text: Zoë Ahorn"');
    expect(html).toContain('It did not arrive');
  });

  it('tells what failed from what was sent and what was cancelled', async () => {
    const [one] = await listReminders(house.db, now);
    if (!one) throw new Error('no reminder');
    const as = (state: ReminderView['state']) => outbox([{ ...one, state, trouble: 'No answer.', settled: 'today' }]);
    expect(as('failed')).toContain('It is sent');
    expect(as('failed')).toContain('No answer.');
    expect(outbox([{ ...one, state: 'sent', trouble: '', settled: 'today' }])).toMatch(/sent, today(?!.*No answer)/s);
    expect(as('cancelled')).toContain('not sent, nothing to say any more');
  });

  it('tells of a delay at what was sent, of a second try and of whoever has not been asked', async () => {
    const [one] = await listReminders(house.db, now);
    if (!one) throw new Error('no reminder');
    expect(outbox([{ ...one, state: 'sent', trouble: 'Goes on trying.' }])).toContain('Goes on trying.');
    const waiting = { ...one, isAsked: true, isByItself: true, channel: 'mail' } as const;
    expect(outbox([{ ...waiting, trouble: 'Busy.', nextTry: 'today, 8:05' }])).toContain(
      'Busy. It is tried again today, 8:05.',
    );
    expect(outbox([waiting])).toContain('Goes out by itself.');
    expect(outbox([waiting])).not.toContain('Nobody has asked');
    expect(outbox([{ ...one, isAsked: false }])).toContain('Nobody has asked yet');
  });

  it('says by which server mails go, what is in its way, and sends what is due at a press', async () => {
    const [one] = await listReminders(house.db, now);
    if (!one) throw new Error('no reminder');
    const mail = { server: 'mail.house.example', from: 'a@house.example', last: 'today, 8:00', trouble: '', since: '' };
    const due = { ...one, isByItself: true, isDue: true, channel: 'mail' } as const;
    expect(outbox([due], mail)).toMatch(
      /Mails go through mail\.house\.example\..*The last one: today, 8:00.*Send the mails now/s,
    );
    expect(outbox([{ ...due, isDue: false }], mail)).not.toContain('Send the mails now');
    const broken = outbox([due], { ...mail, trouble: 'nobody answers', since: 'today, 7:00' });
    expect(broken).toMatch(
      /role="alert".*No mail gets through mail\.house\.example since today, 7:00: nobody answers/s,
    );
  });
});
