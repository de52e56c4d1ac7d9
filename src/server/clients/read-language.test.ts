import { beforeEach, describe, expect, it } from 'vitest';
import { bookVisit } from '../booking/booking';
import { listReminders, settleReminders } from '../messages/outbox';
import { readHome } from '../home/home-sheets';
import { readMix, startMix } from '../oils/mix-oils';
import { changeHouseFacts } from '../people/read-facts';
import { signConsent } from '../screening/answer-intake';
import { readWording, readWordingIn } from '../screening/wording';
import { saveWording } from '../screening/save-wording';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { readTablet } from '../visits/read-tablet';
import { findClient, toClientData } from './clients.repository';
import { readLanguage } from './read-language';
import { correctClient } from './save-client';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const reads = async (language: '' | 'en' | 'de') => {
  const row = await findClient(house.db, house.client);
  if (!row) throw new Error('no client');
  const saved = await correctClient(
    house.db,
    house.client,
    { ...toClientData(row), language, basedOn: row.version },
    actor,
  );
  expect(saved.kind).toBe('saved');
};

describe('a client who reads German', () => {
  it('is told apart from the house, which reads what it was set to', async () => {
    expect(await readLanguage(house.db, house.client)).toBe('en');
    await changeHouseFacts(house.db, { language: 'de' });
    expect(await readLanguage(house.db, house.client)).toBe('de');
    await reads('en');
    expect(await readLanguage(house.db, house.client)).toBe('en');
    expect(await readLanguage(house.db, null)).toBe('de');
  });

  it('is asked in German on the tablet, with the same conditions behind the questions', async () => {
    const inEnglish = await readTablet(house.db, house.visit);
    await reads('de');
    const view = await readTablet(house.db, house.visit);
    expect(view?.language).toBe('de');
    expect(view?.groups[0]?.ask).toBe('Haben Sie etwas an Herz, Gefäßen oder Blutdruck, oder Schwellungen?');
    const ids = (one: typeof view) => one?.groups.flatMap(({ questions }) => questions.map(({ id }) => id));
    expect(ids(view)).toEqual(ids(inEnglish));
    const asked = view?.groups.flatMap(({ questions }) => questions.map(({ ask }) => ask)) ?? [];
    const before = new Set(inEnglish?.groups.flatMap(({ questions }) => questions.map(({ ask }) => ask)));
    expect(asked.filter((ask) => before.has(ask))).toEqual([]);
  });

  it('signs the German wording, and the record says so', async () => {
    await reads('de');
    const wording = (await readTablet(house.db, house.visit))?.wording;
    expect(wording?.paragraphs[0]).toContain('Mir wurde erklärt');
    const signed = { areas: [], signer: 'client', name: 'Zoë Ahorn', drawing: null, wordingVersion: 1 } as const;
    expect((await signConsent(house.db, house.visit, { ...signed, areas: [], language: 'de' }, actor)).kind).toBe(
      'saved',
    );
    const row = await house.db.selectFrom('consent').selectAll().executeTakeFirstOrThrow();
    expect(row).toMatchObject({ language: 'de', wording_version: 1 });
  });

  it('reads the house’s own wording in English as long as it has none in German', async () => {
    const { version } = await readWording(house.db);
    const own = { paragraphs: ['Only what we agreed on.'], others: {}, basedOn: version };
    expect((await saveWording(house.db, own, actor)).kind).toBe('saved');
    expect(await readWordingIn(house.db, 'de')).toMatchObject({ language: 'en', paragraphs: own.paragraphs });
    const shown = {
      areas: [],
      signer: 'client',
      name: 'Zoë Ahorn',
      drawing: null,
      wordingVersion: version + 1,
    } as const;
    await signConsent(house.db, house.visit, { ...shown, areas: [], language: 'de' }, actor);
    const row = await house.db.selectFrom('consent').select('language').executeTakeFirstOrThrow();
    expect(row.language).toBe('en');
    const both = { ...own, others: { de: ['Nur, was wir vereinbart haben.'] }, basedOn: version + 1 };
    expect((await saveWording(house.db, both, actor)).kind).toBe('saved');
    expect(await readWordingIn(house.db, 'de')).toMatchObject({ language: 'de', paragraphs: both.others.de });
  });

  it('is reminded, labelled and sent home in German', async () => {
    await reads('de');
    const wish = { clientId: house.client, therapistId: 1, minutes: 60, focus: ['leg.left'], purpose: 'swelling' };
    const startsAt = new Date(2026, 10, 26, 10).toISOString();
    const booked = await bookVisit(house.db, { ...wish, purpose: 'swelling', startsAt }, actor);
    if (booked.kind !== 'saved') throw new Error(booked.kind);
    const reminder = (await listReminders(house.db, now)).find(({ visitId }) => visitId === booked.id);
    expect(reminder?.words).toContain('Wir erwarten Sie am Donnerstag, 26. November um 10:00 Uhr');

    // Said to be English before it went out: it goes out in English, and stays so.
    await reads('en');
    const words = async () => (await listReminders(house.db, now)).find(({ visitId }) => visitId === booked.id)?.words;
    expect(await words()).toContain('we expect you on Thursday 26 November at 10:00');
    await settleReminders(house.db, { kind: 'send', id: reminder?.id ?? 0 }, now);
    await reads('de');
    expect(await words()).toContain('we expect you on');

    const blend = {
      ...{ name: 'Abend', area: 'body' as const, volumeMl: 20, carrier: 'almond-sweet' },
      parts: [{ oil: 'lavender', drops: 4 }],
    } as const;
    const mix = await startMix(
      house.db,
      { blend: { ...blend, uses: [], parts: [...blend.parts] }, visitId: null, clientId: house.client },
      ['aromatherapy-clinical'],
      actor,
    );
    if (mix.kind !== 'saved') throw new Error(JSON.stringify(mix));
    const bottle = await readMix(house.db, mix.id, now);
    const label = bottle?.label.map(({ text }) => text).join(' ') ?? '';
    expect(label).toContain('Süßmandelöl (Prunus dulcis), Lavendel (Lavandula angustifolia) 4.');
    expect(label).toContain('haltbar bis');
    expect(bottle?.aftercare.at(-1)).toContain('abwaschen und uns anrufen');

    expect((await readHome(house.db, house.visit, now))?.first.language).toBe('de');
  });
});
