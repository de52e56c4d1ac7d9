import { beforeEach, describe, expect, it } from 'vitest';
import { type ObservationInput, ObservationInput as ObservationSchema } from '../../contracts/measures';
import { usualClientMeasuring, usualMeasuring } from '../../core/swelling/settings';
import { addFinding } from '../screening/save-finding';
import { actor, book, finding, larger, legs, openHouse, tapeLegs, type TestHouse } from '../shared/test-house';
import { readFlags, settleFlag } from '../screening/raise-flags';
import { readMeasure } from './read-measure';
import { readVisit } from '../visits/read-visit';
import { removeObservation, saveObservation } from './save-observation';
import { removeProtocol, saveClientMeasuring, saveMeasuring, saveProtocol } from './save-measuring';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const observed = (input: object): ObservationInput => ObservationSchema.parse(input);
const observe = (input: object, visit = house.visit) => saveObservation(house.db, visit, observed(input), actor);
const tape = (visit: number, change: Parameters<typeof tapeLegs>[2] = {}) => tapeLegs(house.db, visit, change);

describe('observations', () => {
  it('take the place of the old one, which stays in the history', async () => {
    const first = await observe({ kind: 'texture', place: 'shin-lower.left', value: { texture: 'doughy' } });
    if (first.kind !== 'saved') throw new Error('not saved');
    await observe({
      kind: 'texture',
      place: 'shin-lower.left',
      value: { texture: 'soft' },
      replaces: first.observation.key,
    });
    const view = await readMeasure(house.db, house.visit);
    expect(view?.observations.map((one) => one.value)).toEqual([{ texture: 'soft' }]);
    const all = await house.db.selectFrom('observation').select(['ended_at', 'replaces']).orderBy('id').execute();
    expect(all).toMatchObject([{ replaces: null }, { ended_at: null, replaces: first.observation.key }]);
  });

  it('need a place that is on the body, and are not corrected twice', async () => {
    expect(await observe({ kind: 'redness', value: { grade: 1 } })).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'place' }],
    });
    expect(await observe({ kind: 'redness', place: 'moon.left', value: { grade: 1 } })).toMatchObject({
      kind: 'refused',
    });
    expect(await observe({ kind: 'stage', value: { stage: 'II' }, replaces: 99 })).toEqual({
      kind: 'edited-elsewhere',
    });
    expect(await observe({ kind: 'stage', value: { stage: 'II' } }, 999)).toEqual({ kind: 'not-found' });
  });

  it.each([
    ['a pit of 40 mm', { kind: 'pitting', place: 'shin-lower.left', value: { depthMm: 40, reboundSeconds: null } }],
    ['skin of 50 °C', { kind: 'temperature', place: 'shin-lower.left', value: { hereC: 50, mirrorC: 31 } }],
    ['a score of 11', { kind: 'scores', value: { tightness: 11, heaviness: null, pain: null, movement: null } }],
    [
      'belly girths without the surgeon’s consent',
      { kind: 'abdomen', value: { navelHeightCm: 100, girths: [], surgeonConsent: ' ' } },
    ],
    ['an unknown kind', { kind: 'mood', value: {} }],
  ])('refuse %s', (_, input) => {
    expect(ObservationSchema.safeParse(input).success).toBe(false);
  });

  it('show what was found last time, and can be taken back', async () => {
    const earlier = await book(house, -14);
    const saved = await observe(
      { kind: 'skin-fold', place: 'left', value: { site: 'toe', sign: 'positive' } },
      earlier,
    );
    expect((await readMeasure(house.db, house.visit))?.lastObservations).toHaveLength(1);
    if (saved.kind !== 'saved') throw new Error('not saved');
    expect(await removeObservation(house.db, earlier, saved.observation.key, actor)).toEqual({ kind: 'saved' });
    expect(await removeObservation(house.db, earlier, saved.observation.key, actor)).toEqual({ kind: 'not-found' });
    expect((await readMeasure(house.db, house.visit))?.lastObservations).toEqual([]);
  });
});

describe('flags', () => {
  it('are raised once, stop the table, and stay until somebody closes them with a note', async () => {
    await observe({ kind: 'redness', place: 'shin-lower.left', value: { grade: 2 } });
    const warm = await observe({
      kind: 'temperature',
      place: 'shin-lower.left',
      value: { hereC: 33.5, mirrorC: 31.2 },
    });
    expect(warm).toMatchObject({ flags: [{ rule: 'local-infection', level: 'same-day' }] });
    await observe({ kind: 'texture', place: 'shin-lower.left', value: { texture: 'soft' } });
    const [flag] = await readFlags(house.db, house.client, house.visit);
    expect(await readFlags(house.db, house.client, 0)).toHaveLength(1);
    const later = await book(house, 7);
    expect((await readMeasure(house.db, later))?.flags).toMatchObject([{ isOfThisVisit: false }]);
    expect(await settleFlag(house.db, house.client, flag?.id ?? 0, 'Seen at the clinic, cleared.', actor)).toEqual({
      kind: 'saved',
    });
    expect(await settleFlag(house.db, house.client, flag?.id ?? 0, 'again', actor)).toEqual({ kind: 'not-found' });
    expect(await readFlags(house.db, house.client, house.visit)).toEqual([]);
  });

  it('tell a sudden increase from a slip of the finger', async () => {
    const earlier = await book(house, -7);
    await tape(earlier);
    const slip = await tape(house.visit, { affected: [23, 25, 280, 32, 35] });
    expect(slip).toMatchObject({ flags: [] });
    const half = await tape(house.visit, { affected: [...larger(3).slice(0, 4), null], basedOn: 1 });
    expect(half).toMatchObject({ flags: [] });
    await saveMeasuring(house.db, { ...usualMeasuring, detectable: { 'leg-volume': 20 } }, actor);
    const real = await tape(house.visit, { affected: larger(3), basedOn: 2 });
    expect(real.kind === 'saved' && real.flags.map(({ rule }) => rule)).toContain('sudden-increase-quiet');
  });

  it('know what is on record: cancer, and whether a clinician has looked', async () => {
    await addFinding(house.db, house.client, finding({ id: 'cancer-past' }), actor);
    expect(await tape(house.visit)).toMatchObject({ flags: [] });
    await saveClientMeasuring(
      house.db,
      house.client,
      { ...usualClientMeasuring, protocols: {}, wasAssessed: false },
      actor,
    );
    expect(await tape(house.visit, { basedOn: 1 })).toMatchObject({ flags: [{ rule: 'cancer-new-swelling' }] });
  });

  it('weigh a gain of weight against the days', async () => {
    const days = await book(house, -3);
    const context = { weightKg: 70 };
    await tape(days, { context });
    const now = await tape(house.visit, { context: { weightKg: 72.1 } });
    expect(now.kind === 'saved' && now.flags.map(({ rule }) => rule)).toContain('fluid-weight-gain');
  });
});

describe('settings and protocols', () => {
  it('work every series out afresh', async () => {
    await tape(house.visit);
    const before = (await readVisit(house.db, house.visit))?.before?.volume?.affectedMl ?? 0;
    await saveClientMeasuring(
      house.db,
      house.client,
      { ...usualClientMeasuring, protocols: {}, method: 'disc' },
      actor,
    );
    const after = (await readVisit(house.db, house.visit))?.before?.volume?.affectedMl ?? 0;
    expect(after).toBeGreaterThan(before);
    const trail = await house.db.selectFrom('audit').select('action').execute();
    expect(trail.map(({ action }) => action)).toContain('measuring of a client changed');
  });

  const own = {
    limb: 'leg' as const,
    name: 'Calf only',
    zero: 'outer ankle bone',
    posture: 'lying',
    stop: '',
    restMinutes: 5,
    positionsCm: [10, 15, 22, 30],
    eight: null,
  };

  it('refuse points that are too close, too few, or not rising', async () => {
    for (const positionsCm of [
      [0, 4],
      [0, 0.5, 4],
      [4, 0, 8],
      [0, 4, 130],
    ])
      expect(await saveProtocol(house.db, undefined, { ...own, positionsCm }, actor)).toMatchObject({
        kind: 'refused',
        errors: [{ path: 'positionsCm' }],
      });
    expect(await saveProtocol(house.db, undefined, { ...own, name: 'leg, every 4 cm' }, actor)).toMatchObject({
      errors: [{ path: 'name' }],
    });
  });

  it('are changed until a taping was made by them, then only copied', async () => {
    const made = await saveProtocol(house.db, undefined, own, actor);
    if (made.kind !== 'saved') throw new Error('not saved');
    const { id } = made.protocol;
    expect((await saveProtocol(house.db, id, { ...own, restMinutes: 10 }, actor)).kind).toBe('saved');
    await tape(house.visit, { protocol: id });
    expect(await saveProtocol(house.db, id, own, actor)).toMatchObject({ kind: 'refused' });
    expect(await removeProtocol(house.db, id, actor)).toEqual({ kind: 'saved' });
    const offered = (await readMeasure(house.db, house.visit))?.protocols.map((one) => one.id);
    expect(offered).not.toContain(id);
    expect(offered).toContain('leg4');
  });

  it('take the therapist’s own error from pairs of readings', async () => {
    for (let k = 1; k <= 5; k += 1) {
      const shift = [0.1, -0.1, 0.2, 0, -0.2][k - 1] ?? 0;
      await tape(await book(house, -7 * k), {
        second: { affected: larger(shift), reference: legs.reference.map((girth) => girth - shift) },
      });
    }
    const { ownErrors } = (await readMeasure(house.db, house.visit)) ?? {};
    expect(ownErrors?.leg).toMatchObject({ pairs: 10, isShifted: false });
    expect(ownErrors?.leg?.mdc95).toBeGreaterThan(1);
    expect(ownErrors?.arm).toBeUndefined();
    await tape(house.visit, { second: { affected: larger(0.1), reference: [...legs.reference] } });
    const { ownErrors: later } = (await readMeasure(house.db, house.visit)) ?? {};
    expect(later?.leg?.pairs).toBe(12);
  });
});
