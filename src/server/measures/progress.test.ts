import { beforeEach, describe, expect, it } from 'vitest';
import { type ObservationInput, ObservationInput as ObservationSchema } from '../../contracts/measures';
import { usualMeasuring } from '../../core/swelling/settings';
import { saveClosing } from '../visits/close-visit';
import { exportMeasures } from './export-measures';
import { eraseClient } from '../clients/erase-client';
import { actor, book, closing, larger, legs, now, openHouse, tapeLegs, type TestHouse } from '../shared/test-house';
import { readClient } from '../clients/read-client';
import { readMeasure } from './read-measure';
import { readProgress } from './read-progress';
import { readVisit } from '../visits/read-visit';
import { printProgress } from '../paper/progress-pdf';
import { saveObservation } from './save-observation';
import { saveMeasuring } from './save-measuring';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const observed = (input: object): ObservationInput => ObservationSchema.parse(input);
const observe = (input: object, visit = house.visit) => saveObservation(house.db, visit, observed(input), actor);
const tape = (visit: number, change: Parameters<typeof tapeLegs>[2] = {}) => tapeLegs(house.db, visit, change);

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
    const pdf = await printProgress(view, leg, null, []);
    expect(pdf.length).toBeGreaterThan(10_000);
    expect((await readMeasure(house.db, house.visit))?.house.volumeUnit).toBe('imp-fl-oz');
    expect((await readVisit(house.db, house.visit))?.volumeUnit).toBe('imp-fl-oz');
  });

  it('shows a reaction before the next treatment, and what the client would like otherwise', async () => {
    for (const [k, fadeMinutes] of [5, 15, -1].entries()) {
      const visit = await book(house, -7 * (3 - k));
      const input = {
        pressure: -1,
        comfort: 8,
        redness: 2,
        rednessBefore: 0,
        fadeMinutes,
        warmth: 0,
        note: '',
        basedOn: 0,
      };
      await saveClosing(house.db, visit, closing(input as never), actor);
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
    const pdf = await printProgress(view, leg, '1970-05-01', []);
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
