import { beforeEach, describe, expect, it } from 'vitest';
import { BottleInput } from '../../contracts/oil-house';
import { changeSettings } from '../people/settings.repository';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { importShelf } from './import-shelf';
import { listBottles } from './oils.repository';
import { addBottle, changeBottle } from './save-oils';
import { exportShelf, readShelf } from './shelf-csv';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

async function fillShelf() {
  const bottle = { lot: 'A1', openedOn: '2026-06-01', sizeMl: 10, leftMl: 10, costCents: 1000 };
  for (const oil of ['lavender', 'vetiver', 'mandarin'])
    await addBottle(house.db, BottleInput.parse({ ...bottle, kind: 'essential', oil, note: '=1+1' }), actor);
  const carrier = { ...bottle, kind: 'carrier', oil: 'grapeseed', sizeMl: 500, leftMl: 400 };
  await addBottle(house.db, BottleInput.parse(carrier), actor);
}

describe('a list of bottles', () => {
  it('goes out as CSV and comes back the same; a row that cannot be read is named', async () => {
    await fillShelf();
    const csv = await exportShelf(house.db);
    const check = (row: unknown) => {
      const read = BottleInput.safeParse(row);
      return read.success
        ? read.data
        : read.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
    };
    const read = readShelf(csv, '2026-11-25', 'day-month-year', check);
    expect(read.troubles).toEqual([]);
    const stored = (await listBottles(house.db)).map(({ id: _, ...one }) => one);
    expect(read.bottles).toEqual(stored);
    const bad = readShelf(
      `${csv}essential,moonflower,,,,10,10,,,\r\nessential,lavender,,2027-01-01,,10,,,,`,
      '2026-11-25',
      'day-month-year',
      check,
    );
    expect(bad.troubles.map(({ row, message }) => `${row} ${message}`)).toEqual([
      '6 oil: There is no oil “moonflower” in the catalogue.',
      '7 openedOn: It cannot have been opened in the future: check the date.',
    ]);
    expect(readShelf('a,b\n1,2', '2026-11-25', 'day-month-year', check).troubles[0]?.message).toContain(
      'kind, oil, size_ml',
    );
  });

  const head = 'kind,oil,lot,opened,best_before,size_ml,left_ml';
  const look = (rows: readonly string[], isSure = true) =>
    importShelf(house.db, { csv: [head, ...rows].join('\r\n'), isSure }, actor);

  it('that is read twice changes nothing the second time, also when a bottle was used in between', async () => {
    await fillShelf();
    const csv = await exportShelf(house.db);
    const before = await listBottles(house.db, 'all');
    const again = await importShelf(house.db, { csv, isSure: true }, actor);
    expect(again).toEqual({ bottles: before.length, known: before.length, added: 0, troubles: [] });
    const [first] = before;
    if (!first) throw new Error('no bottle');
    await changeBottle(house.db, first.id, BottleInput.parse({ ...first, leftMl: first.leftMl / 2 }), actor);
    expect(await importShelf(house.db, { csv, isSure: true }, actor)).toMatchObject({ added: 0 });
    expect(await listBottles(house.db, 'all')).toHaveLength(before.length);
  });

  it('adds as many of the same kind as the house has fewer of', async () => {
    const rows = ['essential,lavender,L-7,,,10,10', 'essential,lavender,L-7,,,10,10'];
    expect(await look(rows.slice(1))).toMatchObject({ bottles: 1, known: 0, added: 1 });
    expect(await look(rows)).toMatchObject({ bottles: 2, known: 1, added: 1 });
    expect(await look(rows)).toMatchObject({ known: 2, added: 0 });
    // Not before it is sure.
    expect(await look([...rows, 'essential,lavender,L-8,,,10,10'], false)).toMatchObject({ known: 2, added: 0 });
  });

  it('does not bring back a bottle that is empty, and buys one again that bears no lot and no date', async () => {
    const rows = ['essential,lavender,L-7,,,10,10', 'essential,lavender,,,,10,10'];
    expect(await look(rows)).toMatchObject({ added: 2 });
    for (const bottle of await listBottles(house.db))
      await changeBottle(house.db, bottle.id, BottleInput.parse({ ...bottle, state: 'discarded' }), actor);
    expect(await look(rows)).toMatchObject({ known: 1, added: 1 });
  });

  it('has its dates as spreadsheets write them, by the order of the house', async () => {
    const rows = ['essential,lavender,L-7,18.04.2025,2027-04-30,10,10', 'essential,lavender,L-8,2/11/2025,,10,10'];
    expect(await look(rows)).toMatchObject({ added: 2, troubles: [] });
    expect((await listBottles(house.db)).map(({ openedOn, printedOn }) => [openedOn, printedOn])).toEqual([
      ['2025-04-18', '2027-04-30'],
      ['2025-11-02', null],
    ]);
    await changeSettings(house.db, { dateOrder: 'month-day-year' });
    expect(await look(['essential,lavender,L-9,4/18/2025,,10,10'])).toMatchObject({ added: 1, troubles: [] });
    expect((await listBottles(house.db)).at(-1)?.openedOn).toBe('2025-04-18');
  });

  it('names the rows of the file, empty ones counted, and keeps everything out until they are sound', async () => {
    const view = await look(['', 'essential,lavender,L-7,31.2.2025,,10,10', ',,,,,,', 'essential,moonflower,,,,10,10']);
    expect(view.troubles.map(({ row, message }) => `${row} ${message}`)).toEqual([
      '3 opened: “31.2.2025” is no date: write it as 2026-04-18, or as the house writes dates.',
      '5 oil: There is no oil “moonflower” in the catalogue.',
    ]);
    expect(view.added).toBe(0);
    expect(await listBottles(house.db)).toEqual([]);
  });
});
