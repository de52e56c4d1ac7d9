import { beforeEach, describe, expect, it } from 'vitest';
import { type ObservationInput, ObservationInput as ObservationSchema } from '../../contracts/measures';
import { drawLimbs } from '../../demo/picture';
import { usualClientMeasuring, usualMeasuring } from '../../core/swelling/settings';
import { saveClosing } from './close-visit';
import { exportMeasures } from './export-measures';
import { eraseClient } from './erase-client';
import { listAttachments, removeAttachment } from './attach-file';
import { addFinding } from './findings';
import { actor, book, closing, finding, now, openHouse, taping, type TestHouse } from './fixtures';
import { readFlags, settleFlag } from './raise-flags';
import { readClient } from './read-client';
import { readMeasure } from './read-measure';
import { readProgress } from './read-progress';
import { readVisit } from './read-visit';
import { printProgress } from './progress-report';
import { removeObservation, saveObservation } from './save-observation';
import { removeProtocol, saveClientMeasuring, saveMeasuring, saveProtocol } from './save-measuring';
import { savePhoto } from './save-photo';
import { saveTaping } from './save-taping';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const observed = (given: object): ObservationInput => ObservationSchema.parse(given);
const observe = (given: object, visit = house.visit) => saveObservation(house.db, visit, observed(given), actor);
const legs = {
  phase: 'before',
  limb: 'leg',
  side: 'left',
  unit: 'cm',
  method: 'frustum',
  positions: [0, 4, 8, 12, 16],
  affected: [23, 25, 28, 32, 35],
  reference: [22, 24, 27, 30, 33],
  basedOn: 0,
} as const;
type Legs = Parameters<typeof taping>[0];
const tape = (visit: number, change: Partial<Legs> = {}) =>
  saveTaping(
    house.db,
    visit,
    taping({
      ...legs,
      positions: [...legs.positions],
      affected: [...legs.affected],
      reference: [...legs.reference],
      ...change,
    }),
    actor,
  );
const larger = (by: number) => legs.affected.map((girth) => girth + by);

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
  ])('refuse %s', (_, given) => {
    expect(ObservationSchema.safeParse(given).success).toBe(false);
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
  });
});

describe('photographs', () => {
  const picture = drawLimbs(
    [0, 10, 20],
    [
      [20, 25, 30],
      [22, 28, 33],
    ],
  );
  const photo = (content: Uint8Array) =>
    savePhoto(house.db, house.visit, { pose: 'front', phase: 'before', content }, actor);

  it('are kept with their pose and go with their file', async () => {
    expect((await photo(picture)).kind).toBe('saved');
    expect((await readMeasure(house.db, house.visit))?.photos).toMatchObject([{ pose: 'front', isOfThisVisit: true }]);
    const [file] = await listAttachments(house.db, house.client);
    await removeAttachment(house.db, house.client, file?.id ?? 0, actor);
    expect((await readMeasure(house.db, house.visit))?.photos).toEqual([]);
  });

  it('are refused when empty, or no picture', async () => {
    expect(await photo(new Uint8Array())).toMatchObject({ errors: [{ message: 'That file is empty.' }] });
    expect(await photo(new TextEncoder().encode('%PDF-1.7\n'))).toMatchObject({ kind: 'refused' });
    expect(await listAttachments(house.db, house.client)).toEqual([]);
  });
});

describe('progress', () => {
  const course = async (responseCm = 0.3) => {
    for (const [k, excess] of [3, 2.4, 2.1, 1.5, 1.2].entries()) {
      const visit = await book(house, -7 * (5 - k));
      await tape(visit, { affected: larger(excess - 1) });
      await tape(visit, { phase: 'after', affected: larger(excess - 1 - responseCm) });
      await saveClosing(
        house.db,
        visit,
        closing({ pressure: 0, comfort: 8, redness: 1, rednessBefore: 0, fadeMinutes: 5, note: '', basedOn: 0 }),
        actor,
      );
    }
    return readProgress(house.db, house.client, now);
  };

  it('is empty, and says so, before anything was measured', async () => {
    expect(await readProgress(house.db, house.client, now)).toMatchObject({ courses: [], feedback: [] });
    expect(await readProgress(house.db, 999, now)).toBeUndefined();
  });

  it('tells trend, response and retention over one stretch', async () => {
    const view = await course();
    const [leg] = view?.courses ?? [];
    expect(leg).toMatchObject({ key: 'leg left', fromCm: 0, toCm: 16 });
    expect(leg?.points).toHaveLength(5);
    expect(leg?.trends.excess?.direction).toBe('falling');
    expect(leg?.responses).toHaveLength(5);
    expect(leg?.medianResponseMl).toBeGreaterThan(0);
    expect(leg?.retentions).toBeGreaterThan(2);
    expect(leg?.reductionPercent).toBeGreaterThan(30);
    expect(view?.feedback.find(({ what }) => what === 'comfort')).toMatchObject({ count: 5, preferred: 8 });
    expect(view?.visits.at(-1)).toMatchObject({ fadeMinutes: 5, rednessVerdict: 'expected' });
  });

  it('tells response and retention of the excess beside those of the limb', async () => {
    const [leg] = (await course(0.8))?.courses ?? [];
    expect(leg?.responses.every(({ excessResponseMl }) => (excessResponseMl ?? 0) > 0)).toBe(true);
    // The other leg has not changed, so both tell the same.
    expect(leg?.medianExcessRetentionPercent).toBeCloseTo(leg?.medianRetentionPercent ?? 0, 6);
  });

  it('judges by the error of whoever taped last, everywhere alike', async () => {
    const seconds = (by: number) => ({ affected: larger(by), reference: legs.reference.map((girth) => girth + by) });
    for (const k of [1, 2, 3, 4, 5])
      await tape(await book(house, -30 * k), { second: seconds(k % 2 === 0 ? 0.05 : -0.05) });
    const now5 = await book(house, -1);
    await tape(now5, { affected: larger(0.4) });
    const measured = await readMeasure(house.db, now5);
    const own = measured?.ownErrors.leg;
    expect(own?.pairs).toBeGreaterThanOrEqual(10);
    const [leg] = (await readProgress(house.db, house.client, now))?.courses ?? [];
    expect(leg?.limitMl).toBeCloseTo(own?.mdc95 ?? 0, 6);
    const [latest] = (await readClient(house.db, house.client, now))?.history.filter(({ change }) => change) ?? [];
    expect(latest?.change?.limitMl).toBeLessThan(250);
  });

  it('lists what was felt, seen and asked, the deepest pit of a visit, and only what was looked at', async () => {
    const earlier = await book(house, -7);
    await observe({ kind: 'stage', value: { stage: 'II' } }, earlier);
    await observe({ kind: 'pitting', place: 'shin-lower.left', value: { depthMm: 2, reboundSeconds: 5 } }, earlier);
    await observe({ kind: 'pitting', place: 'calf-lower.left', value: { depthMm: 6, reboundSeconds: 20 } }, earlier);
    await observe({ kind: 'pitting', place: 'foot-top.left', value: { depthMm: 4, reboundSeconds: 9 } }, earlier);
    await observe({
      kind: 'neck-range',
      value: { flexion: 40, extension: null, turnLeft: 60, turnRight: 72, bendLeft: null, bendRight: null },
    });
    await observe({ kind: 'texture', place: 'calf-lower.left', value: { texture: 'firm' } }, await book(house, -3));
    const seen = (await readProgress(house.db, house.client, now))?.seen;
    expect(seen?.columns).toEqual([
      'stage, as observed',
      'pit, mm',
      'neck bends forward / back',
      'neck turns left / right',
    ]);
    expect(seen?.rows.map(({ cells }) => cells)).toEqual([
      [null, null, '40° / –', '60° / 72°'],
      ['II', '6', null, null],
    ]);
  });

  it('shows volumes in the unit of the house, and keeps them in millilitres', async () => {
    await saveMeasuring(house.db, { ...usualMeasuring, detectable: {}, volumeUnit: 'imp-fl-oz' }, actor);
    const view = await course();
    const [leg] = view?.courses ?? [];
    if (!view || !leg) throw new Error('no course');
    expect(leg.volumeUnit).toBe('imp-fl-oz');
    const pdf = await printProgress(view, leg, null);
    expect(pdf.length).toBeGreaterThan(10_000);
    expect((await readMeasure(house.db, house.visit))?.house.volumeUnit).toBe('imp-fl-oz');
    expect((await readVisit(house.db, house.visit))?.volumeUnit).toBe('imp-fl-oz');
  });

  it('shows a reaction before the next treatment, and what the client would like otherwise', async () => {
    for (const [k, fadeMinutes] of [5, 15, -1].entries()) {
      const visit = await book(house, -7 * (3 - k));
      const given = {
        pressure: -1,
        comfort: 8,
        redness: 2,
        rednessBefore: 0,
        fadeMinutes,
        warmth: 0,
        note: '',
        basedOn: 0,
      };
      await saveClosing(house.db, visit, closing(given as never), actor);
    }
    expect((await readMeasure(house.db, house.visit))?.lastReaction).toContain('Redness lasted longer');
    expect((await readClient(house.db, house.client, now))?.preferences).toEqual([
      'pressure: lighter please, three times in a row',
    ]);
    const first = await book(house, -40);
    expect((await readMeasure(house.db, first))?.lastReaction).toBeNull();
  });

  it('prints as a PDF with its fonts, and a chart of lines instead of dots', async () => {
    const view = await course();
    const [leg] = view?.courses ?? [];
    if (!view || !leg) throw new Error('no course');
    const pdf = await printProgress(view, leg, '1970-05-01');
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.includes('/Subtype /Image')).toBe(false);
    expect(pdf.includes('AtkinsonHyperlegible')).toBe(true);
  });

  it('goes out as a table with every reading, and is erased with the client', async () => {
    await tape(house.visit, { second: { affected: larger(0.2), reference: [...legs.reference] } });
    const table = (await exportMeasures(house.db, house.client, 'cm')) ?? '';
    const [head, first] = table.split('\r\n');
    expect(head).toContain('first reading cm,second reading cm');
    expect(first).toContain('Zoë Ahorn,1970-05-01,2026-11-25,before,leg,left,yes,0,23.0,23.2');
    expect(await exportMeasures(house.db, 999, 'cm')).toBeUndefined();
    await observe({ kind: 'stage', value: { stage: 'I' } });
    await eraseClient(house.db, house.client, 'Zoë Ahorn', actor);
    for (const name of ['taping', 'observation', 'photo', 'referral_flag'] as const)
      expect(await house.db.selectFrom(name).selectAll().execute(), name).toEqual([]);
  });
});
