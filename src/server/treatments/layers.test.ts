import { beforeEach, describe, expect, it } from 'vitest';
import { BlendInput, BottleInput } from '../../contracts/oil-house';
import type { TableEvent } from '../../core/table/table-event';
import { readLayerFacts } from '../oils/layer-facts';
import { readVisitFrame } from '../visits/read-visit';
import { chooseBlend } from '../oils/choose-blend';
import { listBottles } from '../oils/oils.repository';
import { readOilBench } from '../oils/read-oils';
import { addBottle } from '../oils/save-oils';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { recordEvents } from '../table/record-table';
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
  it('name their oils and drops in plan, steps, room list, and what is left out', async () => {
    const plan = await planned();
    expect(plan.oils).toEqual([
      ['marjoram-sweet', 6],
      ['cypress', 6],
      [null, 0],
      ['lavender', 6],
      ['peppermint', 1],
    ]);
    const told = plan.steps.flatMap(({ told: one }) => (one?.layer ? [one] : []));
    expect(told.map(({ dropped }) => dropped?.name)).toEqual([
      'Sweet marjoram',
      'Cypress',
      undefined,
      'Lavender',
      'Peppermint',
    ]);
    expect(told[3]?.note).toMatch(/^6 drops of lavender\. From the base up/);
    expect(plan.treatment.leftOut.find(({ rule }) => rule === 'oil-limits')?.why).toContain('wintergreen');
    const list = (await readRoom(house.db, visit))?.items.map(({ what }) => what).join(' ');
    expect(list).toContain('in this order: sweet marjoram 6, cypress 6, lavender 6, peppermint 1');
  });

  it('are as the therapist wants them, and refused where the skin may not have it, with the field', async () => {
    const first = await planned();
    const step = stepFor(first, 'cypress');
    const layers = { [step]: { oil: 'cypress', drops: 9 } };
    expect((await planned({ basedOn: 1, layers })).oils[1]).toEqual(['cypress', 9]);
    const cool = { [stepFor(first, 'peppermint')]: { oil: 'peppermint', drops: 8 } };
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
    expect(left).toBeLessThan(10);
    expect(10 - (left ?? 0)).toBeCloseTo(4 / 24, 1);
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
    expect(view.visit?.onSkin?.parts).toContainEqual({ oil: 'peppermint', drops: 1, dropsPerMl: 22 });
    const body = BlendInput.parse({
      ...{ name: 'Cool', area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: [] },
      parts: [{ oil: 'peppermint', drops: 8 }],
    });
    const choice = { area: 'body' as const, blend: body, pouredFrom: null };
    const refused = await chooseBlend(house.db, visit, choice, ['aromatherapy-clinical'], actor);
    expect(refused).toMatchObject({ kind: 'refused' });
    expect(JSON.stringify(refused)).toContain('with what lies there already');
    // Without layers the same blend may be given.
    await planFor(house, visit, ['aroma-whole-body'], { basedOn: plan.version, minutes: 120 });
    expect((await chooseBlend(house.db, visit, choice, ['aromatherapy-clinical'], actor)).kind).toBe('saved');
  });
});
