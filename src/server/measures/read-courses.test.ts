import { beforeEach, describe, expect, it } from 'vitest';
import { eraseClient } from '../clients/erase-client';
import { changeSettings } from '../people/settings.repository';
import { usualMeasuring } from '../../core/swelling/settings';
import { actor, book, larger, openHouse, tapeLegs, type TestHouse } from '../shared/test-house';
import { readCourses } from './read-courses';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const taped = async (daysAgo: number, byCm: number) =>
  tapeLegs(house.db, await book(house, -daysAgo), { affected: larger(byCm) });

describe('the courses of a client', () => {
  it('are worked out once for all who ask', async () => {
    await taped(14, 2);
    await taped(7, 1);
    const { courses } = await readCourses(house.db, house.client);
    expect(courses[0]?.points).toHaveLength(2);
    expect((await readCourses(house.db, house.client)).courses).toBe(courses);
  });

  it('are worked out anew when another taping has come', async () => {
    await taped(14, 2);
    const before = await readCourses(house.db, house.client);
    await taped(7, 1);
    const after = await readCourses(house.db, house.client);
    expect(after.courses).not.toBe(before.courses);
    expect(after.courses[0]?.points).toHaveLength(2);
  });

  it('are worked out anew when the house measures otherwise', async () => {
    await taped(14, 2);
    const before = await readCourses(house.db, house.client);
    await changeSettings(house.db, { measuring: { ...usualMeasuring, volumeUnit: 'us-fl-oz' } });
    const after = await readCourses(house.db, house.client);
    expect(before.courses[0]?.volumeUnit).toBe('ml');
    expect(after.courses[0]?.volumeUnit).toBe('us-fl-oz');
  });

  it('are forgotten with the client', async () => {
    await taped(14, 2);
    expect((await readCourses(house.db, house.client)).courses).toHaveLength(1);
    await eraseClient(house.db, house.client, 'Zoë Ahorn', actor);
    expect(await readCourses(house.db, house.client)).toMatchObject({ courses: [], visits: [] });
  });
});
