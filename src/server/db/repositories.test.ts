import { closing, taping } from '../shared/test-house';
import {
  insertTaping,
  lastTapingBefore,
  latestTaping,
  listTapingsOfClient,
  listTapingsOfVisit,
  toTaping,
} from '../measures/tapings.repository';
import { beforeEach, describe, expect, it } from 'vitest';
import { defaultSchool } from '../../core/drainage/case';
import { type Db, openDatabase } from './connection';
import { endFinding, insertFinding, listFindings } from '../screening/findings.repository';
import { findClient, insertClient, searchClients, setArchived } from '../clients/clients.repository';
import { findHouse, insertHouse, insertTherapist, listBookable, listTherapists } from '../people/people.repository';
import { insertClosing, latestClosing, latestClosingsOf } from '../visits/closings.repository';
import { findEndsOf, insertEvents, listEvents } from '../table/table-events.repository';
import {
  countEarlierOf,
  countVisits,
  insertVisit,
  lastTreatedBefore,
  listVisits,
  setStage,
} from '../visits/visits.repository';

const at = '2026-11-25T08:00:00.000Z';
let db: Db;
let client: number;
let therapist: number;

const visitAt = (startsAt: string) =>
  insertVisit(db, {
    clientId: client,
    therapistId: therapist,
    startsAt,
    minutes: 45,
    focus: ['leg.left'],
    purpose: 'swelling',
  });

beforeEach(async () => {
  db = openDatabase(':memory:');
  therapist = await insertTherapist(db, {
    name: 'Ida Moor',
    initials: 'IM',
    title: 'Owner',
    room: 'Room 1',
    qualifications: ['massage'],
  });
  client = await insertClient(db, { name: 'Zoë Ahorn', bornOn: null, phone: '0700 123 456', note: '' }, at);
});

describe('the house', () => {
  it('is undefined until it is set up, and there is only one', async () => {
    expect(await findHouse(db)).toBeUndefined();
    await insertHouse(db, { name: 'A', scenario: '', school: defaultSchool }, at);
    expect(await findHouse(db)).toMatchObject({ name: 'A', school: defaultSchool });
    await expect(insertHouse(db, { name: 'B', scenario: '', school: defaultSchool }, at)).rejects.toThrow('UNIQUE');
  });

  it('lists therapists with what they hold', async () => {
    expect(await listTherapists(db)).toMatchObject([{ id: therapist, qualifications: ['massage'] }]);
  });

  it('books nobody with those who have left or only keep the desk, but still names them', async () => {
    const common = { initials: 'XX', title: '', room: '', qualifications: [] };
    await insertTherapist(db, { ...common, name: 'Desk', role: 'assistant' });
    const left = await insertTherapist(db, { ...common, name: 'Gone' });
    await db.updateTable('therapist').set({ left_at: at }).where('id', '=', left).execute();
    expect((await listBookable(db)).map(({ name }) => name)).toEqual(['Ida Moor']);
    expect((await listTherapists(db)).map(({ name }) => name)).toEqual(['Ida Moor', 'Desk', 'Gone']);
  });
});

describe('clients', () => {
  const names = async (text: string) => (await searchClients(db, text, 10)).map((row) => row.name);

  it('are found by each word, by digits of the number and by mail, and never by a wildcard', async () => {
    await insertClient(db, { name: 'Zora Birke', email: 'zora@brook.example' }, at);
    expect(await names('zo')).toEqual(['Zoë Ahorn', 'Zora Birke']);
    expect(await names('ahorn zoe')).toEqual(['Zoë Ahorn']);
    expect(await names('123456')).toEqual(['Zoë Ahorn']);
    expect(await names('zora@brook')).toEqual(['Zora Birke']);
    expect(await names("'; drop table client; --")).toEqual([]);
    expect(await names('" OR name:* NEAR(')).toEqual([]);
    expect(await names('*')).toHaveLength(2);
    expect(await findClient(db, client)).toBeDefined();
  });

  it('are found in spite of a typing error, but what fits exactly comes first', async () => {
    await insertClient(db, { name: 'Ahrens Marek' }, at);
    await insertClient(db, { name: 'Löwenherz Jördis' }, at);
    for (const mistyped of ['ahron', 'ahirn', 'ahrn', 'aohrn', 'ohorn', 'ahorrn'])
      expect(await names(mistyped), mistyped).toContain('Zoë Ahorn');
    expect(await names('lowenhertz')).toEqual(['Löwenherz Jördis']);
    expect(await names('jordsi')).toEqual(['Löwenherz Jördis']);
    expect((await names('ahorn'))[0]).toBe('Zoë Ahorn');
    expect(await names('xqzvkw')).toEqual([]);
  });

  it('are found as they are now, not as they were', async () => {
    await db
      .updateTable('client')
      .set({ name: 'Zoë Linde', search_name: 'zoe linde' })
      .where('id', '=', client)
      .execute();
    expect(await names('ahorn')).toEqual([]);
    expect(await names('linde')).toEqual(['Zoë Linde']);
    await db.deleteFrom('client').where('id', '=', client).execute();
    expect(await names('linde')).toEqual([]);
  });

  it('stand at the end once they are in the archive', async () => {
    await insertClient(db, { name: 'Zora Birke' }, at);
    await setArchived(db, client, at);
    expect((await searchClients(db, 'zo', 10)).map((row) => [row.name, row.archived_at !== null])).toEqual([
      ['Zora Birke', false],
      ['Zoë Ahorn', true],
    ]);
  });

  it('carry their last closed visit', async () => {
    const visit = await visitAt('2026-10-01T09:00:00.000Z');
    expect((await searchClients(db, 'zoe', 1))[0]?.last_visit).toBeNull();
    await setStage(db, visit, 'done', at);
    expect((await searchClients(db, 'zoe', 1))[0]?.last_visit).toBe('2026-10-01T09:00:00.000Z');
  });
});

describe('findings', () => {
  it('come back as they were placed, without those that ended', async () => {
    const key = await insertFinding(
      db,
      client,
      { id: 'scar', crosses: [['pubic.left', 'pubic.right']], sinceOn: '2024-01-01', note: 'low' },
      therapist,
      at,
    );
    await insertFinding(db, client, { id: 'cancer-history', sinceOn: null, note: '' }, null, at);
    expect(await listFindings(db, client)).toMatchObject([
      { key, id: 'scar', crosses: [['pubic.left', 'pubic.right']], sinceOn: '2024-01-01', note: 'low' },
      { key: key + 1, id: 'cancer-history', sinceOn: null, note: '', isUnsure: false, clearance: null },
    ]);
    expect(await endFinding(db, client, key, therapist, at)).toBe(true);
    expect(await endFinding(db, client, key, therapist, at)).toBe(false);
    expect(await endFinding(db, client + 1, key + 1, therapist, at)).toBe(false);
    expect(await listFindings(db, client)).toHaveLength(1);
  });
});

describe('visits', () => {
  it('are listed by time, from the start of a day up to, not into, the next', async () => {
    for (const time of ['2026-11-25T15:00:00.000Z', '2026-11-25T09:00:00.000Z', '2026-11-26T00:00:00.000Z'])
      await visitAt(time);
    const day = ['2026-11-25T00:00:00.000Z', '2026-11-26T00:00:00.000Z'] as const;
    expect((await listVisits(db, ...day)).map((row) => row.starts_at)).toEqual([
      '2026-11-25T09:00:00.000Z',
      '2026-11-25T15:00:00.000Z',
    ]);
    expect(await countVisits(db, ...day)).toBe(2);
  });

  it('know how many their client had before, the cancelled and the later not counted', async () => {
    const [first, second, third] = [
      await visitAt('2026-11-01T09:00:00.000Z'),
      await visitAt('2026-11-08T09:00:00.000Z'),
      await visitAt('2026-11-15T09:00:00.000Z'),
    ];
    await db.updateTable('visit').set({ cancelled_at: at }).where('id', '=', second).execute();
    expect(await countEarlierOf(db, [first, third])).toEqual(
      new Map([
        [first, 0],
        [third, 1],
      ]),
    );
    expect(await countEarlierOf(db, [])).toEqual(new Map());
  });

  it('tell when a client was last treated, not merely booked', async () => {
    const done = await visitAt('2026-11-01T09:00:00.000Z');
    await visitAt('2026-11-08T09:00:00.000Z');
    await setStage(db, done, 'done', at);
    expect(await lastTreatedBefore(db, client, '2026-11-15T09:00:00.000Z')).toBe('2026-11-01T09:00:00.000Z');
    expect(await lastTreatedBefore(db, client, '2026-11-01T09:00:00.000Z')).toBeNull();
  });

  it('have their newest closing, one by one or together', async () => {
    const [closed, open] = [await visitAt(at), await visitAt('2026-11-26T08:00:00.000Z')];
    const answers = closing({ pressure: 0, comfort: 7, redness: null, basedOn: 0 });
    await insertClosing(db, closed, 1, answers, therapist, at);
    await insertClosing(db, closed, 2, { ...answers, comfort: 9 }, therapist, at);
    expect(await latestClosing(db, closed)).toMatchObject({ version: 2, comfort: 9 });
    expect(await latestClosing(db, open)).toBeUndefined();
    const together = await latestClosingsOf(db, [closed, open]);
    expect([...together.keys()]).toEqual([closed]);
    expect(together.get(closed)).toEqual(await latestClosing(db, closed));
  });

  it('cannot be of nobody, nor last no time', async () => {
    const visit = {
      clientId: 99,
      therapistId: therapist,
      startsAt: at,
      minutes: 45,
      focus: ['face'],
      purpose: 'sinus',
    } as const;
    await expect(insertVisit(db, { ...visit, focus: [...visit.focus] })).rejects.toThrow('FOREIGN KEY');
    await expect(insertVisit(db, { ...visit, focus: [...visit.focus], clientId: client, minutes: 0 })).rejects.toThrow(
      'CHECK',
    );
  });

  it('refuse values of the wrong kind: the tables are strict', async () => {
    const visit = await visitAt(at);
    await expect(
      db
        .updateTable('visit')
        .set({ minutes: 'long' as unknown as number })
        .where('id', '=', visit)
        .execute(),
    ).rejects.toThrow();
    await expect(setStage(db, visit, 'asleep' as 'done')).rejects.toThrow('CHECK');
  });
});

describe('tapings', () => {
  const input = taping({
    phase: 'before',
    limb: 'leg',
    side: 'left',
    unit: 'cm',
    method: 'frustum',
    positions: [0, 4],
    affected: [22, null],
    reference: [21, 22],
    basedOn: 0,
  });
  const common = { source: 'typed', volume: null, by: null, now: at } as const;

  it('give the newest version, and each version once', async () => {
    const visitId = await visitAt(at);
    const insert = (version: number, girth: number) =>
      insertTaping(db, {
        ...common,
        clientId: client,
        visitId,
        takenAt: at,
        version,
        taping: { ...input, affected: [girth, null] },
      });
    await insert(1, 22);
    await insert(2, 23);
    await expect(insert(2, 24)).rejects.toThrow('UNIQUE');
    expect((await latestTaping(db, visitId, 'before', 'leg'))?.affected_json).toBe('[23,null]');
    expect(await latestTaping(db, visitId, 'before', 'arm')).toBeUndefined();
    expect(await latestTaping(db, visitId, 'after', 'leg')).toBeUndefined();
    expect((await listTapingsOfClient(db, client)).map((row) => row.version)).toEqual([2]);
  });

  it('settle two readings and tell where they disagree', async () => {
    const visitId = await visitAt(at);
    const twice = { ...input, affected: [22, 23], second: { affected: [22.4, 24.2], reference: [null, null] } };
    await insertTaping(db, { ...common, clientId: client, visitId, takenAt: at, version: 1, taping: twice });
    const [row] = await listTapingsOfVisit(db, visitId);
    const view = row && toTaping(row, null);
    expect(view?.affected[0]).toBeCloseTo(22.2);
    expect(view?.unresolved).toEqual({ affected: [1], reference: [] });
    expect(view?.first.affected).toEqual([22, 23]);
  });

  it('need no visit, and find the last one before a moment', async () => {
    const apart = (takenAt: string, phase: 'before' | 'after') =>
      insertTaping(db, {
        ...common,
        clientId: client,
        visitId: null,
        takenAt,
        version: 1,
        taping: { ...input, phase },
        source: 'import',
      });
    await apart('2026-01-05T12:00:00.000Z', 'before');
    await apart('2026-01-05T13:00:00.000Z', 'after');
    await apart('2026-02-05T12:00:00.000Z', 'before');
    await expect(apart('2026-02-05T12:00:00.000Z', 'before')).rejects.toThrow('UNIQUE');
    expect((await lastTapingBefore(db, client, '2026-02-01', 0))?.taken_at).toBe('2026-01-05T12:00:00.000Z');
    expect(await lastTapingBefore(db, client, '2026-01-01', 0)).toBeUndefined();
  });
});

describe('events of the table', () => {
  it('keep the order in which they came, each once', async () => {
    const visit = await visitAt(at);
    const event = (id: string) => ({ id, kind: 'start' as const, stepId: 's1', at, planVersion: 1 });
    await insertEvents(db, visit, [event('b'), event('a')], at);
    await insertEvents(db, visit, [event('a'), event('c')], at);
    await insertEvents(db, visit, [], at);
    expect((await listEvents(db, visit)).map((e) => e.id)).toEqual(['b', 'a', 'c']);
  });

  it('tell when treatments came to their end, the first time, by the device that led', async () => {
    const [ended, followed, open] = [await visitAt(at), await visitAt(at), await visitAt(at)];
    const finish = (id: string, minute: number) => ({
      ...{ id, kind: 'finish' as const, stepId: null, planVersion: 1 },
      at: `2026-11-25T09:0${minute}:00.000Z`,
    });
    await insertEvents(db, ended, [finish('end-1', 1), finish('end-2', 5)], at);
    await insertEvents(db, followed, [finish('end-3', 1)], at, { deviceId: 'another-one', isAside: true });
    expect(await findEndsOf(db, [ended, followed, open])).toEqual(new Map([[ended, '2026-11-25T09:01:00.000Z']]));
  });
});
