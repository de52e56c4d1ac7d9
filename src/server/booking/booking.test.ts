import type { Minutes } from '../../core/quantities';
import { beforeEach, describe, expect, it } from 'vitest';
import type { VisitInput } from '../../contracts/record';
import { bookVisit, cancelVisit, moveVisit, proposeTimes } from './booking';
import { takeBackVisit } from './take-back';
import { lastDayOfNotes } from '../screening/last-day-of-notes';
import { addClearance, addFinding } from '../screening/save-finding';
import { actor, finding, now, openHouse, type TestHouse } from '../shared/test-house';
import { countOutbox, listReminders, settleReminders } from '../messages/outbox';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const at = (day: number, hour: number, minute = 0) => new Date(2026, 10, day, hour, minute).toISOString();
const wish = (change: Partial<VisitInput> = {}): VisitInput => ({
  clientId: house.client,
  therapistId: 1,
  startsAt: at(26, 10),
  minutes: 60,
  focus: ['leg.left'],
  purpose: 'swelling',
  ...change,
});
const times = async (change: { withStones?: boolean; minutes?: Minutes } = {}) =>
  (await proposeTimes(house.db, { from: now, minutes: 60, withStones: false, therapistIds: [1], ...change }, now)).map(
    ({ day, time, warmUpFrom }) => `${day} ${time}${warmUpFrom ? ` from ${warmUpFrom}` : ''}`,
  );

describe('proposals', () => {
  it('leave a quarter of an hour after the visit of nine o’clock, and close the day whole', async () => {
    // 9:00–9:45 is taken and tidied until 10:00; the end of the day is the other place without a gap.
    expect((await times()).slice(0, 2)).toEqual(['Wed 25 Nov 10:00', 'Wed 25 Nov 17:00']);
  });

  it('say when stones go into the bath, never before the hours begin', async () => {
    const proposals = await times({ withStones: true });
    expect(proposals[0]).toBe('Wed 25 Nov 10:00 from 9:20');
    expect(proposals.every((text) => !/ 9:[0-3]/.test(text.split(' from ')[0] ?? ''))).toBe(true);
  });

  it('are none for a visit that is longer than a day', async () => {
    expect(await times({ minutes: 600 })).toEqual([]);
  });
});

describe('booking', () => {
  it('refuses a time that is taken, an area and a person that are not there, and changes nothing', async () => {
    const refused = async (change: Partial<VisitInput>) => {
      const result = await bookVisit(house.db, wish(change), actor);
      return result.kind === 'refused' ? result.errors.map(({ path }) => path) : result.kind;
    };
    expect(await refused({ startsAt: at(25, 9, 30) })).toEqual(['startsAt']);
    expect(await refused({ focus: ['tail'] })).toEqual(['focus.0']);
    expect(await refused({ clientId: 99 })).toEqual(['clientId']);
    expect(await refused({ therapistId: 99 })).toEqual(['therapistId']);
    expect(await house.db.selectFrom('visit').select('id').execute()).toHaveLength(1);
  });

  it('books a row all or none', async () => {
    const taken = await bookVisit(house.db, wish({ startsAt: at(18, 9), repeat: { everyDays: 7, times: 3 } }), actor);
    expect(taken).toMatchObject({ kind: 'refused', errors: [{ path: 'startsAt' }] });
    const row = await bookVisit(house.db, wish({ repeat: { everyDays: 14, times: 3 } }), actor);
    if (row.kind !== 'saved') throw new Error(row.kind);
    const starts = await house.db
      .selectFrom('visit')
      .select(['starts_at', 'series'])
      .where('id', 'in', [...row.ids])
      .orderBy('starts_at')
      .execute();
    expect(starts.map((v) => v.starts_at)).toEqual([at(26, 10), at(40, 10), at(54, 10)]);
    expect(new Set(starts.map((v) => v.series)).size).toBe(1);
  });

  it('books a row by days, on open days only, and says what lies later than its turn', async () => {
    // Thursday; three days on is Sunday, on which nobody works.
    const row = await bookVisit(house.db, wish({ repeat: { everyDays: 3, times: 3 } }), actor);
    if (row.kind !== 'saved') throw new Error(row.kind);
    const rows = await house.db
      .selectFrom('visit')
      .select('starts_at')
      .where('id', 'in', [...row.ids])
      .execute();
    expect(rows.map((v) => v.starts_at)).toEqual([at(26, 10), at(30, 10), at(32, 10)]);
    expect(row.said).toContain('One visit lies later');
  });

  it('ends a row before a note on record runs out, and says so', async () => {
    const placed = await addFinding(house.db, house.client, finding({ id: 'heart-failure-treated' }), actor);
    if (placed.kind !== 'saved') throw new Error(placed.kind);
    const note = { date: '2026-11-20', modalities: 'all' as const, writtenBy: 'Dr Moss', words: 'fine', limits: {} };
    await addClearance(house.db, house.client, placed.finding.key, note, actor);
    const until = await lastDayOfNotes(house.db, house.client, '2026-11-26', ['lymph-drainage']);
    expect(until).toBeDefined();
    const row = await bookVisit(house.db, wish({ repeat: { everyDays: 28, times: 12 } }), actor);
    if (row.kind !== 'saved') throw new Error(row.kind);
    expect(row.ids.length).toBeLessThan(12);
    expect(row.said).toContain(`${row.ids.length} of 12 are booked`);
    const last = await house.db
      .selectFrom('visit')
      .select('starts_at')
      .where('id', 'in', [...row.ids])
      .orderBy('id', 'desc')
      .executeTakeFirst();
    expect((last?.starts_at ?? '').slice(0, 10) <= (until ?? '')).toBe(true);
    // A note that has run out by the first visit ends nothing: that day is for the check to say.
    expect(await lastDayOfNotes(house.db, house.client, '2029-01-01', ['lymph-drainage'])).toBeUndefined();
  });

  it('is not ended by a note about other work', async () => {
    const placed = await addFinding(house.db, house.client, finding({ id: 'heart-failure-treated' }), actor);
    if (placed.kind !== 'saved') throw new Error(placed.kind);
    const note = { date: '2026-11-20', modalities: ['aromatherapy'], writtenBy: 'Dr Moss', words: 'fine', limits: {} };
    await addClearance(house.db, house.client, placed.finding.key, note, actor);
    const row = await bookVisit(house.db, wish({ repeat: { everyDays: 28, times: 12 } }), actor);
    expect(row).toMatchObject({ kind: 'saved', said: null });
  });

  it('keeps the hour of the house when the clocks change between two visits of a row', async () => {
    const row = await bookVisit(
      house.db,
      wish({ startsAt: new Date(2027, 2, 24, 10).toISOString(), repeat: { everyDays: 7, times: 2 } }),
      actor,
    );
    if (row.kind !== 'saved') throw new Error(row.kind);
    const visits = await house.db
      .selectFrom('visit')
      .select('starts_at')
      .where('id', 'in', [...row.ids])
      .execute();
    expect(visits.map((v) => new Date(v.starts_at).getHours())).toEqual([10, 10]);
  });
});

describe('moving and cancelling', () => {
  it('moves the reminder along and counts the change for calendars', async () => {
    const booked = await bookVisit(house.db, wish(), actor);
    if (booked.kind !== 'saved') throw new Error(booked.kind);
    await moveVisit(house.db, booked.id, { startsAt: at(27, 11), therapistId: 2 }, actor);
    const row = await house.db.selectFrom('visit').selectAll().where('id', '=', booked.id).executeTakeFirstOrThrow();
    expect(row).toMatchObject({ starts_at: at(27, 11), therapist_id: 2, sequence: 1, moved_from: at(26, 10) });
    const reminders = (await listReminders(house.db, now)).filter(({ visitId }) => visitId === booked.id);
    expect(reminders.map(({ state }) => state).sort()).toEqual(['cancelled', 'waiting']);
    expect(reminders.find(({ state }) => state === 'waiting')?.words).toContain('Friday 27 November at 11:00');
  });

  it('cancels one of a row, or it and all later ones; never one that has begun', async () => {
    const row = await bookVisit(house.db, wish({ repeat: { everyDays: 7, times: 4 } }), actor);
    if (row.kind !== 'saved') throw new Error(row.kind);
    expect(await cancelVisit(house.db, row.ids[0] ?? 0, '', false, actor)).toMatchObject({ cancelled: 1 });
    expect(await cancelVisit(house.db, row.ids[2] ?? 0, 'ill', true, actor)).toMatchObject({ cancelled: 2 });
    expect((await cancelVisit(house.db, row.ids[2] ?? 0, '', false, actor)).kind).toBe('not-found');
    await house.db.updateTable('visit').set({ stage: 'table' }).where('id', '=', house.visit).execute();
    expect((await cancelVisit(house.db, house.visit, '', false, actor)).kind).toBe('refused');
    expect((await moveVisit(house.db, house.visit, { startsAt: at(27, 9), therapistId: 1 }, actor)).kind).toBe(
      'refused',
    );
  });
});

describe('the outbox', () => {
  it('sends what is due and keeps what went wrong until it is tried again', async () => {
    await bookVisit(house.db, wish({ startsAt: at(30, 9) }), actor);
    expect(await countOutbox(house.db, now)).toEqual({ due: 1, failed: 0 });
    const [first] = await listReminders(house.db, now);
    await settleReminders(house.db, { kind: 'fail', id: first?.id ?? 0 }, now);
    expect(await countOutbox(house.db, now)).toEqual({ due: 0, failed: 1 });
    expect(await settleReminders(house.db, { kind: 'send-due' }, now)).toMatchObject({ settled: 0 });
    expect(await settleReminders(house.db, { kind: 'send', id: first?.id ?? 0 }, now)).toMatchObject({ settled: 1 });
    expect((await listReminders(house.db, now)).map(({ state }) => state)).toEqual(['waiting', 'sent']);
  });

  it('has nothing for a client who can be reached neither way', async () => {
    await house.db.updateTable('client').set({ phone: '', email: '' }).execute();
    const before = (await listReminders(house.db, now)).length;
    await bookVisit(house.db, wish(), actor);
    expect(await listReminders(house.db, now)).toHaveLength(before);
  });
});

describe('a cancellation that was a slip', () => {
  const bookedOf = async (change: Partial<VisitInput> = {}) => {
    const booked = await bookVisit(house.db, wish(change), actor);
    if (booked.kind !== 'saved') throw new Error(JSON.stringify(booked));
    return booked.ids;
  };
  const waiting = async () => (await listReminders(house.db, now)).filter(({ state }) => state === 'waiting').length;

  it('is taken back: the visit stands, and so does its reminder', async () => {
    const [id = 0] = await bookedOf();
    const before = await waiting();
    await cancelVisit(house.db, id, 'ill', false, actor);
    expect(await takeBackVisit(house.db, id, actor)).toEqual({ kind: 'saved', takenBack: 1 });
    expect(await waiting()).toBe(before);
    expect((await bookVisit(house.db, wish(), actor)).kind).toBe('refused');
    expect((await takeBackVisit(house.db, id, actor)).kind).toBe('not-found');
  });

  it('is taken back for the whole row that went with it, and for nothing that was cancelled before', async () => {
    const ids = await bookedOf({ repeat: { everyDays: 7, times: 4 } });
    const later = { ...actor, now: new Date(now.getTime() + 60_000) };
    await cancelVisit(house.db, ids[0] ?? 0, '', false, actor);
    await cancelVisit(house.db, ids[1] ?? 0, '', true, later);
    expect(await takeBackVisit(house.db, ids[2] ?? 0, later)).toEqual({ kind: 'saved', takenBack: 3 });
    expect(await takeBackVisit(house.db, ids[0] ?? 0, later)).toEqual({ kind: 'saved', takenBack: 1 });
  });

  it('is not taken back once somebody else has the time, or it is over; then nothing is', async () => {
    const ids = await bookedOf({ repeat: { everyDays: 7, times: 2 } });
    await cancelVisit(house.db, ids[0] ?? 0, '', true, actor);
    await bookedOf({ startsAt: new Date(Date.parse(at(26, 10)) + 7 * 86_400_000).toISOString() });
    expect(await takeBackVisit(house.db, ids[0] ?? 0, actor)).toMatchObject({ kind: 'refused' });
    expect((await bookVisit(house.db, wish(), actor)).kind).toBe('saved');
    const [past = 0] = await bookedOf({ startsAt: at(27, 10) });
    await cancelVisit(house.db, past, '', false, actor);
    expect(await takeBackVisit(house.db, past, { ...actor, now: new Date(2026, 10, 28) })).toMatchObject({
      kind: 'refused',
      errors: [{ message: 'Its time is over: book a new visit.' }],
    });
  });
});
