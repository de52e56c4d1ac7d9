import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { wordsOfPage } from '../../../tests/page-text';
import { StoneCareInput, StoneInput } from '../../contracts/stones';
import { addStones, changeStone, logCare } from '../../server/stones/save-stones';
import { readStoneBench } from '../../server/stones/read-stones';
import { actor, openHouse, type TestHouse } from '../../server/shared/test-house';
import { bookFor, mayAll, planFor } from '../../server/treatments/treatment-fixtures';
import { pack } from '../../ui/frame/packed';
import { StonesIsland } from './StoneBench';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
});

const stone = (change: object = {}) =>
  StoneInput.parse({ size: 'palm', material: 'basalt', lengthMm: 70, widthMm: 55, thicknessMm: 24, ...change });
const sizes = [
  ['placement', 110, 85, 30, 2],
  ['large', 90, 70, 28, 4],
  ['palm', 70, 55, 24, 8],
  ['edge', 100, 40, 22, 6],
  ['small', 45, 35, 16, 2],
] as const;

async function layTray(): Promise<void> {
  for (const [size, lengthMm, widthMm, thicknessMm, count] of sizes)
    await addStones(house.db, stone({ size, lengthMm, widthMm, thicknessMm, count }), actor);
  await addStones(house.db, stone({ material: 'marble', count: 4 }), actor);
}

async function htmlOf(visit: number | null = null): Promise<string> {
  return renderToStaticMarkup(
    <StonesIsland packed={pack({ first: await readStoneBench(house.db, visit, actor.now) })} />,
  );
}
const bench = async (visit: number | null = null) => wordsOfPage(await htmlOf(visit));

describe('the tray', () => {
  it('says what to do where no stone is in it', async () => {
    const text = await bench();
    expect(text).toContain('0 stones in use');
    expect(text).toContain('No stones yet. Add the house’s own, with their measures.');
    expect(text).toContain('No visit of today takes stones.');
  });

  it('shows every stone by its number, and counts those that may be used', async () => {
    await layTray();
    expect(await bench()).toMatch(/Tray 26 of 26 in use (\d+ ){26}/);
    const { stones } = await readStoneBench(house.db, null, actor.now);
    await changeStone(house.db, stones[0]?.id ?? 0, stone({ state: 'chipped' }), actor);
    await changeStone(house.db, stones[1]?.id ?? 0, stone({ state: 'retired' }), actor);
    const text = await bench();
    expect(text).toContain('Tray 24 of 25 in use');
    expect(text).toContain('24 stones in use');
  });

  it('says when it was last looked after', async () => {
    await layTray();
    expect(await bench()).toContain('Cleaned never yet · oiled never yet · water changed never yet');
    for (const what of ['cleaned', 'water-changed'] as const)
      await logCare(house.db, StoneCareInput.parse({ what }), actor);
    expect(await bench()).toMatch(/Cleaned 25 Nov 2026 · oiled never yet · water changed 25 Nov 2026/);
  });
});

describe('one stone', () => {
  it('stands there with its setting and the keys that change it', async () => {
    const text = await bench();
    expect(text).toContain('Palm stone at rest, from 52° basalt · one cloth · normal skin');
    expect(text).toMatch(/S palm M basalt C one cloth G at rest F turned once K normal skin T 5 min W pin to compare/);
  });

  it('is never shown without being told to test it first', async () => {
    expect(await bench()).toContain('Calculated. Test on your own forearm first, and ask the client.');
  });
});

describe('the bath', () => {
  it('takes longer the more stones lie in it', async () => {
    const minutes = async () => Number(/From cold water: (\d+) min/.exec(await bench())?.[1]);
    const empty = await minutes();
    await layTray();
    expect(await minutes()).toBeGreaterThan(empty);
  });
});

describe('the stones of a visit', () => {
  const work = ['stones-back', 'stones-leg-back'];
  const planned = async () => {
    await layTray();
    const visit = await bookFor(house, 0, work);
    await planFor(house, visit, work, { minutes: 60 });
    return visit;
  };

  it('are those of its plan: how many are taken when, and never hotter than the house allows', async () => {
    const id = await planned();
    const text = await bench(id);
    expect(text).toContain('Zoë Ahorn');
    expect(text).not.toContain('No visit of today takes stones.');
    const { visit, habits } = await readStoneBench(house.db, id, actor.now);
    expect(visit?.rotations.length).toBeGreaterThan(0);
    for (const { isCold, bathC } of visit?.rotations ?? [])
      if (!isCold) expect(bathC).toBeLessThanOrEqual(habits.hotBathC);
  });

  it('stand under the whole day where no visit is chosen, from the first one’s time', async () => {
    await planned();
    const { day, visits } = await readStoneBench(house.db, null, actor.now);
    expect(visits.map(({ client, time }) => `${client} ${time}`)).toEqual(['Zoë Ahorn 10:00']);
    expect(day?.from).toBe('10:00');
    expect(await bench()).not.toContain('No visit of today takes stones.');
  });

  it('are asked for by the number that the tray has: with too few it says so', async () => {
    for (const [size, lengthMm, widthMm, thicknessMm] of sizes)
      await addStones(house.db, stone({ size, lengthMm, widthMm, thicknessMm, count: 1 }), actor);
    const id = await bookFor(house, 0, work);
    await planFor(house, id, work, { minutes: 60 });
    const text = await bench(id);
    expect(text).toContain('not enough stones');
    expect(text).toMatch(/Short by 7 palm stones between \d+ min \d+ s and \d+ min/);
    // Both parts end cool on the same side: what is missing is said once.
    expect(text.match(/“cool left” cannot be done/g)).toHaveLength(1);
    expect(text).toContain('cannot be done: the house has no such stones.');
  });
});
