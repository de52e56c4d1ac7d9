import fc from 'fast-check';
import { sql } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { ClientImportPlan, ClientImportStep, type ClientImportView } from '../../contracts/client-imports';
import { guessPeopleColumns } from '../../core/exchange/people-rows';
import { eraseRows } from './whole-client.repository';
import { actor, book, openHouse, type TestHouse } from '../shared/test-house';
import { insertClient, searchClients, toClientData } from './clients.repository';
import { clientsAsCsv, clientsAsVCards } from './export-clients';
import { clientImports, startClientImport } from './import-clients';
import { correctClient } from './save-client';
import { storeClientImport } from './store-clients';
import { listClientImports, undoClientImport } from './undo-import';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  await house.db.updateTable('client').set({ phone: '', email: '', note: '' }).execute();
});

const head = 'name,born,phone,email,note';
const planOf = (firstLine: string) =>
  ClientImportPlan.parse({
    ...{ file: 'people.csv', columns: guessPeopleColumns(firstLine.split(',')), dateOrder: 'day-month-year' },
  });

async function settled(id: string): Promise<ClientImportView> {
  for (let i = 0; i < 2000; i += 1) {
    const view = clientImports.read(id, actor);
    if (view && !['reading', 'storing', 'undoing'].includes(view.state)) return view;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error('the import did not come to an end');
}
async function check(text: string): Promise<ClientImportView> {
  const started = startClientImport(
    house.db,
    new TextEncoder().encode(text),
    planOf(text.split('\r\n')[0] ?? ''),
    actor,
  );
  if (started.kind !== 'saved') throw new Error(JSON.stringify(started));
  return settled(started.import.id);
}
const table = (...rows: readonly string[]) => [head, ...rows].join('\r\n');
const store = async (id: string, step: Partial<ClientImportStep> = {}) => {
  const stored = storeClientImport(house.db, id, ClientImportStep.parse({ leaveOutTroubled: false, ...step }), actor);
  return stored.kind === 'saved' ? settled(id) : stored;
};
const bring = async (text: string, step: Partial<ClientImportStep> = {}) => store((await check(text)).id, step);
const names = async () =>
  (await house.db.selectFrom('client').select('name').orderBy('id').execute()).map(({ name }) => name);
const zoe = () => house.db.selectFrom('client').selectAll().where('id', '=', house.client).executeTakeFirstOrThrow();
const undo = async (key: number) => {
  const begun = await undoClientImport(house.db, key, actor);
  return begun.kind === 'saved' ? settled(begun.import.id) : begun;
};

describe('bringing in clients', () => {
  it('adds nobody before it is told to, then all of them', async () => {
    const checked = await check(table('Ida Moor,3.2.1980,0151 1,ida@moor.example,quiet', '"Quill, Una",,,,', ''));
    expect(checked).toMatchObject({ state: 'checked', rows: 2, fresh: 2, doubleCount: 0, troubleCount: 0 });
    expect(checked.sample[0]).toMatchObject({ name: 'Ida Moor', bornOn: '1980-02-03', phone: '0151 1' });
    expect(await names()).toEqual(['Zoë Ahorn']);
    expect(await store(checked.id)).toMatchObject({ state: 'done', added: 2, completed: 0 });
    expect(await names()).toEqual(['Zoë Ahorn', 'Ida Moor', 'Quill, Una']);
  });

  it('names each bad row by the number of the file and its column, and leaves them out only when told to', async () => {
    const checked = await check(
      table('Ida Moor,30.2.1980,,,', ',,0151,,', 'Una Quill,,,no address,', 'Pia Sund,1.1.2090,,,', 'Rune Lie,,,,'),
    );
    expect(checked.troubles.map(({ row, column }) => [row, column])).toEqual([
      [2, 'born'],
      [3, 'name'],
      [4, 'email'],
      [5, 'born'],
    ]);
    expect(await store(checked.id)).toMatchObject({ kind: 'refused', errors: [{ path: 'leaveOutTroubled' }] });
    expect(await store(checked.id, { leaveOutTroubled: true })).toMatchObject({ added: 1 });
  });

  it('finds who is on record, misspelt too, and who stands in the file twice', async () => {
    const born = (await zoe()).born_on ?? '';
    const checked = await check(
      table(`Zoe Ahron,${born},0151 9,,`, 'Ida Moor,,0151 77 88 99,,', 'Ida Mohr,,0151-778899,,'),
    );
    expect(checked).toMatchObject({ fresh: 1, doubleCount: 2, gainCount: 1 });
    expect(checked.doubles).toMatchObject([
      { row: 2, why: 'name and birthday', known: { id: house.client, name: 'Zoë Ahorn' }, gains: ['phone'] },
      { row: 4, why: 'name and phone number', known: null, earlierRow: 3, gains: [] },
    ]);
  });

  it('leaves doubles out, completes the record, or adds a second one, one apart from the others', async () => {
    const born = (await zoe()).born_on ?? '';
    const rows = table(`Zoë Ahorn,${born},0151 9,zoe@ahorn.example,`, 'Ida Moor,,,,', 'Ida Moor,,,,');
    expect(await bring(rows)).toMatchObject({ added: 1, completed: 0 });
    expect(await bring(rows)).toMatchObject({ kind: 'refused' });
    expect(await bring(rows, { doubles: 'complete', apart: [{ row: 4, way: 'add' }] })).toMatchObject({
      ...{ added: 1, completed: 1 },
    });
    expect(await zoe()).toMatchObject({ phone: '0151 9', email: 'zoe@ahorn.example', version: 2 });
    expect(await names()).toEqual(['Zoë Ahorn', 'Ida Moor', 'Ida Moor']);
  });

  it('never overwrites what is on record', async () => {
    const before = await zoe();
    await house.db.updateTable('client').set({ phone: '1', note: 'ours' }).where('id', '=', house.client).execute();
    await bring(table(`Zoë Ahorn,${before.born_on},2,zoe@ahorn.example,theirs`), { doubles: 'complete' });
    expect(await zoe()).toMatchObject({ phone: '1', note: 'ours', email: 'zoe@ahorn.example' });
  });

  it('leaves a birthday aside that lies after something on the record', async () => {
    await house.db.updateTable('client').set({ born_on: null }).where('id', '=', house.client).execute();
    // The nodes were removed in 2023.
    await bring(table('Zoë Ahorn,5.5.2024,0151,,'), { doubles: 'complete' });
    expect(await zoe()).toMatchObject({ phone: '0151', born_on: null });
  });

  it('is nobody else’s business, and refuses an empty file and a table without names', async () => {
    const checked = await check(table('Ida Moor,,,,'));
    expect(clientImports.read(checked.id, { ...actor, therapistId: 2 })).toBeUndefined();
    expect(storeClientImport(house.db, 'another', ClientImportStep.parse({ leaveOutTroubled: true }), actor)).toEqual({
      kind: 'not-found',
    });
    expect(startClientImport(house.db, new Uint8Array(), planOf(head), actor)).toMatchObject({
      errors: [{ path: 'file' }],
    });
    expect(startClientImport(house.db, new TextEncoder().encode('a,b'), planOf('a,b'), actor)).toMatchObject({
      errors: [{ path: 'plan', message: 'Say which column holds the name.' }],
    });
  });

  it('stopped half-way, takes those out again who had come', async () => {
    const many = Array.from({ length: 1200 }, (_, i) => `Guest ${i},,,guest${i}@many.example,`);
    const checked = await check(table(...many));
    expect(checked.fresh).toBe(1200);
    storeClientImport(house.db, checked.id, ClientImportStep.parse({ leaveOutTroubled: false }), actor);
    clientImports.cancel(checked.id, actor);
    expect(await settled(checked.id)).toMatchObject({ state: 'cancelled', message: 'Stopped; nobody was added.' });
    expect(await names()).toEqual(['Zoë Ahorn']);
    expect(await listClientImports(house.db)).toEqual([]);
  });

  it('reads vCards, broken ones among them', async () => {
    const text = [
      'BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Ida Moor\r\nTEL:0151\r\nEND:VCARD',
      'BEGIN:VCARD\r\nFN oops\r\nEND:VCARD',
    ].join('\r\n');
    const checked = await check(text);
    expect(checked).toMatchObject({ fresh: 1, troubles: [{ row: 6, column: 'card' }] });
    expect(await store(checked.id, { leaveOutTroubled: true })).toMatchObject({ added: 1 });
    expect(await names()).toContain('Ida Moor');
  });
});

describe('taking an import back', () => {
  it('takes out who came and gives back what was completed', async () => {
    const before = await zoe();
    const done = await bring(table(`Zoë Ahorn,${before.born_on},0151 9,,`, 'Ida Moor,,,,'), { doubles: 'complete' });
    const key = (done as ClientImportView).key ?? 0;
    expect(await listClientImports(house.db)).toMatchObject([
      { key, file: 'people.csv', added: 1, completed: 1, isUndone: false },
    ]);
    expect(await undo(key)).toMatchObject({ state: 'undone', added: 1, completed: 1, kept: [] });
    expect(await names()).toEqual(['Zoë Ahorn']);
    expect((await zoe()).phone).toBe(before.phone);
    expect(await listClientImports(house.db)).toMatchObject([{ key, isUndone: true }]);
    expect(await undo(key)).toMatchObject({ kind: 'refused' });
    expect(await undo(99)).toEqual({ kind: 'not-found' });
  });

  it('gives back what a record was before, where two rows completed it', async () => {
    const before = await zoe();
    const done = await bring(
      table(`Zoë Ahorn,${before.born_on},0151 9,,`, `Zoë Ahorn,${before.born_on},,z@a.example,`),
      {
        doubles: 'complete',
      },
    );
    expect(await zoe()).toMatchObject({ phone: '0151 9', email: 'z@a.example' });
    expect(await undo((done as ClientImportView).key ?? 0)).toMatchObject({ completed: 1, kept: [] });
    expect(await zoe()).toMatchObject({ phone: before.phone, email: before.email });
  });

  it('can be stopped, and gone on with another time', async () => {
    const many = Array.from({ length: 600 }, (_, i) => `Guest ${i},,,guest${i}@many.example,`);
    const key = ((await bring(table(...many))) as ClientImportView).key ?? 0;
    const begun = await undoClientImport(house.db, key, actor);
    if (begun.kind !== 'saved') throw new Error('refused');
    clientImports.cancel(begun.import.id, actor);
    expect(await settled(begun.import.id)).toMatchObject({
      ...{ state: 'cancelled', message: expect.stringContaining('take it back again') as string },
    });
    expect((await names()).length).toBeGreaterThan(1);
    expect(await listClientImports(house.db)).toMatchObject([{ key, isUndone: false }]);
    expect(await undo(key)).toMatchObject({ state: 'undone', kept: [] });
    expect(await names()).toEqual(['Zoë Ahorn']);
  });

  it('is known while it is still being stored, so that it outlives an end of the server; and waits its turn', async () => {
    const many = Array.from({ length: 600 }, (_, i) => `Guest ${i},,,guest${i}@many.example,`);
    const checked = await check(table(...many));
    storeClientImport(house.db, checked.id, ClientImportStep.parse({ leaveOutTroubled: false }), actor);
    while ((await listClientImports(house.db)).length === 0) await new Promise((resolve) => setImmediate(resolve));
    const [one] = await listClientImports(house.db);
    expect(one?.added).toBeLessThan(600);
    expect(await undoClientImport(house.db, one?.key ?? 0, actor)).toMatchObject({
      errors: [{ message: 'This import is under way: wait until it has ended.' }],
    });
    expect(await settled(checked.id)).toMatchObject({ state: 'done', added: 600 });
  });

  it('leaves those who were booked, changed or completed otherwise since, and names them', async () => {
    const done = (await bring(table('Ida Moor,,,,', 'Una Quill,,,,', 'Pia Sund,,,,'))) as ClientImportView;
    const idOf = async (name: string) =>
      (await house.db.selectFrom('client').select('id').where('name', '=', name).executeTakeFirstOrThrow()).id;
    await book({ db: house.db, client: await idOf('Ida Moor') }, 1);
    const row = await house.db
      .selectFrom('client')
      .selectAll()
      .where('name', '=', 'Una Quill')
      .executeTakeFirstOrThrow();
    await correctClient(house.db, row.id, { ...toClientData(row), phone: '0151', basedOn: 1 }, actor);
    expect(await undo(done.key ?? 0)).toMatchObject({ added: 1, keptCount: 2, kept: ['Ida Moor', 'Una Quill'] });
    expect(await names()).toEqual(['Zoë Ahorn', 'Ida Moor', 'Una Quill']);
  });
});

it('who was taken back is found by no search, and their names lie nowhere in the index', async () => {
  const many = Array.from({ length: 500 }, (_, i) => `Xanthippe Guest${i},,,guest${i}@many.example,`);
  const done = (await bring(table(...many))) as ClientImportView;
  await undo(done.key ?? 0);
  expect(await searchClients(house.db, 'xanthippe', 5)).toEqual([]);
  const { rows } = await sql<{ block: Buffer }>`
    select block from client_words_data union all select block from client_letters_data`.execute(house.db);
  expect(Buffer.concat(rows.map(({ block }) => block)).toString('latin1')).not.toMatch(/anthippe|xan/);
  // What is taken out one by one is wiped at once again.
  const { rows: kept } = await sql<{ v: number }>`select v from client_words_config where k = 'secure-delete'`.execute(
    house.db,
  );
  expect(kept).toEqual([{ v: 1 }]);
});

describe('clients go out and come back', () => {
  beforeEach(() => eraseRows(house.db, house.client));
  const text = fc.stringMatching(/^[A-Za-zé][A-Za-zé ,;"=]{0,12}[a-z]$/);
  const person = fc.record({
    ...{ name: text, bornOn: fc.option(fc.constantFrom('1968-04-18', '1991-01-02')) },
    ...{ phone: fc.constantFrom('', '+49 151 220', '(0)9/11'), email: fc.constantFrom('', 'a@b.example') },
    ...{
      address: fc.oneof(fc.constant(''), text),
      emergencyContact: fc.constant(''),
      medicines: fc.oneof(fc.constant(''), text),
    },
    ...{ heightCm: fc.option(fc.integer({ min: 120, max: 200 })), language: fc.constantFrom('', 'de') },
    note: fc.constantFrom('', 'two\nlines', '=1+1', '- a list'),
  });
  const clear = async () => {
    await house.db.deleteFrom('client_import_row').execute();
    await house.db.deleteFrom('client').execute();
  };
  const everything = async () =>
    (await house.db.selectFrom('client').selectAll().orderBy('id').execute()).map(
      ({ id: _, created_at: __, ...rest }) => rest,
    );

  it('as CSV, whole', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(person, { minLength: 1, maxLength: 4 }), async (people) => {
        await clear();
        for (const one of people) await insertClient(house.db, one as never, actor.now.toISOString());
        const [before, csv] = [await everything(), await clientsAsCsv(house.db, actor)];
        await clear();
        await bring(csv, { doubles: 'add' });
        expect(await everything()).toEqual(before);
        expect(await clientsAsCsv(house.db, actor)).toBe(csv);
      }),
      { numRuns: 30 },
    );
  });

  it('as vCards, with how to reach them and nothing of their health', async () => {
    const known = { phone: '+49 151', email: 'zoe@ahorn.example', address: 'Quay 3, Brel' };
    const health = { medicines: 'secret', note: 'secret' };
    const whole = { name: 'Zoë Ahorn', bornOn: '1970-05-01', ...known, ...health };
    await insertClient(house.db, whole, actor.now.toISOString());
    const cards = await clientsAsVCards(house.db, actor);
    expect(cards).not.toContain('secret');
    await clear();
    expect(await bring(cards)).toMatchObject({ state: 'done', added: 1 });
    expect(await everything()).toMatchObject([{ name: 'Zoë Ahorn', born_on: '1970-05-01', ...known }]);
  });
});
