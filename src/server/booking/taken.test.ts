import { addDays, addMinutes } from 'date-fns';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Db } from '../db/connection';
import { findStaff, insertTherapist } from '../people/people.repository';
import { actor, openHouse } from '../shared/test-house';
import { addClient } from '../clients/save-client';
import { bookVisit, moveVisit, proposeTimes } from './booking';

let db: Db;
let client: number;
let other: number;
beforeEach(async () => {
  ({ db, client } = await openHouse());
  other = (await addClient(db, { name: 'Ada Linde', bornOn: null, phone: '' }, actor)).id;
});
afterEach(() => vi.unstubAllEnvs());

const book = (startsAt: Date, change: object = {}) =>
  bookVisit(
    db,
    {
      ...{ clientId: client, therapistId: 1, startsAt: startsAt.toISOString(), minutes: 60 },
      ...{ focus: ['leg.left'], purpose: 'swelling' as const },
      ...change,
    },
    actor,
  );
const refusal = async (booking: ReturnType<typeof book>) => {
  const result = await booking;
  return result.kind === 'refused' ? result.errors[0]?.message : result.kind;
};

describe('a time that is taken', () => {
  const late = new Date(2026, 11, 2, 23, 30);

  it('is taken over midnight, too', async () => {
    expect((await book(late)).kind).toBe('saved');
    expect(await refusal(book(addMinutes(late, 45), { clientId: other }))).toMatch(/0:15 is taken/);
    expect(await refusal(book(addMinutes(late, 60), { clientId: other }))).toBe('saved');
    expect(await refusal(book(addMinutes(late, -45), { clientId: other }))).toMatch(/22:45 is taken/);
  });

  it('is taken for the client as well: nobody lies at two tables', async () => {
    const at = new Date(2026, 11, 3, 10, 0);
    expect((await book(at)).kind).toBe('saved');
    expect(await refusal(book(addMinutes(at, 30), { therapistId: 2 }))).toMatch(/client has another visit/);
    expect(await refusal(book(addMinutes(at, 60), { therapistId: 2 }))).toBe('saved');
  });

  it('cannot be moved into, but a visit may stay where it is', async () => {
    const at = new Date(2026, 11, 3, 10, 0);
    const first = await book(at);
    const second = await book(addDays(at, 1));
    if (first.kind !== 'saved' || second.kind !== 'saved') throw new Error('not booked');
    const to = (startsAt: Date) =>
      moveVisit(db, second.id, { startsAt: startsAt.toISOString(), therapistId: 1 }, actor);
    expect((await to(addMinutes(at, 30))).kind).toBe('refused');
    expect((await to(addMinutes(addDays(at, 1), 15))).kind).toBe('saved');
  });
});

describe('days on which the clock is put on or back', () => {
  // Where tests run in UTC nothing is put on: the same holds there, trivially.
  it.each([
    ['put back', new Date(2026, 9, 25)],
    ['put on', new Date(2027, 2, 28)],
  ])('%s: what is proposed can be booked, by the clock on the wall', async (_, sunday) => {
    const id = await insertTherapist(db, {
      ...{
        name: 'Sol Dag',
        initials: 'SD',
        title: '',
        room: '',
        qualifications: [],
        hours: { '7': ['9:00', '18:00'] },
      },
    });
    expect((await findStaff(db, id))?.hours).toHaveProperty('7');
    await book(new Date(sunday.getFullYear(), sunday.getMonth(), sunday.getDate(), 9, 0), { therapistId: id });
    const wish = { from: sunday, minutes: 60, withStones: false, therapistIds: [id] };
    const proposals = await proposeTimes(db, wish, new Date(2026, 8, 1));
    expect(proposals.length).toBeGreaterThan(0);
    for (const proposal of proposals.filter(({ date }) => date === proposals[0]?.date)) {
      const start = new Date(proposal.startsAt);
      expect(`${start.getHours()}:${String(start.getMinutes()).padStart(2, '0')}`).toBe(proposal.time);
    }
    const [first] = proposals;
    expect(await refusal(book(new Date(first?.startsAt ?? ''), { therapistId: id, clientId: other }))).toBe('saved');
  });
});
