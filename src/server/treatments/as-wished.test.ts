import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { StoneInput } from '../../contracts/stones';
import type { TableStep } from '../../core/table/table-step';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { readTableStones } from '../stones/read-stones';
import { addStones } from '../stones/save-stones';
import { bookFor, mayAll, planFor } from './treatment-fixtures';
import { readRoom } from './read-room';

let house: TestHouse;
let visit: number;

const lay = (size: string, count: number, material = 'basalt') =>
  addStones(house.db, StoneInput.parse({ size, material, lengthMm: 70, widthMm: 55, thicknessMm: 24, count }), actor);
const stepsOf = (plan: { readonly steps: readonly TableStep[] }, block: string) =>
  plan.steps.filter(({ id }) => id.startsWith(`c1/${block}/`));
const cueWords = async () => (await readTableStones(house.db, visit)).cues.map(({ words }) => words).join(' ');
const heatOf = async () => (await readRoom(house.db, visit))?.items.find(({ kind }) => kind === 'heat')?.what;

beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
  for (const [size, count] of [
    ['placement', 2],
    ['large', 8],
    ['palm', 14],
    ['edge', 10],
  ] as const)
    await lay(size, count);
  await lay('small', 4, 'marble');
  visit = await bookFor(house, 0, ['stones-back']);
});
afterEach(() => house.db.destroy());

describe('stones that the therapist chooses for a step', () => {
  it('are taken by plan, cues and room list, instead of what the technique asks for', async () => {
    const before = await planFor(house, visit, ['stones-back']);
    const ids = stepsOf(before, 'back')
      .filter(({ told }) => told?.stones?.size === 'palm')
      .map(({ id }) => id);
    expect(await cueWords()).toMatch(/palm/);
    const stones = Object.fromEntries(ids.map((id) => [id, { size: 'large', count: 2, keep: true }]));
    const after = await planFor(house, visit, ['stones-back'], { basedOn: 1, stones });
    expect(after.treatment.wish.stones).toEqual(stones);
    expect(
      stepsOf(after, 'back')
        .filter(({ id }) => ids.includes(id))
        .map(({ told }) => told?.stones?.size),
    ).toEqual(ids.map(() => 'large'));
    expect(await cueWords()).toMatch(/large/);
    expect(await heatOf()).toMatch(/large/);
  });

  it('are fewer than planned: the plan and the room list count what is left', async () => {
    const plan = await planFor(house, visit, ['stones-back']);
    const [first] = stepsOf(plan, 'back');
    const stones = { [first?.id ?? '']: { size: 'palm', count: 1, keep: false } };
    const after = await planFor(house, visit, ['stones-back'], { basedOn: 1, stones });
    expect(stepsOf(after, 'back')[0]?.told?.stones).toMatchObject({ size: 'palm', count: 1 });
  });
});

describe('a tray without enough of what is asked for', () => {
  it('has stones of a near size stand in, and says so in the plan', async () => {
    await house.db.updateTable('stone').set({ state: 'chipped' }).where('size', '=', 'palm').execute();
    const { treatment } = await planFor(house, visit, ['stones-back']);
    const hot = treatment.stones?.find(({ isCold }) => !isCold);
    expect(hot?.trouble).toEqual([]);
    expect(hot?.standIns[0]).toMatch(/^Large stones instead of palm \(medium\), since the tray has too few: /);
    expect(Object.keys(hot?.inPlay ?? {})).not.toContain('palm');
    expect(await cueWords()).not.toMatch(/palm/);
  });

  it('says what is short in minutes of the visit, with other stones of steps that would do', async () => {
    await house.db
      .updateTable('stone')
      .set({ state: 'chipped' })
      .where('size', 'in', ['palm', 'large', 'edge'])
      .execute();
    await lay('palm', 5);
    const { treatment } = await planFor(house, visit, ['stones-back']);
    const hot = treatment.stones?.find(({ isCold }) => !isCold);
    expect(hot?.trouble.join(' ')).toMatch(/Short by \d+ palm stones? from minute \d+ to minute \d+ of the visit\./);
    const way = hot?.ways.find(({ stones }) => Object.keys(stones).length > 0);
    const next = await planFor(house, visit, ['stones-back'], { basedOn: 1, stones: way?.stones });
    expect([way?.words, next.treatment.stones?.find(({ isCold }) => !isCold)?.trouble]).toEqual([
      expect.any(String),
      [],
    ]);
  });

  it('has cool stones on the room list, how many and how cold', async () => {
    const other = await bookFor(house, 1, ['stones-neck']);
    await planFor(house, other, ['stones-neck'], { minutes: 60 });
    const cool = (await readRoom(house.db, other))?.items.find(({ kind }) => kind === 'cool')?.what;
    expect(cool).toMatch(/^Lay the cool stones into cold water, at \d+°: \d+ small marble$/);
  });
});

describe('how often each step of a part is given', () => {
  it('is as was said, in the plan and at the table, and no more when time is left over', async () => {
    const before = await planFor(house, visit, ['aroma-whole-body'], { minutes: 120 });
    const counted = stepsOf(before, 'back').filter(({ told }) => told?.count === 'repetitions');
    expect(counted.length).toBeGreaterThan(1);
    const after = await planFor(house, visit, ['aroma-whole-body'], {
      ...{ basedOn: 1, minutes: 180, fill: true },
      times: { 'c1/back': 3 },
    });
    for (const step of stepsOf(after, 'back').filter(({ told }) => told?.count === 'repetitions'))
      expect([step.id, step.repetitions, step.fit?.max]).toEqual([step.id, 3, 3]);
    expect(after.treatment.wish.times).toEqual({ 'c1/back': 3 });
  });
});

describe('one side only', () => {
  it('names the part that would be the same on the other side, until it is chosen', async () => {
    const choices = (blocks: readonly string[]) => [{ id: 'c1', protocol: 'stones-leg-back', blocks }];
    const one = await planFor(house, visit, [], { choices: choices(['oil-left', 'leg-left']) });
    const leg = one.treatment.blocks.find(({ id }) => id === 'c1/leg-left');
    expect(leg?.otherSide).toBe('leg-right');
    const both = await planFor(house, visit, [], {
      ...{ basedOn: 1, choices: choices(['oil-left', 'leg-left', 'leg-right']) },
    });
    expect(both.treatment.blocks.find(({ id }) => id === 'c1/leg-left')?.otherSide).toBeUndefined();
  });
});

describe('the order that a protocol teaches', () => {
  it('is left for a faster one when that is asked for, without a fault, and comes back', async () => {
    const taught = await planFor(house, visit, ['stones-leg-back', 'stones-back'], { minutes: 90 });
    expect(taught.treatment.faster?.savesSeconds).toBeGreaterThan(0);
    const free = await planFor(house, visit, ['stones-leg-back', 'stones-back'], {
      ...{ basedOn: 1, minutes: 90, isFree: true },
    });
    expect(free.treatment.setupSeconds).toBe(
      taught.treatment.setupSeconds - (taught.treatment.faster?.savesSeconds ?? 0),
    );
    expect(free.treatment.faults.filter(({ severity }) => severity === 'error')).toEqual([]);
    const again = await planFor(house, visit, ['stones-leg-back', 'stones-back'], { basedOn: 2, minutes: 90 });
    expect(again.treatment.blocks.map(({ id }) => id)).toEqual(taught.treatment.blocks.map(({ id }) => id));
  });
});

describe('what the library teaches', () => {
  it('comes with every step of a treatment, in the words of the house’s own version', async () => {
    const { steps } = await planFor(house, visit, ['stones-back']);
    for (const { id, taught } of steps)
      expect([id, taught]).toEqual([
        id,
        { why: expect.any(String), never: expect.any(String), feel: expect.any(String) },
      ]);
  });

  it('comes with the planner’s own steps', async () => {
    const drained = await bookFor(house, 2, ['leg-drainage']);
    const { steps } = await planFor(house, drained, ['leg-drainage']);
    expect(steps.length).toBeGreaterThan(5);
    for (const { kind, taught } of steps) expect([kind, typeof taught?.never]).toEqual([kind, 'string']);
  });
});
