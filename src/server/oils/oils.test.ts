import type { VisitId } from '../../core/ids';
import { addDays } from 'date-fns';
import { beforeEach, describe, expect, it } from 'vitest';
import { ObservationInput } from '../../contracts/measures';
import { BlendInput, BottleInput, SmellInput } from '../../contracts/oil-house';
import { listBottles } from './oils.repository';
import { insertAnswers } from '../visits/visits.repository';
import { SimulatedDropScale } from '../devices/drop-scale';
import { dropsFromGrams, readGrams } from '../../core/oils/drop-scale';
import { chooseBlend, keepBlend, recordSmell } from './choose-blend';
import { finishVisit, saveClosing } from '../visits/close-visit';
import { addFinding } from '../screening/save-finding';
import { actor, closing, finding, now, openHouse, type TestHouse } from '../shared/test-house';
import { abandonMix, countMix, finishMix, readMix, startMix } from './mix-oils';
import { readOilClient } from './oil-client';
import { bottle, clinical, fillShelf } from './oil-fixtures';
import { placePatchTest, readPatchTest } from './patch-tests';
import { readDay } from '../visits/read-day';
import { readOilBench, readStock } from './read-oils';
import { readRoom } from '../treatments/read-room';
import { saveObservation } from '../measures/save-observation';
import { addBottle, changeBottle } from './save-oils';
import { mayAll, planFor } from '../treatments/treatment-fixtures';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
});

const blend = (change: object = {}) =>
  BlendInput.parse({
    ...{ name: 'Test blend', area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: ['sleep'] },
    parts: [
      { oil: 'lavender', drops: 9 },
      { oil: 'vetiver', drops: 3 },
    ],
    ...change,
  });
const bench = (visitId: VisitId | null = null, as = clinical) =>
  readOilBench(house.db, { visitId, clientId: null }, as, now);
const start = (input: BlendInput = blend(), as = clinical) =>
  startMix(house.db, { blend: input, visitId: house.visit, clientId: null }, as, actor);
const pathsOf = (result: object) =>
  'errors' in result ? (result.errors as readonly { path: string }[]).map(({ path }) => path) : [];

describe('the shelf', () => {
  it('refuses an oil that the catalogue does not have, and a bottle that was opened in the future', async () => {
    expect(pathsOf(await addBottle(house.db, bottle({ oil: 'moonflower' }), actor))).toEqual(['oil']);
    expect(pathsOf(await addBottle(house.db, bottle({ openedOn: '2026-12-01' }), actor))).toEqual(['openedOn']);
    expect(BottleInput.safeParse({ ...bottle(), leftMl: -1 }).success).toBe(false);
    expect(BottleInput.safeParse({ ...bottle(), leftMl: 11 }).error?.issues[0]?.path).toEqual(['leftMl']);
  });

  it('remembers what is counted differently and what is thrown away', async () => {
    await fillShelf(house);
    const first = (await listBottles(house.db)).find(({ oil }) => oil === 'lavender');
    await changeBottle(house.db, first?.id ?? 0, bottle({ leftMl: 7 }), actor);
    await changeBottle(house.db, first?.id ?? 0, bottle({ leftMl: 7, state: 'discarded' }), actor);
    const draws = await house.db.selectFrom('oil_draw').select(['ml', 'why']).execute();
    expect(draws).toEqual([
      { ml: 3, why: 'corrected' },
      { ml: 7, why: 'discarded' },
    ]);
    expect(await listBottles(house.db)).toHaveLength(3);
  });
});

describe('a bottle that is mixed', () => {
  it('is counted, judged, drawn from the oldest bottle, dated and labelled', async () => {
    await addBottle(house.db, bottle({ lot: 'older', openedOn: '2026-01-01', leftMl: 0.2 }), actor);
    await fillShelf(house);
    const started = await start();
    if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
    expect(pathsOf(await finishMix(house.db, started.id, actor))).toEqual(['counted']);
    expect(pathsOf(await countMix(house.db, started.id, { counted: { ginger: 1 } }))).toEqual(['counted.ginger']);
    await countMix(house.db, started.id, { counted: { lavender: 9, vetiver: 3 } });
    expect(await finishMix(house.db, started.id, actor)).toMatchObject({ kind: 'saved', words: '' });
    const lavender = (await listBottles(house.db, 'all')).filter(({ oil }) => oil === 'lavender');
    expect(lavender.map(({ lot, leftMl, state }) => [lot, Math.round(leftMl * 1000) / 1000, state])).toEqual([
      ['older', 0, 'empty'],
      ['A1', 9.867, 'in-use'],
    ]);
    const mix = await readMix(house.db, started.id, now);
    expect(mix?.state).toBe('mixed');
    expect(mix?.useBy).toBe('2027-02-25');
    expect(mix?.label.map(({ text }) => text).join(' ')).toContain('use by 25 Feb 2027');
    expect(mix?.fits).toContain('large');
    expect(mix?.costCents).toBeGreaterThan(0);
    // Finishing twice draws once.
    await finishMix(house.db, started.id, actor);
    expect(await house.db.selectFrom('oil_draw').select('ml').execute()).toHaveLength(4);
  });

  it('with drops too many is judged as it is', async () => {
    await fillShelf(house);
    const started = await start(blend({ parts: [{ oil: 'ylang-ylang', drops: 5 }] }));
    if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
    await countMix(house.db, started.id, { counted: { 'ylang-ylang': 12 } });
    const refused = await finishMix(house.db, started.id, actor);
    expect(JSON.stringify(refused)).toContain('As it was counted: Ylang');
    expect((await abandonMix(house.db, started.id)).kind).toBe('saved');
  });

  it('says what the shelf had too little of', async () => {
    await addBottle(house.db, bottle({ leftMl: 0.1 }), actor);
    const started = await start(blend({ parts: [{ oil: 'lavender', drops: 9 }] }));
    if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
    await countMix(house.db, started.id, { counted: { lavender: 9 } });
    expect(await finishMix(house.db, started.id, actor)).toMatchObject({
      words: 'The shelf had less than that of Lavender, Grape seed: count it again.',
    });
  });

  it('is weighed drop by drop, and a scale that is off is no reading', () => {
    const scale = new SimulatedDropScale();
    scale.drive({ drops: 7, densityGPerMl: 0.885, dropsPerMl: 27 });
    const grams = readGrams(scale.reading());
    expect(grams === null ? null : dropsFromGrams(grams, 0.885, 27)).toBe(7);
    scale.drive({ tare: true });
    expect(readGrams(scale.reading())).toBe(0);
    scale.drive({ isOn: false });
    expect(readGrams(scale.reading())).toBeNull();
    expect(readGrams({ isOn: true, text: 'Err' })).toBeNull();
  });
});

describe('a client', () => {
  const client = async () => {
    const of = await readOilClient(house.db, house.client, now);
    if (!of) throw new Error('no client');
    return of;
  };

  it('with a nut allergy has no nut carrier, and wants a patch test', async () => {
    await addFinding(house.db, house.client, finding({ id: 'nut-allergy' }), actor);
    const of = await client();
    expect(of.client.avoids?.map(({ id }) => id)).toContain('almond-sweet');
    expect(of.needsPatchTest).toBe(true);
    expect(pathsOf(await start(blend({ carrier: 'almond-sweet' })))).toEqual(['carrier']);
    expect((await start()).kind).toBe('saved');
  });

  it('who is pregnant has at most one percent, and nothing that is kept from her', async () => {
    await addFinding(house.db, house.client, finding({ id: 'pregnancy-2' }), actor);
    const of = await client();
    expect(of.client.conditions).toContain('pregnancy');
    expect(of.client.mostPercent).toBe(1);
    expect(JSON.stringify(await start(blend({ parts: [{ oil: 'lavender', drops: 20 }] })))).toContain('usual here');
    expect(JSON.stringify(await start(blend({ parts: [{ oil: 'wintergreen', drops: 1 }] })))).toContain(
      'not for this client',
    );
  });

  it('who does not bear scents has none, and smells none', async () => {
    await addFinding(house.db, house.client, finding({ id: 'asthma-scent-trigger' }), actor);
    expect((await client()).unscentedWhy).toContain('No essential oils');
    expect(pathsOf(await start())).toContain('parts');
    expect((await start(blend({ parts: [] }))).kind).toBe('saved');
    const strips = [blend(), blend({ name: 'Other' })].map((one) => ({ blend: one, liking: 5, word: '' }));
    const smelled = SmellInput.parse({ visitId: house.visit, strips, chosen: 0 });
    expect(pathsOf(await recordSmell(house.db, smelled, clinical, actor))).toEqual(['visitId']);
  });

  it('with a swollen leg has it unscented there', async () => {
    await addFinding(
      house.db,
      house.client,
      finding({ id: 'lymphoedema-one-limb', side: 'left', regions: ['shin-upper.left'] }),
      actor,
    );
    expect((await client()).unscentedPlaces).toContain('left');
  });

  it('of known height and weight is oiled by the skin that she has', async () => {
    expect((await client()).surfaceM2).toBeNull();
    await house.db.updateTable('client').set({ height_cm: 180 }).execute();
    const weight = ObservationInput.parse({ kind: 'weight', phase: 'before', value: { weightKg: 80 } });
    await saveObservation(house.db, house.visit, weight, actor);
    expect((await client()).surfaceM2).toBeCloseTo(2, 9);
  });
});

describe('scope', () => {
  it('without clinical training only blends of the house are taken, as they are', async () => {
    expect(JSON.stringify(await start(blend(), ['massage']))).toContain('clinical aromatherapy');
    await keepBlend(house.db, blend(), clinical, actor);
    expect(
      (
        await start(
          blend({
            volumeMl: 10,
            parts: [
              { oil: 'lavender', drops: 3 },
              { oil: 'vetiver', drops: 1 },
            ],
          }),
          ['massage'],
        )
      ).kind,
    ).toBe('saved');
    expect(pathsOf(await start(blend({ parts: [{ oil: 'lavender', drops: 12 }] }), ['massage']))).toEqual(['parts']);
    expect(pathsOf(await keepBlend(house.db, blend({ name: 'Mine' }), ['massage'], actor))).toContain('parts');
  });
});

/** A bottle of the house with 100 mL in it, mixed and counted. */
async function mixedBottle(): Promise<number> {
  const mixed = await startMix(
    house.db,
    { blend: blend({ volumeMl: 100 }), visitId: null, clientId: null },
    clinical,
    actor,
  );
  if (mixed.kind !== 'saved') throw new Error(JSON.stringify(mixed));
  await countMix(house.db, mixed.id, { counted: { lavender: 9, vetiver: 3 } });
  await finishMix(house.db, mixed.id, actor);
  return mixed.id;
}

describe('what a visit carries', () => {
  it('stands in the room list, is poured from the house’s bottle, and taken from it once when the visit is closed', async () => {
    await fillShelf(house);
    await planFor(house, house.visit, ['aroma-whole-body'], { minutes: 90 });
    expect((await bench(house.visit)).visit?.needs.body?.ml).toBeGreaterThan(5);
    const room = async () => (await readRoom(house.db, house.visit))?.items.find(({ kind }) => kind === 'blend')?.oil;
    expect(await room()).toMatchObject({ words: 'No blend is chosen yet.', act: 'Choose a blend' });
    const bottle = await mixedBottle();
    const poured = {
      area: 'body' as const,
      blend: blend({ volumeMl: 12, parts: [{ oil: 'lavender', drops: 1 }] }),
      pouredFrom: bottle,
    };
    expect(
      pathsOf(
        await chooseBlend(house.db, house.visit, { ...poured, blend: blend({ volumeMl: 300 }) }, clinical, actor),
      ),
    ).toEqual(['pouredFrom']);
    expect((await chooseBlend(house.db, house.visit, poured, clinical, actor)).kind).toBe('saved');
    expect((await room())?.words).toContain('Pour it from the house’s bottle');
    await finishVisit(house.db, house.visit, actor);
    await finishVisit(house.db, house.visit, actor);
    expect((await readStock(house.db, now)).mixes[0]?.leftMl).toBe(88);
  });

  it('is taken from its bottle as much as was really used, as the closing says', async () => {
    await fillShelf(house);
    const bottle = await mixedBottle();
    const part = blend({ volumeMl: 12, parts: [{ oil: 'lavender', drops: 1 }] });
    await chooseBlend(house.db, house.visit, { area: 'body', blend: part, pouredFrom: bottle }, clinical, actor);
    const answers = closing({ pressure: null, comfort: null, redness: null, oilMl: { body: 7.5 }, basedOn: 0 });
    await saveClosing(house.db, house.visit, answers, actor);
    await finishVisit(house.db, house.visit, actor);
    expect((await readStock(house.db, now)).mixes[0]?.leftMl).toBe(92.5);
  });

  it('is remembered with how the client liked it', async () => {
    await insertAnswers(house.db, house.visit, { answers: {}, asked: {} }, 'go', 1, now.toISOString());
    await chooseBlend(house.db, house.visit, { area: 'body', blend: blend(), pouredFrom: null }, clinical, actor);
    await saveClosing(
      house.db,
      house.visit,
      closing({ pressure: 0, comfort: 9, redness: 0, scent: 2, note: '', basedOn: 0 }),
      actor,
    );
    await finishVisit(house.db, house.visit, actor);
    const later = await readOilBench(house.db, { visitId: null, clientId: house.client }, clinical, now);
    expect(later.usedBefore[0]).toMatchObject({ said: 'love', blend: { name: 'Test blend' } });
  });

  it('may be chosen by nose: recorded in the order of the strips, and what was liked goes to the client’s likes', async () => {
    const strips = [
      { blend: blend(), liking: 9, word: 'meadow' },
      { blend: blend({ parts: [{ oil: 'mandarin', drops: 8 }] }), liking: 4, word: '' },
    ];
    const smelled = SmellInput.parse({ visitId: house.visit, strips, chosen: 0 });
    expect((await recordSmell(house.db, smelled, clinical, actor)).kind).toBe('saved');
    expect((await bench(house.visit)).visit?.chosen.body?.blend.name).toBe('Test blend');
    expect((await readOilClient(house.db, house.client, now))?.likes).toBe('lavender, vetiver');
    expect(pathsOf(await recordSmell(house.db, { ...smelled, chosen: 2 }, clinical, actor))).toEqual(['chosen']);
    const strong = [
      { blend: blend({ parts: [{ oil: 'lavender', drops: 60 }] }), liking: 1, word: '' },
      ...strips.slice(1),
    ];
    expect(pathsOf(await recordSmell(house.db, { ...smelled, strips: strong }, clinical, actor))).toEqual([
      'strips.0.blend.parts',
    ]);
  });
});

describe('a patch test', () => {
  it('is in the thread of the day until it is read twice, or the skin reacts', async () => {
    const at = (days: number) => ({ ...actor, now: addDays(now, days) });
    const placed = await placePatchTest(house.db, { clientId: house.client, what: 'Test blend' }, actor);
    if (placed.kind !== 'saved') throw new Error(JSON.stringify(placed));
    const ends = async (days: number) => (await readDay(house.db, at(days).now, at(days).now)).looseEnds;
    expect((await ends(0))[0]?.what).toContain('to be read');
    expect(pathsOf(await readPatchTest(house.db, placed.id, { reading: 'clear', note: '' }, actor))).toEqual([
      'reading',
    ]);
    await readPatchTest(house.db, placed.id, { reading: 'clear', note: '' }, at(1));
    expect((await ends(2))[0]?.what).toContain('to be read now');
    await readPatchTest(house.db, placed.id, { reading: 'clear', note: '' }, at(2));
    expect((await ends(2)).some(({ text }) => text.includes('patch test'))).toBe(false);
    expect((await readOilClient(house.db, house.client, at(2).now))?.patch?.state).toBe('clear');
    expect(pathsOf(await readPatchTest(house.db, placed.id, { reading: 'mild', note: '' }, at(3)))).toEqual([
      'reading',
    ]);
  });
});
