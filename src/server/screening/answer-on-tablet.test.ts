import { beforeEach, describe, expect, it } from 'vitest';
import { correctClient } from '../clients/save-client';
import { findClient, toClientData } from '../clients/clients.repository';
import { readClient, readContact } from '../clients/read-client';
import { readDay } from '../visits/read-day';
import { readVisit } from '../visits/read-visit';
import { actor, admit, now, openHouse, type TestHouse } from '../shared/test-house';
import { answerIntake } from './answer-intake';
import { saveFeedback } from '../visits/close-visit';
import { answerOnTablet, signOnTablet } from './answer-on-tablet';
import { listIntakeAnswers } from './screening.repository';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const tablet = (input: Partial<Parameters<typeof answerOnTablet>[2]>) =>
  answerOnTablet(house.db, house.visit, { answers: [], ...input }, actor);
const answered = async () => (await listIntakeAnswers(house.db, house.client)).get('port')?.answer;

describe('a tablet in the hands of a client', () => {
  it('fills what is blank, and lets clients change what they said themselves', async () => {
    expect((await tablet({ answers: [{ condition: 'port', answer: 'yes' }] })).kind).toBe('saved');
    expect((await tablet({ answers: [{ condition: 'port', answer: 'no' }] })).kind).toBe('saved');
    expect(await answered()).toBe('no');
  });

  it('changes nothing that was answered with the therapist', async () => {
    await answerIntake(house.db, house.visit, { answers: [{ condition: 'port', answer: 'yes' }] }, actor);
    expect(await tablet({ answers: [{ condition: 'port', answer: 'no' }] })).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'answers.0.answer' }],
    });
    expect(await answered()).toBe('yes');
    expect((await tablet({ answers: [{ condition: 'port', answer: 'yes' }] })).kind).toBe('saved');
  });

  it('writes no birthday over the one on record, and none that cannot be', async () => {
    expect(await tablet({ bornOn: '1980-01-01' })).toMatchObject({ errors: [{ path: 'bornOn' }] });
    expect(await tablet({ bornOn: '1970-05-01' })).toMatchObject({ kind: 'saved' });
  });

  it('is over when the visit has begun', async () => {
    await admit(house.db, house.visit);
    await house.db.updateTable('visit').set({ stage: 'done' }).where('id', '=', house.visit).execute();
    expect(await tablet({ answers: [{ condition: 'port', answer: 'yes' }] })).toMatchObject({ kind: 'refused' });
  });

  it('signs no consent and says nothing of how it was once the record is closed', async () => {
    await admit(house.db, house.visit);
    await house.db.updateTable('visit').set({ stage: 'done' }).where('id', '=', house.visit).execute();
    const consent = {
      areas: [],
      signer: 'client',
      name: 'Zoë Ahorn',
      drawing: null,
      language: 'en',
      wordingVersion: 1,
    } as const;
    expect((await signOnTablet(house.db, house.visit, { ...consent, areas: [] }, actor)).kind).toBe('refused');
    expect((await saveFeedback(house.db, house.visit, { comfort: 3 }, actor)).kind).toBe('refused');
    expect((await signOnTablet(house.db, 9999, { ...consent, areas: [] }, actor)).kind).toBe('not-found');
  });

  it('is not there without its visit', async () => {
    expect(await answerOnTablet(house.db, 9999, { answers: [] }, actor)).toEqual({ kind: 'not-found' });
  });
});

describe('a birthday that cannot be', () => {
  const correct = async (bornOn: string) => {
    const client = await findClient(house.db, house.client);
    if (!client) throw new Error('no client');
    return correctClient(house.db, house.client, { ...toClientData(client), bornOn, basedOn: client.version }, actor);
  };

  it('is refused when something on the record, or a visit, happened before', async () => {
    expect(await correct('2024-01-01')).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'bornOn', message: expect.stringContaining('2023') }],
    });
    expect(await correct('1980-01-01')).toMatchObject({ kind: 'saved' });
  });

  it('that is on record all the same breaks no page: everything is shown, the age is left open', async () => {
    for (const bornOn of ['2099-01-01', '2026-11-26']) {
      await house.db.updateTable('client').set({ born_on: bornOn }).where('id', '=', house.client).execute();
      expect((await readDay(house.db, now, now)).visits).toHaveLength(1);
      expect((await readClient(house.db, house.client, now))?.client.name).toBe('Zoë Ahorn');
      expect((await readVisit(house.db, house.visit))?.client.name).toBe('Zoë Ahorn');
    }
  });
});

describe('what the front desk sees', () => {
  it('is the kind of work, and neither places nor why', async () => {
    const [visit] = (await readDay(house.db, now, now, false)).visits;
    expect(visit?.work).toBe('Lymph drainage');
    const contact = await readContact(house.db, house.client, now);
    expect([contact?.lastWork?.words, ...(contact?.booked.map(({ work }) => work) ?? [])].join()).not.toMatch(
      /swelling|leg|groin/i,
    );
    expect((await readDay(house.db, now, now)).visits[0]?.work).toMatch(/leg/);
  });
});
