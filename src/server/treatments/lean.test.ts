import { beforeEach, describe, expect, it } from 'vitest';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { setStage } from '../visits/visits.repository';
import { replay } from '../../core/table/progress';
import { secondsWorked } from '../../core/table/worked';
import { readVisit } from '../visits/read-visit';
import { readRoom } from './read-room';
import { bookFor, errorsOf, follow, holds, mayAll, planFor, seen } from './treatment-fixtures';

/** The next plan offers more to the side that hands found tighter. */

const protocol = 'lifting-facial';

describe('a plan after a visit at which one side was tighter', () => {
  let house: TestHouse;
  beforeEach(async () => {
    house = await openHouse();
    await mayAll(house);
  });

  /** A visit so many days ago at which something was felt before the work. */
  const felt = async (daysAgo: number, kind: string, place: string | null, value: object) => {
    const visit = await bookFor(house, -daysAgo);
    await seen(house, visit, { kind, place, value });
    await setStage(house.db, visit, 'done', actor.now.toISOString());
  };
  const tighterAt = (place: string, daysAgo = 7) => felt(daysAgo, 'tighter', place, { what: '' });
  let days = 0;
  const plan = async (change: object = {}) => planFor(house, await bookFor(house, (days += 1)), [protocol], change);
  type Plan = Awaited<ReturnType<typeof plan>>;
  const sidesOf = ({ treatment }: Plan) => treatment.blocks.map(({ side }) => side).filter((side) => side !== 'both');
  const timesOn = ({ steps }: Plan, side: string, technique: string) =>
    steps
      .filter(({ told }) => told?.technique === technique && told.places.every((place) => place.endsWith(`.${side}`)))
      .reduce((sum, { repetitions }) => sum + repetitions, 0);

  it('offers nothing where nothing was found', async () => {
    expect((await plan()).treatment.lean).toBeUndefined();
  });

  it('offers the side with what was found, and leaves the plan as it was', async () => {
    const before = await plan();
    await tighterAt('jaw.right');
    const { treatment, steps } = await plan();
    expect(treatment.lean).toEqual({
      ...{ side: 'right', answer: 'offered', movedSeconds: 0, beginsThere: false },
      found: 'Tighter at the right jaw line: 1 of 1 visit',
    });
    expect(steps.map(({ id, repetitions }) => [id, repetitions])).toEqual(
      before.steps.map(({ id, repetitions }) => [id, repetitions]),
    );
  });

  it('begins there and gives it of the other side’s time, once taken', async () => {
    await tighterAt('cheek.right');
    const plain = await plan();
    const leaning = await plan({ leanTo: 'right' });
    expect(leaning.treatment.lean).toMatchObject({ answer: 'taken', beginsThere: true });
    expect(leaning.treatment.lean?.movedSeconds).toBeGreaterThan(0);
    expect([sidesOf(plain)[0], sidesOf(leaning)[0]]).toEqual(['left', 'right']);
    expect(timesOn(leaning, 'right', 'cheek-tap-lift')).toBeGreaterThan(timesOn(leaning, 'left', 'cheek-tap-lift'));
    expect(Math.abs(leaning.treatment.totalSeconds - plain.treatment.totalSeconds)).toBeLessThan(60);
    expect(errorsOf(leaning.treatment)).toEqual([]);
    expect(leaning.steps.some(({ told }) => told?.note.includes('The tighter side; the left gets'))).toBe(true);
  });

  it('leaves both sides alike where it was refused', async () => {
    await tighterAt('cheek.right');
    const { treatment } = await plan({ leanTo: 'neither' });
    expect(treatment.lean?.answer).toBe('refused');
    expect(treatment.wish.leanTo).toBe('neither');
  });

  it('learns it from a neck that turns less to one side, and from no difference that the eye may err by', async () => {
    const neck = (turnLeft: number, turnRight: number) => {
      const others = { flexion: null, extension: null, bendLeft: null, bendRight: null };
      return felt((days += 1), 'neck-range', null, { turnLeft, turnRight, ...others });
    };
    await neck(60, 56);
    expect((await plan()).treatment.lean).toBeUndefined();
    await neck(60, 44);
    expect((await plan()).treatment.lean).toMatchObject({
      side: 'right',
      found: 'Tighter at the right side of neck: 1 of 2 visits',
    });
  });

  it('forgets what is old, and what was tighter on both sides', async () => {
    await tighterAt('jaw.right', 45);
    expect((await plan()).treatment.lean).toBeUndefined();
    await tighterAt('cheek.left', 6);
    await tighterAt('cheek.right', 5);
    expect((await plan()).treatment.lean).toBeUndefined();
  });

  it('keeps an order that was made by hand', async () => {
    await tighterAt('cheek.right');
    const { treatment } = await plan();
    const order = treatment.blocks.map(({ id }) => id);
    const leaning = await plan({ leanTo: 'right', order });
    expect(leaning.treatment.blocks.map(({ id }) => id)).toEqual(order);
    expect(leaning.treatment.lean).toMatchObject({ answer: 'taken', beginsThere: false });
  });

  it('takes the stones that were chosen for either half of a step that goes from side to side', async () => {
    await tighterAt('back-upper.right');
    const wished = { minutes: 90, leanTo: 'right' };
    const back = async (change: object) =>
      (await planFor(house, await bookFor(house, (days += 1)), ['stones-back'], { ...wished, ...change })).steps;
    const halves = (await back({})).filter(({ id }) => id.endsWith('/2') || id.endsWith('/2/2'));
    const second = halves.find(({ told }) => told?.stones && told.places.every((place) => place.endsWith('.left')));
    if (!second) throw new Error('no step was taken apart');
    const chosen = await back({ stones: { [second.id]: { size: 'small', count: 2, keep: false } } });
    expect(chosen.find(({ id }) => id === second.id)?.told?.stones).toMatchObject({ size: 'small', count: 2 });
    const first = chosen.find(({ id }) => id === second.id.slice(0, -2));
    expect(first?.told?.stones?.size).not.toBe('small');
  });

  it('asks the room for the same oil: the same skin is worked, only longer on one side', async () => {
    await tighterAt('cheek.right');
    const needs = async (leanTo?: string) => {
      const visit = await bookFor(house, (days += 1));
      await planFor(house, visit, [protocol], leanTo ? { leanTo } : {});
      const room = await readRoom(house.db, visit);
      return room?.items.map(({ key, what }) => [key, what]);
    };
    const plain = await needs();
    expect(plain?.length).toBeGreaterThan(2);
    expect(await needs('right')).toEqual(plain);
  });

  it('is what the table leads, press by press, to its end', async () => {
    await tighterAt('cheek.right');
    const visit = await bookFor(house, -1);
    const { steps, treatment } = await planFor(house, visit, [protocol], { leanTo: 'right' });
    expect(treatment.lean?.answer).toBe('taken');
    expect((await readVisit(house.db, visit))?.plan?.steps.map(({ id }) => id)).toEqual(steps.map(({ id }) => id));
    await follow(house, visit, steps, 1);
    const { outcomes } = replay((await readVisit(house.db, visit))?.events ?? []);
    expect(steps.every(({ id }) => outcomes.get(id)?.state === 'done')).toBe(true);
    const worked = secondsWorked((await readVisit(house.db, visit))?.events ?? []);
    const secondsOn = (side: string) =>
      steps
        .filter(
          ({ told }) => told?.technique === 'cheek-tap-lift' && told.places.every((one) => one.endsWith(`.${side}`)),
        )
        .reduce((sum, { id }) => sum + (worked.get(id) ?? 0), 0);
    expect(secondsOn('right')).toBeGreaterThan(secondsOn('left'));
  });

  it('is of this visit: nothing of it is kept for another time', () => {
    expect(Object.keys(holds([protocol]))).not.toContain('leanTo');
  });
});
