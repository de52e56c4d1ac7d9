import { beforeEach, describe, expect, it } from 'vitest';
import { MeasuringInput, ObservationInput } from '../../contracts/measures';
import { usualMeasuring } from '../../core/swelling/settings';
import { saveClosing } from '../visits/close-visit';
import { actor, book, closing, openHouse, type TestHouse } from '../shared/test-house';
import { readChanges } from './read-changes';
import { saveMeasuring } from './save-measuring';
import { saveObservation } from './save-observation';

/** Before and after of everything that is measured beside the tape, over a client's visits. */

let house: TestHouse;
let visits: readonly number[];
beforeEach(async () => {
  house = await openHouse();
  visits = [await book(house, -21), await book(house, -14), await book(house, -7)];
});

const observe = (visit: number, phase: 'before' | 'after', kind: string, value: object, place: string | null = null) =>
  saveObservation(house.db, visit, ObservationInput.parse({ phase, kind, place, value, replaces: null }), actor);
const scores = (heaviness: number) => ({ heaviness, tightness: null, pain: null, movement: null, calfPain: null });
const changeOf = async (key: string) =>
  (await readChanges(house.db, house.client)).find((one) => one.key === key)?.visits ?? [];
const [first, second, third] = [0, 1, 2].map((i) => () => visits[i] ?? 0) as [() => number, () => number, () => number];

describe('before and after', () => {
  it('is empty for whoever was never measured', async () => {
    expect(await readChanges(house.db, house.client)).toEqual([]);
  });

  it('says what each visit gained, oldest first, and what held until the next', async () => {
    await observe(first(), 'before', 'scores', scores(8));
    await observe(first(), 'after', 'scores', scores(4));
    await observe(second(), 'before', 'scores', scores(6));
    await observe(second(), 'after', 'scores', scores(5));
    await observe(third(), 'before', 'scores', scores(6));
    const course = await changeOf('heaviness');
    expect(course.map(({ change, isBeyond, heldPercent }) => [change, isBeyond, heldPercent])).toEqual([
      [-4, true, 50],
      [-1, false, null],
      [null, null, null],
    ]);
    expect(course[0]).toMatchObject({ visitId: first(), before: 8, after: 4, isBetter: true });
  });

  it('holds the belly against the figure of the house', async () => {
    const girth = (girthCm: number) => ({
      ...{ navelHeightCm: 104, girths: [{ heightCm: 0, girthCm }], hipCm: null, isCovered: false },
      surgeonConsent: 'Dr Weiss, by telephone, 3 May',
    });
    await observe(first(), 'before', 'abdomen', girth(96));
    await observe(first(), 'after', 'abdomen', girth(93.5));
    expect((await changeOf('belly 0'))[0]).toMatchObject({ change: -2.5, isBeyond: false });
    await saveMeasuring(
      house.db,
      MeasuringInput.parse({ ...usualMeasuring, detectable: { 'abdomen-girth': 2 } }),
      actor,
    );
    expect((await changeOf('belly 0'))[0]).toMatchObject({ change: -2.5, isBeyond: true });
  });

  it('keeps places apart, and names them', async () => {
    await observe(first(), 'before', 'texture', { texture: 'hard' }, 'calf-upper.left');
    await observe(first(), 'after', 'texture', { texture: 'doughy' }, 'calf-upper.left');
    await observe(first(), 'before', 'texture', { texture: 'soft' }, 'shin-upper.left');
    const all = await readChanges(house.db, house.client);
    expect(all.map(({ key }) => key)).toEqual(['firmness calf-upper.left', 'firmness shin-upper.left']);
    expect(all[0]?.name).toMatch(/^firmness, left/);
    expect(all[0]?.steps).toEqual(['soft', 'doughy', 'firm', 'hard']);
    expect(all[0]?.visits[0]).toMatchObject({ before: 3, after: 1, change: -2, isBeyond: true });
  });

  it('takes what is asked when the visit is closed: how relaxed, how red', async () => {
    const answers = { pressure: 0, comfort: 8, redness: 2, rednessBefore: 0, note: '', basedOn: 0 } as const;
    await saveClosing(house.db, first(), closing({ ...answers, relaxationBefore: 3, relaxationAfter: 8 }), actor);
    expect((await changeOf('relaxed'))[0]).toMatchObject({ change: 5, isBeyond: true, isBetter: true });
    expect((await changeOf('red'))[0]).toMatchObject({ change: 2, isBeyond: true, isBetter: false });
  });
});
