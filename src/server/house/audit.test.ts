import { beforeEach, describe, expect, it } from 'vitest';
import { eraseClient } from '../clients/erase-client';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { insertAudit } from './audit.repository';
import { noteRefusal, noteView, recordOf } from './note-view';
import { readAudit } from './read-audit';

/** Who did what: found again by person, client, kind and day; of what was erased only the number is left. */

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const written = (change: object = {}) =>
  insertAudit(house.db, {
    ...{ at: now.toISOString(), by: 1, action: 'record seen', subject: `client ${house.client}`, detail: '' },
    ...change,
  });
const entries = async (wish: object = {}) => (await readAudit(house.db, { page: 1, ...wish })).entries;
const idle = () => new Promise((resolve) => setTimeout(resolve, 30));

describe('the list of who did what', () => {
  it('names people and clients as they are called now', async () => {
    await written({ detail: 'progress' });
    const [first] = await entries({ action: 'record seen' });
    expect(first).toMatchObject({
      ...{ by: 'Ida Moor', action: 'record seen', subject: 'Zoë Ahorn', detail: 'progress', clientId: house.client },
    });
    expect(first?.when).toContain('25 Nov');
  });

  it('says “the house” for what nobody did, and the number of what is gone', async () => {
    await written({ by: null });
    await written({ subject: 'client 77' });
    await written({ subject: 'staff 2' });
    const seen = await entries({ action: 'record seen' });
    expect(seen.map(({ by, subject }) => [by, subject])).toEqual([
      ['Ida Moor', 'Bo Farn'],
      ['Ida Moor', 'client no. 77, no longer on record'],
      ['the house', 'Zoë Ahorn'],
    ]);
  });

  it('keeps no name of a client who was erased', async () => {
    await written();
    await eraseClient(house.db, house.client, 'Zoë Ahorn', actor);
    expect(JSON.stringify(await entries())).not.toContain('Ahorn');
  });

  it('is narrowed down by person, by a part of a name, by what was done, and by day', async () => {
    await written({ by: 2 });
    await written({ at: '2026-11-01T09:00:00.000Z', action: 'referral note made' });
    expect((await entries({ by: 2 })).map(({ by }) => by)).toEqual(['Bo Farn']);
    for (const { subject } of await entries({ about: 'ahor' })) expect(subject).toBe('Zoë Ahorn');
    expect((await entries({ action: 'referral' })).map(({ action }) => action)).toEqual(['referral note made']);
    expect((await entries({ until: '2026-11-02' })).map(({ action }) => action)).toEqual(['referral note made']);
    expect(await entries({ about: 'nobody of this name' })).toEqual([]);
  });

  it('comes in pages, and says whether there are more', async () => {
    for (let i = 0; i < 61; i += 1) await written({ detail: `look ${i}`, action: 'record seen' });
    const first = await readAudit(house.db, { page: 1, action: 'record seen' });
    expect([first.entries.length, first.hasMore]).toEqual([60, true]);
    const second = await readAudit(house.db, { page: 2, action: 'record seen' });
    expect([second.entries.length, second.hasMore]).toEqual([1, false]);
  });
});

describe('a look at a record', () => {
  it('is written down once in ten minutes, and again afterwards', async () => {
    const at = (minutes: number) => ({ ...actor, now: new Date(now.getTime() + minutes * 60_000) });
    const what = `/test ${Math.random()}`;
    for (const minutes of [0, 5, 11]) noteView(house.db, at(minutes), `client ${house.client}`, what);
    await idle();
    const seen = await entries({ action: 'record seen' });
    expect(seen.filter(({ detail }) => detail === what)).toHaveLength(2);
  });

  it('that was refused is written down too, with who asked', async () => {
    noteRefusal(house.db, { ...actor, therapistId: 2 }, `role: GET /test ${Math.random()}`);
    await idle();
    expect(await entries({ action: 'refused' })).toMatchObject([{ by: 'Bo Farn', subject: 'Bo Farn' }]);
  });
});

describe('whose record an address shows', () => {
  it.each([
    ['/clients/7', 'client 7'],
    ['/clients/7/progress', 'client 7'],
    ['/api/clients/7', 'client 7'],
    ['/visits/12/plan', 'visit 12'],
    ['/api/visits/12/close', 'visit 12'],
    ['/tablet/12', 'visit 12'],
    ['/bench/oils?visit=5', 'visit 5'],
    ['/bench/oils?client=5', 'client 5'],
    ['/api/stones?visit=5&client=6', 'visit 5'],
    ['/clients', undefined],
    ['/clients/new', undefined],
    ['/visits/12a', undefined],
    ['/bench/oils?visit=x', undefined],
    ['/day?visit=5', undefined],
    ['/', undefined],
  ])('%s: %s', (address, subject) => {
    expect(recordOf(new URL(`http://house.test${address}`))).toBe(subject);
  });
});
