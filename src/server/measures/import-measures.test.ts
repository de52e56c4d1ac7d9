import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { guessColumns } from '../../core/exchange/measure-rows';
import { plainLetters } from '../../core/search/nearness';
import { TapingInput } from '../../contracts/record';
import { volumeOf } from './taping-volume';
import { insertTapings, type NewTaping } from './tapings.repository';
import { ImportPlan, type ImportView } from '../../contracts/imports';
import { exportMeasures } from './export-measures';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { measureImports } from './import-jobs';
import { startImport, storeImport } from './import-measures';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const plan = (change: object = {}) =>
  ImportPlan.parse({
    clientId: house.client,
    columns: { date: 0, limb: 1, side: 2, point: 3, girth: 4 },
    unit: 'cm',
    dateOrder: 'year-month-day',
    ...change,
  });
const head = 'date,limb,side,point,girth';
const day = (date: string, extra = 0) =>
  ['left', 'right'].flatMap((side) =>
    [0, 4, 8].map((x) => `${date},leg,${side},${x},${(side === 'left' ? 24 : 22) + x / 2 + extra}`),
  );
const bytes = (rows: readonly string[]) => new TextEncoder().encode([head, ...rows].join('\n'));

/** Waits until a step is over. */
async function settled(id: string): Promise<ImportView> {
  for (let i = 0; i < 400; i += 1) {
    const view = measureImports.read(id, actor);
    if (view && view.state !== 'reading' && view.state !== 'storing') return view;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error('the import did not come to an end');
}
async function check(rows: readonly string[], change: object = {}): Promise<ImportView> {
  const started = await startImport(house.db, bytes(rows), plan(change), actor);
  if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
  return settled(started.import.id);
}
const newTaping = {
  ...{ clientId: 1, visitId: null, takenAt: '2026-03-02T12:00:00.000Z', version: 1, source: 'import', volume: null },
  ...{ by: 1, now: '2026-03-02T12:00:00.000Z' },
  taping: TapingInput.parse({
    ...{ limb: 'leg', side: 'right', unit: 'cm', phase: 'before', method: 'frustum', basedOn: 0, positions: [0, 4, 8] },
    ...{ affected: [24, 26.5, 30], reference: [22, 24, 28] },
  }),
} satisfies NewTaping;
const countTapings = async () => (await house.db.selectFrom('taping').select('id').execute()).length;

describe('bringing in a table', () => {
  it('stores nothing before it is told to, then all of it', async () => {
    const checked = await check([...day('2026-03-02'), ...day('2026-03-09', 1)]);
    expect(checked).toMatchObject({ state: 'checked', rows: 12, girths: 12, tapings: 2, clients: 1, troubleCount: 0 });
    expect(await countTapings()).toBe(0);
    storeImport(house.db, checked.id, false, actor);
    expect(await settled(checked.id)).toMatchObject({ state: 'done' });
    expect(await countTapings()).toBe(2);
    const rows = await house.db.selectFrom('taping').selectAll().execute();
    expect(rows[0]).toMatchObject({ visit_id: null, source: 'import', side: 'left', phase: 'before' });
    expect(rows[0]?.excess_ml).toBeGreaterThan(0);
  });

  it('names each bad row, and leaves them out only when told to', async () => {
    const rows = day('2026-03-02');
    const checked = await check([
      ...rows,
      '2026-02-30,leg,left,12,30',
      '2026-03-02,leg,left,0,25',
      '2026-03-02,leg,left,12,thick',
    ]);
    expect(checked.troubles.map(({ row, column }) => [row, column])).toEqual([
      [8, 'date'],
      [9, 'point'],
      [10, 'girth'],
    ]);
    expect(storeImport(house.db, checked.id, false, actor)).toMatchObject({ kind: 'refused' });
    expect(storeImport(house.db, checked.id, true, actor)).toMatchObject({ kind: 'saved' });
    await settled(checked.id);
    expect(await countTapings()).toBe(1);
  });

  it('refuses dates before the birth and in the future, and what is on record already', async () => {
    const early = await check([...day('1969-03-02'), ...day('2031-01-01')]);
    expect(early.tapings).toBe(0);
    expect(early.troubles.map(({ message }) => message).join(' ')).toMatch(
      /before the birth.*future|future.*before the birth/s,
    );
    const first = await check(day('2026-03-02'));
    storeImport(house.db, first.id, false, actor);
    await settled(first.id);
    expect((await check(day('2026-03-02'))).troubles[0]?.message).toContain('on record already');
  });

  it('finds clients by name, and asks for the birthday where two share one', async () => {
    const named = (rows: readonly string[], name: string) => rows.map((row) => `${row},${name}`);
    const columns = { date: 0, limb: 1, side: 2, point: 3, girth: 4, client: 5 };
    const found = await check(named(day('2026-03-02'), 'zoe ahorn'), { clientId: null, columns });
    expect(found).toMatchObject({ tapings: 1, sample: [{ client: 'Zoë Ahorn' }] });
    const lost = await check(named(day('2026-03-02'), 'Nobody'), { clientId: null, columns });
    expect(lost).toMatchObject({ tapings: 0, troubles: [{ column: 'client' }] });
  });

  it('stops half-way and leaves nothing behind', async () => {
    const many = Array.from({ length: 900 }, (_, i) =>
      day(new Date(Date.UTC(2020, 0, 1 + i)).toISOString().slice(0, 10)),
    ).flat();
    const checked = await check(many);
    expect(checked.tapings).toBe(900);
    storeImport(house.db, checked.id, false, actor);
    measureImports.cancel(checked.id, actor);
    expect(await settled(checked.id)).toMatchObject({ state: 'cancelled' });
    expect(await countTapings()).toBe(0);
  });

  it('is nobody else’s business, and refuses an empty file and a plan that says too little', async () => {
    const checked = await check(day('2026-03-02'));
    expect(measureImports.read(checked.id, { ...actor, therapistId: 2 })).toBeUndefined();
    expect(measureImports.cancel(checked.id, { ...actor, therapistId: 2 })).toEqual({ kind: 'not-found' });
    expect(await startImport(house.db, new Uint8Array(), plan(), actor)).toMatchObject({ errors: [{ path: 'file' }] });
    expect(await startImport(house.db, bytes([]), plan({ columns: { date: 0 } }), actor)).toMatchObject({
      errors: [{ path: 'plan' }],
    });
  });

  it('reads semicolons, commas in numbers, older encodings and empty lines', async () => {
    const text = ['date;limb;side;point;girth', '2.3.2026;leg;left;0;24,5', '', '2.3.2026;leg;left;4;25,5 cm'].join(
      '\r\n',
    );
    const latin = Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)).concat([0x0d, 0x0a, 0xeb]));
    const started = await startImport(house.db, latin, plan({ dateOrder: 'day-month-year' }), actor);
    if (started.kind !== 'saved') throw new Error('refused');
    const checked = await settled(started.import.id);
    expect(checked.girths).toBe(2);
    expect(checked.troubles).toMatchObject([{ row: 5, column: 'date' }]);
  });

  it('reads back what was given out', async () => {
    const checked = await check(day('2026-03-02'));
    storeImport(house.db, checked.id, false, actor);
    await settled(checked.id);
    const table = (await exportMeasures(house.db, house.client, 'cm')) ?? '';
    await house.db.deleteFrom('taping').execute();
    const columns = { date: 2, phase: 3, limb: 4, side: 5, point: 7, girth: 11 };
    const again = await startImport(house.db, new TextEncoder().encode(table), plan({ columns }), actor);
    if (again.kind !== 'saved') throw new Error('refused');
    expect(await settled(again.import.id)).toMatchObject({ girths: 6, tapings: 1, troubleCount: 0 });
  });
});

describe('what was written is read back whole', () => {
  const written = async (unit: 'cm' | 'in' = 'cm') => (await exportMeasures(house.db, house.client, unit)) ?? '';
  const readBack = async (csv: string, change: object = {}): Promise<ImportView> => {
    const [head = ''] = csv.split('\r\n');
    const started = await startImport(
      house.db,
      new TextEncoder().encode(csv),
      ImportPlan.parse({ ...plan(), ...guessColumns(head.split(',')), ...change }),
      actor,
    );
    if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
    const checked = await settled(started.import.id);
    storeImport(house.db, checked.id, false, actor);
    return settled(checked.id);
  };
  const clear = () => house.db.deleteFrom('taping').execute();

  it('with the swollen side, second and third readings, in the unit it was written in', async () => {
    const girth = fc.option(
      fc.integer({ min: 150, max: 500 }).map((mm) => mm / 10),
      { freq: 8 },
    );
    const pass = fc.record({
      affected: fc.array(girth, { minLength: 3, maxLength: 3 }),
      reference: fc.array(girth, { minLength: 3, maxLength: 3 }),
    });
    const taken = fc.record({
      ...{
        side: fc.constantFrom('left', 'right'),
        limb: fc.constantFrom('arm', 'leg'),
        unit: fc.constantFrom('cm', 'in'),
      },
      ...{ first: pass, second: fc.option(pass), third: fc.option(pass) },
    });
    await fc.assert(
      fc.asyncProperty(taken, async ({ first, second, third, ...rest }) => {
        await clear();
        const all = [first, second, second && third].filter((one) => one !== null);
        // A table has no row for a point that nobody measured on either side.
        for (const i of [0, 1, 2]) fc.pre(all.some((one) => one.affected[i] !== null || one.reference[i] !== null));
        await insertTapings(
          house.db,
          [{ ...newTaping, taping: { ...newTaping.taping, ...rest, ...first, second, third: second && third } }],
          () => undefined,
        );
        const before = await written(rest.unit);
        await clear();
        expect(await readBack(before)).toMatchObject({ state: 'done', troubleCount: 0, tapings: 1 });
        expect(await written(rest.unit)).toBe(before);
      }),
      { numRuns: 40 },
    );
  });

  it('and the volumes on record are those of all readings, on the side that the table calls swollen', async () => {
    const { positions, affected, reference, ...rest } = newTaping.taping;
    const taping = { ...rest, positions, affected: reference, reference: affected };
    const again = { affected: taping.affected.map((girth) => girth && girth + 0.4), reference: taping.reference };
    await insertTapings(house.db, [{ ...newTaping, taping: { ...taping, second: again } }], () => undefined);
    const csv = await written();
    await clear();
    await readBack(csv);
    const row = await house.db.selectFrom('taping').selectAll().executeTakeFirstOrThrow();
    // The smaller side was called swollen, so that is what it stays.
    expect(row).toMatchObject({ side: 'right' });
    expect(row.excess_ml).toBeLessThan(0);
    const settled = { ...taping, affected: taping.affected.map((girth) => girth && girth + 0.2) };
    const expected = volumeOf({ ...settled, side: 'right' });
    expect(row.affected_ml).toBeCloseTo(expected?.affectedMl ?? 0, 6);
    expect(row.excess_ml).toBeCloseTo(expected?.excessMl ?? 0, 6);
  });

  it('of a client whose name a spreadsheet would work out, found by that name', async () => {
    await house.db
      .updateTable('client')
      .set({ name: '=Zoë+1', search_name: plainLetters('=Zoë+1') })
      .execute();
    await insertTapings(house.db, [newTaping], () => undefined);
    const before = await written();
    expect(before).toContain("'=Zoë+1");
    await clear();
    expect(await readBack(before, { clientId: null })).toMatchObject({ state: 'done', clients: 1 });
    expect(await written()).toBe(before);
  });

  it('and once: what is on record already is named and not doubled', async () => {
    await insertTapings(house.db, [newTaping], () => undefined);
    const view = await readBack(await written());
    expect(view).toMatchObject({ state: 'checked', tapings: 0, troubleCount: 1 });
    expect(await countTapings()).toBe(1);
  });
});
