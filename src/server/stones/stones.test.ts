import type { Celsius } from '../../core/quantities';
import { beforeEach, describe, expect, it } from 'vitest';
import { StoneCareInput, StoneInput } from '../../contracts/stones';
import { usualHabits } from '../../core/stones/habits';
import { houseBath, SimulatedBath } from '../devices/stone-bath';
import { addFinding } from '../screening/save-finding';
import { actor, finding, openHouse, type TestHouse } from '../shared/test-house';
import { readRoom } from '../treatments/read-room';
import { readBath, readStoneBench, readTableStones } from './read-stones';
import { addStones, changeStone, logCare, saveHabits } from './save-stones';
import { bookFor, mayAll, planFor } from '../treatments/treatment-fixtures';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const stone = (change: object = {}) =>
  StoneInput.parse({ size: 'palm', material: 'basalt', lengthMm: 70, widthMm: 55, thicknessMm: 24, ...change });
const bench = (visit: number | null = null) => readStoneBench(house.db, visit, actor.now);
const layTray = async () => {
  for (const [size, lengthMm, widthMm, thicknessMm, count] of [
    ['placement', 110, 85, 30, 2],
    ['large', 90, 70, 28, 4],
    ['palm', 70, 55, 24, 8],
    ['edge', 100, 40, 22, 6],
    ['small', 45, 35, 16, 2],
  ] as const)
    await addStones(house.db, stone({ size, lengthMm, widthMm, thicknessMm, count }), actor);
  await addStones(house.db, stone({ material: 'marble', count: 4 }), actor);
};

describe('the stones of a house', () => {
  it('are added, changed and retired, and only sound ones are counted on', async () => {
    await addStones(house.db, stone({ count: 3 }), actor);
    const [first, second] = (await bench()).stones;
    await changeStone(house.db, first?.id ?? 0, stone({ state: 'chipped' }), actor);
    await changeStone(house.db, second?.id ?? 0, stone({ state: 'retired' }), actor);
    expect((await bench()).stones.map(({ state }) => state)).toEqual(['chipped', 'in-use']);
    expect(await changeStone(house.db, 999, stone(), actor)).toEqual({ kind: 'not-found' });
  });

  it('refuse a mass that cannot be theirs, and stones that dissolve', async () => {
    expect(await addStones(house.db, stone({ massG: 140 }), actor)).toEqual({ kind: 'saved' });
    expect(await addStones(house.db, stone({ massG: 1400 }), actor)).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'massG', message: expect.stringContaining('about 140 g') as string }],
    });
    expect(() => stone({ material: 'selenite' })).toThrow('never goes into water');
    expect(() => stone({ thicknessMm: 0 })).toThrow();
    expect(() => stone({ count: 500 })).toThrow();
  });

  it('are cleaned and oiled, one or all, and the water is changed', async () => {
    await addStones(house.db, stone({ count: 2 }), actor);
    const [first] = (await bench()).stones;
    await logCare(house.db, StoneCareInput.parse({ what: 'oiled', stones: [first?.id] }), actor);
    await logCare(house.db, StoneCareInput.parse({ what: 'cleaned' }), actor);
    await logCare(house.db, StoneCareInput.parse({ what: 'water-changed' }), actor);
    const { stones, lastWaterChange } = await bench();
    expect(stones.map(({ lastOiled }) => lastOiled !== null)).toEqual([true, false]);
    expect(stones.every(({ lastCleaned }) => lastCleaned !== null)).toBe(true);
    expect(lastWaterChange).toBe('25 Nov 2026');
    expect(await logCare(house.db, { what: 'cleaned', stones: [77] }, actor)).toMatchObject({
      errors: [{ path: 'stones.0' }],
    });
  });

  it('are worked with at temperatures that make sense', async () => {
    expect(await saveHabits(house.db, { ...usualHabits, usefulHotC: 50, hotBathC: 48 }, actor)).toMatchObject({
      errors: [{ path: 'usefulHotC' }],
    });
    expect(await saveHabits(house.db, { ...usualHabits, usefulColdC: 6 }, actor)).toMatchObject({
      errors: [{ path: 'usefulColdC' }],
    });
    await saveHabits(house.db, { ...usualHabits, hotBathC: 50 }, actor);
    expect((await bench()).habits.hotBathC).toBe(50);
  });
});

describe('a hot-stone visit for somebody who likes it mild', () => {
  let visit: number;
  beforeEach(async () => {
    await mayAll(house);
    await layTray();
    await house.db
      .updateTable('client')
      .set({ likes_json: JSON.stringify({ warmth: 'cooler' }) })
      .execute();
    visit = await bookFor(house, 0, ['stones-back', 'stones-leg-back']);
    await planFor(house, visit, ['stones-back', 'stones-leg-back'], { minutes: 60 });
  });

  it('is rotated with the house’s own stones, at a bath that suits the first touch', async () => {
    const { visit: view, visits } = await bench(visit);
    const hot = view?.rotations.find(({ isCold }) => !isCold);
    expect(visits.map(({ id }) => id)).toEqual([visit]);
    expect(view?.moving.why.join(' ')).toContain('Likes it mild');
    expect(hot?.bathC).toBe((view?.moving.firstC ?? 0) + 1);
    expect([hot?.rotation.feasible, hot?.rotation.blocked]).toEqual([true, []]);
    expect(hot?.rotation.timing.every(({ takeC }) => takeC <= (view?.moving.firstC ?? 0))).toBe(true);
  });

  it('gives the room list what goes into the bath, and the table its cues', async () => {
    const { visit: view } = await bench(visit);
    const hot = view?.rotations.find(({ isCold }) => !isCold);
    const heat = (await readRoom(house.db, visit))?.items.find(({ kind }) => kind === 'heat');
    expect(heat?.what).toContain(`set it to ${hot?.bathC}°`);
    expect(heat?.what).toContain(`${hot?.rotation.stonesInPlay['palm']} palm`);
    const { cues, hotBathC } = await readTableStones(house.db, visit);
    expect(hotBathC).toBe(hot?.bathC);
    expect(cues.some(({ words }) => words.startsWith('Swap to palm'))).toBe(true);
    expect(cues.map(({ atS }) => atS)).toEqual(cues.map(({ atS }) => atS).toSorted((a, b) => a - b));
  });

  it('says what is short when stones are chipped, with ways out', async () => {
    for (const one of (await bench()).stones
      .filter(({ size, material }) => size === 'palm' && material === 'basalt')
      .slice(0, 5))
      await changeStone(house.db, one.id, stone({ state: 'chipped' }), actor);
    const hot = (await bench(visit)).visit?.rotations.find(({ isCold }) => !isCold);
    expect(hot?.rotation.feasible).toBe(false);
    expect(hot?.rotation.shortages[0]?.class).toBe('palm');
  });

  it('asks for no hot stones on a leg whose nodes are gone', async () => {
    await addFinding(house.db, house.client, finding({ id: 'nodes-removed-inguinal', side: 'left' }), actor);
    await planFor(house, visit, ['stones-back', 'stones-leg-back'], { basedOn: 1 });
    const hot = (await bench(visit)).visit?.rotations.find(({ isCold }) => !isCold);
    const asked = hot?.rotation.timing.map(({ step }) => step) ?? [];
    expect(asked.filter((step) => step.includes('leg-left'))).toEqual([]);
  });

  it('shares one bath with the other visits of the day, as mild as the mildest asks for', async () => {
    const later = await bookFor(house, 0.1, ['stones-back']);
    await planFor(house, later, ['stones-back']);
    const { day, visit: none } = await bench();
    const hot = day?.rotations.find(({ isCold }) => !isCold);
    expect(none).toBeNull();
    expect(new Set(Object.values(hot?.names ?? {}))).toEqual(new Set(['Zoë Ahorn']));
    const own = (await bench(visit)).visit?.rotations.find(({ isCold }) => !isCold);
    expect(hot?.bathC).toBe(own?.bathC);
    expect(Math.max(...(hot?.rotation.uses.map(({ toS }) => toS) ?? [0]))).toBeGreaterThan(8000);
  });

  it('has no cues where no stones are taken', async () => {
    const other = await bookFor(house, 1);
    await planFor(house, other, ['belly']);
    expect(await readTableStones(house.db, other)).toEqual({ cues: [], hotBathC: null });
  });
});

describe('the bath of the house', () => {
  it('is held to what a plan asks for, else to what it is set to, else to what is usual', () => {
    const said = (wantedC?: Celsius) => readBath(usualHabits, wantedC).reading;
    houseBath().drive({ isOn: true, setC: 48, stones: 0, skipS: 7200 });
    expect(said().state).toBe('ready');
    expect(said(54)).toMatchObject({ state: 'off' });
    expect(said(54).words).toContain('below 54°');
    houseBath().drive({ isOn: false, skipS: 600 });
    expect(said().words).toContain(`${usualHabits.hotBathC}°`);
  });
});

describe('the simulated bath', () => {
  let nowMs = 0;
  const bath = () => new SimulatedBath(() => nowMs);
  const last = (one: SimulatedBath) => one.readings().at(-1)?.text;

  it('warms to what it is set to, sinks when cold stones go in, and holds', () => {
    const one = bath();
    one.drive({ isOn: true, setC: 50, skipS: 5400 });
    expect(one.state().waterC).toBeCloseTo(50, 0);
    const before = one.state().waterC;
    expect(one.drive({ stones: 16 }).waterC).toBeLessThan(before - 1);
    one.drive({ skipS: 1200 });
    expect(one.state().waterC).toBeCloseTo(50, 0);
    one.drive({ isOn: false, skipS: 3600 });
    expect(one.state().waterC).toBeLessThan(47);
  });

  it('can be made to drift, to say nonsense and to stop', () => {
    nowMs = 0;
    const one = bath();
    one.drive({ isOn: true, setC: 50, skipS: 5400 });
    one.drive({ fault: 'drift', skipS: 300 });
    expect(one.state().waterC).toBeLessThan(49.5);
    one.drive({ fault: 'text', skipS: 10 });
    expect(last(one)).toBe('Err 3');
    one.drive({ fault: 'nan', skipS: 10 });
    expect(last(one)).toBe('NaN');
    const count = one.readings().length;
    one.drive({ fault: 'stops' });
    nowMs += 60_000;
    expect(one.readings().length).toBe(count);
  });
});
