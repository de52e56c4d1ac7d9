import { addDays } from 'date-fns';
import { beforeEach, describe, expect, it } from 'vitest';
import { ObservationInput } from '../../contracts/measures';
import type { MarkKind, MarkSide } from '../../core/table/mark-kinds';
import { saveObservation } from '../measures/save-observation';
import { actor, admit, book, now, openHouse, type TestHouse } from '../shared/test-house';
import { insertEvents } from '../table/table-events.repository';
import { makeFirstPlan } from '../treatments/first-plan';
import { stepsColumn } from './plan.documents';
import { readRemembered } from './read-remembered';
import { latestPlan, setStage } from './visits.repository';

/** What hands found at earlier visits, as it comes back at the next one. */

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const today = now.toISOString();

/** A visit so many days ago, worked and closed, with what was marked at its steps. */
async function worked(daysAgo: number, mark?: MarkKind, side?: MarkSide): Promise<{ id: number; place: string }> {
  const id = await book(house, -daysAgo);
  await admit(house.db, id, { ...actor, now: addDays(now, -daysAgo) });
  await makeFirstPlan(house.db, id, actor);
  const plan = await latestPlan(house.db, id);
  const step = stepsColumn.read(plan?.steps_json ?? '[]').find(({ kind }) => kind === 'drain');
  if (!step) throw new Error('nothing is drained');
  const at = addDays(now, -daysAgo).toISOString();
  if (mark)
    await insertEvents(
      house.db,
      id,
      [
        { id: `${id}-start`, kind: 'start', stepId: step.id, at, planVersion: 1 },
        { id: `${id}-mark`, kind: 'mark', stepId: step.id, at, planVersion: 1, mark, ...(side ? { side } : {}) },
      ],
      at,
    );
  await setStage(house.db, id, 'done', at);
  return { id, place: step.place };
}
const remembered = (before?: string) => readRemembered(house.db, house.client, today, before);

describe('what hands remember', () => {
  it('is nothing before there was a visit', async () => {
    expect(await remembered()).toEqual([]);
  });

  it('is what was marked at the table, with its place in words', async () => {
    const { place } = await worked(7, 'tighter');
    expect(await remembered()).toMatchObject([
      { kind: 'tighter', place, words: '1 of 1 visit', wasLastTime: true, what: expect.stringContaining('Tighter at') },
    ]);
  });

  it('takes pain for tender, and leaves out what is no finding: a question, a lighter hand', async () => {
    await worked(21, 'pain');
    await worked(14, 'asked');
    await worked(7, 'lighter');
    expect(await remembered()).toMatchObject([{ kind: 'tender', words: '1 of 3 visits', wasLastTime: false }]);
  });

  it('keeps to the side that was said', async () => {
    const { place } = await worked(7, 'tender', 'right');
    // The step is on the left: of the right side it says nothing.
    expect(place.endsWith('.left')).toBe(true);
    expect(await remembered()).toEqual([]);
  });

  it('takes firm skin for firm, before the work only', async () => {
    const { id } = await worked(7);
    const feel = (phase: 'before' | 'after', texture: string, place: string) =>
      saveObservation(
        house.db,
        id,
        ObservationInput.parse({ phase, kind: 'texture', place, value: { texture }, replaces: null }),
        actor,
      );
    await feel('before', 'hard', 'calf-upper.left');
    await feel('before', 'doughy', 'shin-upper.left');
    await feel('after', 'firm', 'ankle-inner.left');
    expect(await remembered()).toMatchObject([{ kind: 'firm', place: 'calf-upper.left' }]);
  });

  it('is fainter the longer ago', async () => {
    await worked(60, 'tighter');
    const [old] = await remembered();
    await worked(2, 'tighter');
    const [fresh] = await remembered();
    expect(old?.presence).toBeCloseTo(0.25, 1);
    expect(fresh?.presence).toBeGreaterThan(0.9);
  });

  it('does not remember the visit itself, nor later ones', async () => {
    await worked(20, 'tighter');
    const { id } = await worked(10, 'tender');
    expect(id).toBeGreaterThan(0);
    const before = addDays(now, -10).toISOString();
    expect((await remembered(before)).map(({ kind }) => kind)).toEqual(['tighter']);
    expect((await remembered()).map(({ kind }) => kind).sort()).toEqual(['tender', 'tighter']);
  });

  it('counts visits that were worked, not those that are only booked', async () => {
    await worked(14, 'tighter');
    await book(house, -3);
    expect((await remembered())[0]?.words).toBe('1 of 1 visit');
  });
});
