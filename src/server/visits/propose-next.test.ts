import { beforeEach, describe, expect, it } from 'vitest';
import { saveClosing } from './close-visit';
import { actor, book, closing, openHouse, type TestHouse } from '../shared/test-house';
import { proposeNext } from './propose-next';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

describe('the next visit of a client', () => {
  it('is a week off while nothing has been measured, and later when the skin was red for long', async () => {
    const next = await proposeNext(house.db, house.visit);
    expect(next).toMatchObject({ date: '2026-12-02', words: 'Wednesday 2 December, in a week', booked: null });
    expect(next?.why).toEqual(['No trend of the excess yet: a week, and tape again.']);
    const red = closing({ pressure: -1, comfort: 5, redness: 3, fadeMinutes: -1, note: '', basedOn: 0 });
    await saveClosing(house.db, house.visit, red, actor);
    expect((await proposeNext(house.db, house.visit))?.why).toContain('The skin was red for long: give it a week.');
  });

  it('is not proposed for a day on which the therapist does not work', async () => {
    await house.db.updateTable('therapist').set({ hours_json: '{"1":["9:00","17:00"]}' }).where('id', '=', 1).execute();
    const next = await proposeNext(house.db, house.visit);
    expect(next).toMatchObject({ date: '2026-12-07', words: 'Monday 7 December, in 12 days' });
    expect(next?.why).toContain('Ida Moor is not in the days before.');
  });

  it('is said when it is booked, and nothing is proposed for a visit that is not there', async () => {
    await book(house, 9);
    expect((await proposeNext(house.db, house.visit))?.booked).toBe('Friday 4 December, 9:00');
    expect(await proposeNext(house.db, 999)).toBeNull();
  });
});
