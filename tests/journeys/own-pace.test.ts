import { beforeAll, describe, expect, it } from 'vitest';
import { allNo } from '../api/answers';
import { call, post, visitOf } from '../api/client';
import { choose, control, go, pinAgain, words } from './browser';
import { ownHouse } from './own-house';

/** The seconds that a therapist really takes: offered where they are known, one switch, and not to who is learning. */
describe('a plan at one’s own pace', () => {
  const house = ownHouse('own-pace');
  let visit: number;
  beforeAll(async () => {
    visit = await visitOf('Sunniva Harrow', house.url);
    await post(`/api/visits/${visit}/check`, { answers: allNo }, house.url);
  });
  const paceOf = async () =>
    (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body.plan?.treatment?.pace;

  it('is measured from what was done at the table, and named with what the library has', async () => {
    await go(house.page, `${house.url}/visits/${visit}/plan`);
    await words(house.page, 'a repetition, over');
    expect(await paceOf()).toMatchObject({ whose: 'Bram Teasel', isOwn: false });
  });

  it('is switched on once, and the plan is made of it', async () => {
    await choose(house.page, 'Seconds of this plan', 'as Bram Teasel takes them');
    await expect.poll(paceOf).toMatchObject({ isOwn: true });
    await go(house.page, `${house.url}/visits/${visit}/plan`);
    await words(house.page, 'as Bram Teasel takes them');
    expect(await paceOf()).toMatchObject({ isOwn: true });
    await go(house.page, `${house.url}/visits/${visit}/print`);
    await words(house.page, 'Times as Bram Teasel takes them.');
  });

  it('is not for somebody whom the house has down as learning', async () => {
    await go(house.page, `${house.url}/house`);
    await control(house.page, 'button', 'Change Bram Teasel').click();
    await words(house.page, 'Is still learning');
    await house.page.evaluate(() => {
      const label = [...document.querySelectorAll('label')].find((one) =>
        one.textContent?.includes('Is still learning'),
      );
      label?.querySelector('input')?.click();
    });
    await control(house.page, 'button', 'Save').click();
    await pinAgain(house.page);
    await words(house.page, 'still learning');
    const { plan } = (await call('GET', `/api/visits/${visit}`, undefined, house.url)).body;
    const again = { ...plan.treatment.wish, pace: 'own', reason: '', basedOn: plan.version };
    expect((await post(`/api/visits/${visit}/treatment`, again, house.url)).status).toBe(200);
    expect(await paceOf()).toBeUndefined();
  });
});
