import type { Drops } from '../../core/quantities';
import { beforeEach, describe, expect, it } from 'vitest';
import { BlendInput } from '../../contracts/oil-house';
import { limitsOver, stonesAt } from '../../core/judgement/visit-limits';
import { chooseBlend, chosenAgainst } from '../oils/choose-blend';
import { addFinding } from './save-finding';
import { actor, admit, finding, openHouse, type TestHouse } from '../shared/test-house';
import { judgeVisit } from './judge-visit';
import { readClose } from '../visits/read-close';
import { readRoom } from '../treatments/read-room';
import { readVisitFrame } from '../visits/read-visit';
import { readStoneBench } from '../stones/read-stones';
import { countMix, finishMix, startMix } from '../oils/mix-oils';
import { readyForTable } from '../table/record-table';
import { readAskedWork } from '../table/table-asks';
import { bookFor, mayAll, planFor } from '../treatments/treatment-fixtures';

/** What is decided for a client reaches bottles, stones, the room, the table and what is said at parting. */
let house: TestHouse;
const brings = (id: string, more: object = {}) => addFinding(house.db, house.client, finding({ id, ...more }), actor);
const clinical = ['massage', 'aromatherapy-clinical'];
const bottle = (drops: Drops, name = 'Evening') =>
  BlendInput.parse({
    ...{ name, area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: ['sleep'] },
    parts: drops > 0 ? [{ oil: 'lavender', drops }] : [],
  });
const choose = (visit: number, drops: Drops) =>
  chooseBlend(house.db, visit, { area: 'body', blend: bottle(drops), pouredFrom: null }, clinical, actor);
const judgementOf = async (visit: number) => {
  const record = await readVisitFrame(house.db, visit);
  if (!record) throw new Error('no visit');
  return judgeVisit(record);
};

beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
});

describe('a decision is obeyed by', () => {
  it('the bottle: one per cent for layered oils is one per cent at the bench, and as it was counted', async () => {
    await brings('multiple-sclerosis');
    const visit = await bookFor(house, 1, ['spine-oil-layers']);
    await planFor(house, visit, ['spine-oil-layers']);
    expect((await choose(visit, 20)).kind).toBe('refused');
    expect((await choose(visit, 5)).kind).toBe('saved');
    const started = await startMix(house.db, { blend: bottle(5), visitId: visit, clientId: null }, clinical, actor);
    if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
    await countMix(house.db, started.id, { counted: { lavender: 20 } });
    const finished = await finishMix(house.db, started.id, actor);
    expect(finished).toMatchObject({ kind: 'refused', errors: [{ path: 'counted' }] });
  });

  it('the bottle that was chosen before: a finding that came after keeps it from the table', async () => {
    const visit = await bookFor(house, 1, ['spine-oil-layers']);
    await planFor(house, visit, ['spine-oil-layers']);
    expect((await choose(visit, 20)).kind).toBe('saved');
    const record = async () => (await readVisitFrame(house.db, visit)) ?? expect.fail('no visit');
    expect(await chosenAgainst(house.db, await record())).toEqual([]);
    await brings('multiple-sclerosis');
    const plan = await planFor(house, visit, ['spine-oil-layers'], { basedOn: 1 });
    expect(plan.isStale).toBe(false);
    expect(await chosenAgainst(house.db, await record())).toMatchObject([{ path: 'blend' }]);
    await admit(house.db, visit);
    expect(await readyForTable(house.db, visit)).toMatchObject([
      { path: 'blend', message: expect.stringContaining('stronger than allowed') },
    ]);
  });

  it('the bottle: skin that takes no scent, touched by the work, makes all of it unscented', async () => {
    const body = 'oil-leg-foot-belly-arm';
    expect((await choose(await bookFor(house, 1, [body]), 5)).kind).toBe('saved');
    await brings('eczema', { regions: ['shin-upper.left'] });
    const visit = await bookFor(house, 2, [body]);
    expect(JSON.stringify(await choose(visit, 5))).toContain('Unscented only: The oil also touches');
    expect((await choose(visit, 0)).kind).toBe('saved');
  });

  it('the stones: thin or numb skin lowers the first touch, where it is and not elsewhere', async () => {
    await brings('reduced-sensation', { regions: ['sole.left'] });
    const judgement = await judgementOf(house.visit);
    expect(stonesAt(judgement, false, ['sole.left']).isOff).toBe(true);
    expect(stonesAt(judgement, false, ['back-upper.left']).isOff).toBe(false);
    expect((await readStoneBench(house.db, null, actor.now)).habits).toBeDefined();
  });

  it('the hands: where strokes run from the skull down, no cue says up', async () => {
    await brings('multiple-sclerosis');
    const visit = await bookFor(house, 1, ['spine-oil-layers']);
    const { steps } = await planFor(house, visit, ['spine-oil-layers']);
    const turned = steps.filter(({ told }) => told?.how.includes('from the skull down'));
    expect(turned.length).toBeGreaterThan(5);
    for (const { told } of turned) expect(`${told?.cue} ${told?.note}`).not.toMatch(/\b(base up|bottom to top|up)\b/i);
  });

  it('the room: what is latex, warm or flat is laid out otherwise', async () => {
    await brings('latex-allergy');
    const visit = await bookFor(house, 1, ['mouth-gloved']);
    await planFor(house, visit, ['mouth-gloved']);
    const gloves = (await readRoom(house.db, visit))?.items.find(({ id }) => id === 'gloves');
    expect(gloves?.what).toContain('without latex');
  });

  it('the table: where every step is asked about, it says so', async () => {
    await brings('touch-sensitivity');
    const judgement = await judgementOf(house.visit);
    const asked = await readAskedWork(house.db, house.visit);
    expect(asked).toContain('lymph-drainage');
    for (const modality of asked) expect(limitsOver(judgement, [{ modality, places: [] }]).askEachStep).toBe(true);
  });

  it('what is said at parting', async () => {
    const said = async (day: number) => {
      const visit = await bookFor(house, day, ['relaxing-face']);
      await planFor(house, visit, ['relaxing-face']);
      return (await readClose(house.db, visit))?.aftercare ?? [];
    };
    expect(await said(1)).not.toContain('get-up-slowly');
    await brings('vertigo');
    expect(await said(2)).toContain('get-up-slowly');
  });
});
