import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { call, clientOf, post, visitOf } from '../api/client';
import { choose, control, gone, go, words } from './browser';
import { ownHouse } from './own-house';

/** What hands found at earlier visits: more for the tighter side, and which work went together with what changed. */
describe('what earlier visits say of the next one', () => {
  const house = ownHouse('lean');
  let visit: number;
  const plan = async () => (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.plan;
  /** Sides of the parts that have one, in their order. */
  const sides = async () =>
    (await plan()).treatment.blocks.flatMap(({ side }: { side: string }) => (side === 'both' ? [] : [side]));

  beforeAll(async () => {
    visit = await visitOf('Sunniva Harrow', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
    await go(house.page, `${house.url}/visits/${visit}/plan`);
  });

  it('is offered at the plan, with what was found and how often', async () => {
    await words(house.page, 'Tighter at the right');
    await words(house.page, '2 of 2 visits');
    await words(house.page, 'Begin on the right, and give it some of the other side’s time?');
    expect((await sides())[0]).toBe('left');
  });

  it('is taken by one press: that side begins, and gets more in the same time', async () => {
    const before = (await plan()).treatment.totalSeconds;
    await control(house.page, 'button', 'More on the right').click();
    await words(house.page, 'It begins on the right.');
    expect((await sides())[0]).toBe('right');
    const { treatment } = await plan();
    expect(treatment.lean.movedSeconds).toBeGreaterThan(0);
    expect(Math.abs(treatment.totalSeconds - before)).toBeLessThan(60);
  });

  it('is told on paper and step by step', async () => {
    await go(house.page, `${house.url}/visits/${visit}/print`);
    await words(house.page, 'More on the right. Tighter at the right');
    await words(house.page, 'The tighter side; the left gets');
  });

  it('is taken back by undo, and refused by one press for this visit', async () => {
    await go(house.page, `${house.url}/visits/${visit}/plan`);
    await control(house.page, 'button', 'Both sides alike').click();
    await gone(house.page, 'Tighter at the right');
    expect((await sides())[0]).toBe('left');
    await control(house.page, 'button', 'Undo').click();
    await words(house.page, 'It begins on the right.');
  });

  it('sets work beside what changed from eight visits on, and says that it is no cause', async () => {
    const often = await clientOf('Marit', house.url);
    await go(house.page, `${house.url}/clients/${often}/progress`);
    await words(house.page, 'Which work went together with what changed');
    await words(house.page, 'whether it was the cause nobody can see from this');
    await words(house.page, 'Draining: left leg');
    await words(house.page, 'Excess volume of the left leg');
    await go(house.page, `${house.url}/clients/${await clientOf('Sunniva', house.url)}/progress`);
    await words(house.page, 'Shown from 8 visits on');
  });

  it('says nothing of a house with fewer than ten such clients', async () => {
    await go(house.page, `${house.url}/house`);
    await choose(house.page, 'Part of the house', 'what went together');
    await words(house.page, 'Shown from 10 clients on');
    expect((await call('GET', '/api/house/together', undefined, house.url)).body.rows).toEqual([]);
  });
});
