import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addClient } from '../clients/save-client';
import { databaseName, type Db, openDatabase } from '../db/connection';
import { tidyExchange } from '../db/exchange-files';
import { giveKey, type HouseKey, isSealed, newDescription, randomKey, readDescription } from '../db/house-key';
import { HouseTrouble } from '../db/trouble';
import { setUpHouse } from '../people/set-up-house';
import { actor, now } from '../shared/test-house';
import { changeCipher } from './cipher';
import { makeBackup } from './make-backup';
import { prepareRestore, takePlace } from './restore';

let root: string;
let data: string;
const file = () => path.join(data, databaseName);
const description = newDescription();
const key = randomKey();

beforeEach(async () => {
  root = mkdtempSync(path.join(tmpdir(), 'velvet-stone-cipher-'));
  data = path.join(root, 'data');
  const db = openDatabase(data);
  await setUpHouse(
    db,
    {
      ...{ name: 'Haus am Bach', therapistName: 'Ida Moor', login: 'ida', password: 'three wet pebbles', pin: '2719' },
      qualifications: [],
    },
    actor,
  );
  await addClient(db, { name: 'Zoë Ahorn', bornOn: '1970-05-01', phone: '0700 1' }, actor);
  await db.destroy();
});
afterEach(() => rmSync(root, { recursive: true, force: true }));

const encrypt = (step?: (name: string) => void) =>
  changeCipher({ folder: data, from: undefined, to: { key, description } }, undefined, step);
const decrypt = (step?: (name: string) => void) =>
  changeCipher({ folder: data, from: key, to: undefined }, undefined, step);

/** Every row of every table. */
function everything(of = file(), with_?: HouseKey): string {
  const sqlite = new SQLite(of);
  if (with_) giveKey(sqlite, with_);
  const names = sqlite.prepare("select name from sqlite_master where type = 'table' order by name").pluck().all();
  const all = (names as string[]).map((name) => [name, sqlite.prepare(`select * from "${name}"`).all()]);
  sqlite.close();
  return JSON.stringify(all);
}
/** Whether a word stands in any file of the data folder. */
const liesOpen = (word: string) =>
  readdirSync(data, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .some((entry) => readFileSync(path.join(entry.parentPath, entry.name)).includes(Buffer.from(word)));
const clientsOf = async (db: Db) => (await db.selectFrom('client').select('name').execute()).map(({ name }) => name);

describe('a house that is encrypted', () => {
  it('holds every row that it held, and nothing of it lies open', async () => {
    const before = everything();
    writeFileSync(`${file()}.before-0016_any`, 'Zoë Ahorn');
    writeFileSync(`${file()}.set-aside`, 'Zoë Ahorn');
    mkdirSync(path.join(data, `.${databaseName}-litestream`));
    writeFileSync(path.join(data, `.${databaseName}-litestream`, 'wal'), 'Zoë Ahorn');
    expect(liesOpen('Zoë Ahorn')).toBe(true);
    await encrypt();
    expect(isSealed(file())).toBe(true);
    expect(everything(file(), key)).toBe(before);
    expect(liesOpen('Zoë Ahorn')).toBe(false);
    expect(readdirSync(data).sort()).toEqual([databaseName, 'velvet-stone.key.json'].sort());
  });

  it('opens with its key only, and goes on as before', async () => {
    await encrypt();
    expect(() => openDatabase(data)).toThrow(HouseTrouble);
    expect(() => openDatabase(data, randomKey())).toThrow(HouseTrouble);
    const db = openDatabase(data, key);
    await addClient(db, { name: 'Nele Quell', bornOn: '1980-05-01', phone: '' }, actor);
    expect(await clientsOf(db)).toEqual(['Zoë Ahorn', 'Nele Quell']);
    await db.destroy();
    expect(liesOpen('Nele Quell')).toBe(false);
  });

  it('says that it is locked, not that it is damaged', async () => {
    await encrypt();
    const opening = () => openDatabase(data);
    expect(opening).toThrow(expect.objectContaining({ kind: 'sealed' }) as Error);
  });

  it('lies open again when the encryption is taken away', async () => {
    const before = everything();
    await encrypt();
    await decrypt();
    expect(everything()).toBe(before);
    expect(readDescription(data)).toBeUndefined();
    const db = openDatabase(data);
    expect(await clientsOf(db)).toEqual(['Zoë Ahorn']);
    await db.destroy();
  });
});

describe('an exchange that is ended in its middle', () => {
  const steps = ['copy', 'encrypt', 'check', 'describe', 'exchange', 'tidy'];
  const endAt = (name: string) => (step: string) => {
    if (step === name) throw new Error('the process is gone');
  };
  /** The house as it is found at the next start, with the key if somebody is asked for it. */
  async function atNextStart(): Promise<readonly string[]> {
    tidyExchange(data, databaseName);
    const db = openDatabase(data, isSealed(file()) ? key : undefined);
    try {
      return await clientsOf(db);
    } finally {
      await db.destroy();
    }
  }

  it.each(steps)('before “%s”: the house is whole while it was to be encrypted', async (step) => {
    await expect(encrypt(endAt(step))).rejects.toThrow('the process is gone');
    expect(await atNextStart()).toEqual(['Zoë Ahorn']);
    expect(readdirSync(data).filter((name) => name.includes('exchanging'))).toEqual([]);
    // Whether it is encrypted then or not: it can be done again.
    if (!isSealed(file())) await encrypt();
    expect(isSealed(file())).toBe(true);
    expect(await atNextStart()).toEqual(['Zoë Ahorn']);
  });

  it.each(steps)('before “%s”: the house is whole while the encryption was to go', async (step) => {
    await encrypt();
    await expect(decrypt(endAt(step))).rejects.toThrow('the process is gone');
    expect(await atNextStart()).toEqual(['Zoë Ahorn']);
    if (isSealed(file())) await decrypt();
    expect(isSealed(file())).toBe(false);
    expect(await atNextStart()).toEqual(['Zoë Ahorn']);
  });
});

describe('backups of an encrypted house', () => {
  const passphrase = 'grey herons over wet stones';
  const folder = () => path.join(root, 'backups');
  const backUp = async (houseKey?: HouseKey) => {
    const db = openDatabase(data, houseKey);
    const { name } = await makeBackup(db, { folder: folder(), passphrase, now, workFactor: 4, houseKey });
    await db.destroy();
    return path.join(folder(), name);
  };

  it('leave nothing in the clear while they are made', async () => {
    await encrypt();
    const made = await backUp(key);
    expect(readdirSync(folder())).toHaveLength(1);
    expect(readFileSync(made).includes(Buffer.from('Zoë'))).toBe(false);
  });

  it.each([
    ['an encrypted house', 'an encrypted one'],
    ['an encrypted house', 'a plain one'],
    ['a plain house', 'an encrypted one'],
  ])('of %s can be restored into %s', async (from, into) => {
    const isFromSealed = from.includes('encrypted');
    if (isFromSealed) await encrypt();
    const before = everything(file(), isFromSealed ? key : undefined);
    const made = await backUp(isFromSealed ? key : undefined);
    const there = path.join(root, 'there');
    const other = into.includes('encrypted') ? randomKey() : undefined;
    await openDatabase(there).destroy();
    if (other) await changeCipher({ folder: there, from: undefined, to: { key: other, description } });
    const ready = await prepareRestore(made, passphrase, there, [], other);
    await takePlace(ready, there, other);
    const restored = path.join(there, databaseName);
    expect(isSealed(restored)).toBe(other !== undefined);
    expect(everything(restored, other)).toBe(before);
    expect(existsSync(path.join(there, 'restoring'))).toBe(false);
  });
});
