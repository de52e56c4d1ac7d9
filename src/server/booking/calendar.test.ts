import ICAL from 'ical.js';
import { beforeEach, describe, expect, it } from 'vitest';
import { bookVisit, cancelVisit, moveVisit } from './booking';
import { feedToken, staffOfFeed, writeCalendar } from './calendar';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

/** Read by a parser that knows nothing of the one that wrote it. */
async function events(staffId = 1) {
  const calendar = new ICAL.Component(ICAL.parse(await writeCalendar(house.db, staffId, now)) as object[]);
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      summary: event.summary,
      start: event.startDate.toJSDate().toISOString(),
      minutes: (event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime()) / 60_000,
      sequence: event.sequence,
      status: String(component.getFirstPropertyValue('status')),
      stamp: component.getFirstPropertyValue('dtstamp') !== null,
    };
  });
}

describe('the calendar', () => {
  it('is RFC 5545 to an independent parser: one event a visit, times in UTC, initials only', async () => {
    const start = new Date(2026, 10, 25, 9).toISOString();
    expect(await events()).toEqual([
      {
        uid: `visit-${house.visit}@velvet-stone`,
        summary: 'ZA, 45 min',
        start,
        minutes: 45,
        sequence: 0,
        status: 'CONFIRMED',
        stamp: true,
      },
    ]);
    const text = await writeCalendar(house.db, 1, now);
    expect(text).not.toContain('Ahorn');
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0')).toBe(true);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });

  it('says that a visit was moved or cancelled, with a higher sequence', async () => {
    await moveVisit(
      house.db,
      house.visit,
      { startsAt: new Date(2026, 10, 26, 9).toISOString(), therapistId: 1 },
      actor,
    );
    expect(await events()).toMatchObject([{ sequence: 1, status: 'CONFIRMED' }]);
    await cancelVisit(house.db, house.visit, '', false, actor);
    expect(await events()).toMatchObject([{ sequence: 2, status: 'CANCELLED' }]);
  });

  it('keeps the moment right on both sides of a change of the clocks', async () => {
    const before = new Date(2027, 2, 27, 10).toISOString();
    const after = new Date(2027, 2, 29, 10).toISOString();
    for (const startsAt of [before, after])
      await bookVisit(
        house.db,
        { clientId: house.client, therapistId: 1, startsAt, minutes: 60, focus: ['face'], purpose: 'sinus' },
        actor,
      );
    expect((await events()).map(({ start }) => start)).toEqual(expect.arrayContaining([before, after]));
  });

  it('shows nobody the visits of somebody else', async () => {
    expect(await events(2)).toEqual([]);
  });
});

describe('the address of a feed', () => {
  it('stays until it is renewed, and then the old one is void', async () => {
    const first = await feedToken(house.db, 1, false);
    expect(await feedToken(house.db, 1, false)).toBe(first);
    expect(await staffOfFeed(house.db, first)).toBe(1);
    const other = await feedToken(house.db, 2, false);
    const second = await feedToken(house.db, 1, true);
    expect(second).not.toBe(first);
    expect(await staffOfFeed(house.db, first)).toBeUndefined();
    expect(await staffOfFeed(house.db, other)).toBe(2);
    expect(await staffOfFeed(house.db, '__proto__')).toBeUndefined();
  });
});
