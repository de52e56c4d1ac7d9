import { beforeEach, describe, expect, it } from 'vitest';
import { BlendInput, BottleInput } from '../../contracts/oil-house';
import type { TableEvent } from '../../core/table/table-event';
import { readLayerFacts } from '../oils/layer-facts';
import { readVisitFrame } from '../visits/read-visit';
import { chooseBlend } from '../oils/choose-blend';
import { listBottles } from '../oils/oils.repository';
import { readOilBench } from '../oils/read-oils';
import { addBottle } from '../oils/save-oils';
import { addFinding } from '../screening/save-finding';
import { actor, admit, finding, now, openHouse, type TestHouse } from '../shared/test-house';
import { readyForTable, recordEvents } from '../table/record-table';
import { layersAgainst } from './layers-of-steps';
import { finishVisit } from '../visits/close-visit';
import { makeTreatment } from './make-treatment';
import { readRoom } from './read-room';
import { bookFor, follow, mayAll, planFor, wish } from './treatment-fixtures';

/** Drops straight onto the skin: chosen, limited, counted, taken from their bottles, and known at the bench. */

let house: TestHouse;
let visit: number;
const shelf = ['lavender', 'cypress', 'wintergreen', 'marjoram-sweet', 'peppermint'];
beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
  for (const oil of shelf)
    await addBottle(
      house.db,
      BottleInput.parse({
        kind: 'essential',
        oil,
        lot: 'L1',
        openedOn: '2026-06-01',
        sizeMl: 10,
        leftMl: 10,
        costCents: 900,
        dropsPerMl: oil === 'peppermint' ? 22 : null,
      }),
      actor,
    );
  visit = await bookFor(house, 0, ['spine-oil-layers']);
});

const planned = async (change: object = {}) => {
  const plan = await planFor(house, visit, ['spine-oil-layers'], change);
  const layers = plan.treatment.layers?.layers ?? [];
  return { ...plan, layers, oils: layers.map(({ oil, drops }) => [oil, drops]) };
};
const stepFor = (plan: Awaited<ReturnType<typeof planned>>, oil: string) =>
  plan.layers.find((one) => one.oil === oil)?.step ?? '';
const fell = (step: string, oil: string, drops: number): TableEvent => ({
  ...{ id: `drops-${step}-${drops}`, kind: 'drops', stepId: step, oil, drops, planVersion: 1 },
  at: actor.now.toISOString(),
});
const leftOf = async (oil: string) => (await listBottles(house.db)).find((one) => one.oil === oil)?.leftMl;

describe('layers along the spine', () => {
  it('name their oils, drops and dilution in plan, steps and room list, and leave out what nothing may drop for', async () => {
    const plan = await planned();
    expect(plan.oils).toEqual([
      ['lavender', 6],
      ['cypress', 6],
      ['wintergreen', 6],
      ['marjoram-sweet', 6],
      ['peppermint', 6],
    ]);
    const told = plan.steps.flatMap(({ told: one }) => (one?.layer ? [one] : []));
    expect(told.map(({ dropped }) => dropped?.name)).toEqual([
      'Lavender',
      'Cypress',
      'Wintergreen',
      'Sweet marjoram',
      'Peppermint',
    ]);
    expect(told[3]?.note).toMatch(/^6 drops of sweet marjoram, diluted to [\d.]+ %\. From the base up/);
    await house.db.updateTable('oil_bottle').set({ left_ml: 0 }).where('oil', '=', 'wintergreen').execute();
    const without = await planned({ basedOn: plan.version });
    expect(without.oils[2]).toEqual([null, 0]);
    expect(without.treatment.leftOut.find(({ rule }) => rule === 'oil-limits')?.why).toContain('The shelf has nothing');
    await house.db.updateTable('oil_bottle').set({ left_ml: 10 }).where('oil', '=', 'wintergreen').execute();
    await planned({ basedOn: without.version });
    const list = (await readRoom(house.db, visit))?.items.map(({ what }) => what).join(' ');
    expect(list).toMatch(
      /in this order: 10 mL of plain medium each, with drops of lavender \d+, cypress \d+, wintergreen/,
    );
  });

  it('are as the therapist wants them, and refused where the skin may not have it, with the field', async () => {
    const first = await planned();
    const step = stepFor(first, 'cypress');
    const layers = { [step]: { oil: 'cypress', drops: 9 } };
    expect((await planned({ basedOn: 1, layers })).oils[1]).toEqual(['cypress', 9]);
    const cool = { [stepFor(first, 'peppermint')]: { oil: 'peppermint', drops: 30 } };
    const refused = await makeTreatment(
      house.db,
      visit,
      wish(['spine-oil-layers'], { basedOn: 2, layers: cool }),
      actor,
    );
    expect(refused).toMatchObject({ kind: 'refused', errors: [{ path: `layers.${stepFor(first, 'peppermint')}` }] });
  });

  it('are counted at the table, and taken from their bottles when the visit is closed, once', async () => {
    const plan = await planned();
    await follow(house, visit, plan.steps);
    const events = [fell(stepFor(plan, 'cypress'), 'cypress', 5), fell(stepFor(plan, 'cypress'), 'cypress', 4)];
    await recordEvents(house.db, visit, { deviceId: 'the-table', events }, actor);
    await finishVisit(house.db, visit, actor);
    await finishVisit(house.db, visit, actor);
    const left = await leftOf('cypress');
    // Four drops of a bottle that has some two percent of it.
    expect(left).toBeLessThan(10);
    expect(10 - (left ?? 0)).toBeLessThan((4 / 20) * 0.03);
    expect(await leftOf('lavender')).toBe(10);
  });

  it('are named at a visit within seven days', async () => {
    const plan = await planned();
    await follow(house, visit, plan.steps);
    const events = [fell(stepFor(plan, 'cypress'), 'cypress', 4)];
    await recordEvents(house.db, visit, { deviceId: 'the-table', events }, actor);
    const latelyAt = async (days: number) => {
      const record = await readVisitFrame(house.db, await bookFor(house, days));
      return record && (await readLayerFacts(house.db, record, undefined)).lately;
    };
    expect(await latelyAt(3)).toMatchObject([{ words: 'cypress 4 drops' }]);
    expect(await latelyAt(12)).toEqual([]);
  });

  it('count against the blend that comes to the same skin', async () => {
    const plan = await planned();
    const view = await readOilBench(house.db, { visitId: visit, clientId: null }, ['aromatherapy-clinical'], now);

    expect(view.visit?.onSkin?.parts).toContainEqual({ oil: 'peppermint', drops: expect.any(Number), dropsPerMl: 22 });
    const body = BlendInput.parse({
      ...{ name: 'Cool', area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: [] },
      parts: [{ oil: 'wintergreen', drops: 14 }],
    });
    const choice = { area: 'body' as const, blend: body, pouredFrom: null };
    const refused = await chooseBlend(house.db, visit, choice, ['aromatherapy-clinical'], actor);
    expect(refused).toMatchObject({ kind: 'refused' });
    expect(JSON.stringify(refused)).toContain('with what lies there already');
    // Without layers the same blend may be given.
    await planFor(house, visit, ['oil-leg-foot-belly-arm'], { basedOn: plan.version });
    expect(await chooseBlend(house.db, visit, choice, ['aromatherapy-clinical'], actor)).toMatchObject({
      kind: 'saved',
    });
  });

  it('are not begun with a bottle that has been emptied since, and are on paper as in the plan', async () => {
    const plan = await planned();
    await admit(house.db, visit);
    expect(await readyForTable(house.db, visit)).toEqual([]);
    await house.db.updateTable('oil_bottle').set({ left_ml: 0 }).where('oil', '=', 'cypress').execute();
    expect((await readyForTable(house.db, visit))?.[0]?.message).toContain('Cypress is used up or too old');
    const again = await planned({ basedOn: plan.version });
    expect(again.oils.map(([oil]) => oil)).not.toContain('cypress');
  });

  it('refuse an oil at the table that there is not, and name the field', async () => {
    const plan = await planned();
    await follow(house, visit, plan.steps);
    const events = [fell(stepFor(plan, 'cypress'), 'moonflower', 2)];
    expect(await recordEvents(house.db, visit, { deviceId: 'the-table', events }, actor)).toMatchObject({
      ...{ kind: 'refused', errors: [{ path: 'events.0.oil' }] },
    });
  });

  it('are found by the check apart where an oil is kept away from this client', async () => {
    const plan = await planned();
    const record = await readVisitFrame(house.db, visit);
    if (!record || !plan.treatment.layers) throw new Error('no plan');
    expect(layersAgainst(plan.treatment.layers, plan.steps, record)).toEqual([]);
    await addFinding(house.db, house.client, finding({ id: 'asthma' }), actor);
    const now2 = await readVisitFrame(house.db, visit);
    if (!now2) throw new Error('no visit');
    expect(layersAgainst(plan.treatment.layers, plan.steps, now2)).not.toEqual([]);
    const again = await planned({ basedOn: plan.version });
    expect(again.oils.map(([oil]) => oil)).not.toContain('peppermint');
    for (const { strengthPercent } of again.layers) expect(strengthPercent).toBeLessThanOrEqual(1);
  });
});
