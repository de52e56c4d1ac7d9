import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { actor, admit, openHouse, type TestHouse } from '../shared/test-house';
import { readVisit } from '../visits/read-visit';
import { makeFirstPlan } from './first-plan';
import { bookFor, mayAll } from './treatment-fixtures';

describe('the first plan of a visit', () => {
  let house: TestHouse;
  beforeEach(async () => {
    house = await openHouse();
    await mayAll(house);
  });
  afterEach(() => house.db.destroy());

  it('waits until the questions are answered, and looking at a visit makes none', async () => {
    const visit = await bookFor(house, 1);
    expect(await makeFirstPlan(house.db, visit, actor)).toMatchObject({ kind: 'refused' });
    await admit(house.db, visit);
    expect((await readVisit(house.db, visit))?.plan).toBeNull();
  });

  it('fills the time with a drainage when nothing else was booked', async () => {
    const visit = await bookFor(house, 1);
    await admit(house.db, visit);
    const made = await makeFirstPlan(house.db, visit, actor);
    expect(made).toMatchObject({ kind: 'saved', plan: { version: 1, treatment: null } });
  });

  it('is of what was booked, and stays what it is when it is asked for again', async () => {
    const visit = await bookFor(house, 1, ['lifting-facial']);
    await admit(house.db, visit);
    const made = await makeFirstPlan(house.db, visit, actor);
    if (made.kind !== 'saved') throw new Error(JSON.stringify(made));
    expect(made.plan.treatment?.wish.choices.map(({ protocol }) => protocol)).toEqual(['lifting-facial']);
    const again = await makeFirstPlan(house.db, visit, actor);
    expect(again).toMatchObject({ kind: 'saved', plan: { version: made.plan.version } });
  });

  it('cannot be made of a visit that is not there', async () => {
    expect(await makeFirstPlan(house.db, 9999, actor)).toEqual({ kind: 'not-found' });
  });
});
