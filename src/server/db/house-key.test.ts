import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import {
  changeKey,
  deriveKey,
  descriptionFile,
  giveKey,
  isSealed,
  newDescription,
  randomKey,
  readDescription,
} from './house-key';

/** Real keys take their time, so that guessing does; tests need not. */
const cheap = { memoryKib: 64, passes: 1 } as never;

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-key-'));
  file = path.join(folder, 'any.sqlite');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('the key of a house', () => {
  it('is the same for the same passphrase and salt, and for no other', async () => {
    const description = newDescription(cheap);
    const key = await deriveKey('grey herons over wet stones', description);
    expect(key).toHaveLength(32);
    expect(await deriveKey('grey herons over wet stones', description)).toEqual(key);
    expect(await deriveKey('grey herons over wet stone', description)).not.toEqual(key);
    expect(await deriveKey('grey herons over wet stones', newDescription(cheap))).not.toEqual(key);
  });

  it('does not depend on how a keyboard composes letters', async () => {
    const description = newDescription(cheap);
    expect(await deriveKey('Zoe\u0308s Moor', description)).toEqual(await deriveKey('Zo\u00ebs Moor', description));
  });

  it('is described beside the data; what cannot be read describes nothing', () => {
    expect(readDescription(folder)).toBeUndefined();
    const description = newDescription();
    writeFileSync(descriptionFile(folder), JSON.stringify(description));
    expect(readDescription(folder)).toEqual(description);
    writeFileSync(descriptionFile(folder), JSON.stringify({ ...description, passes: 0 }));
    expect(readDescription(folder)).toBeUndefined();
  });
});

describe('a database', () => {
  const fill = (sqlite: SQLite.Database) => sqlite.exec("create table a (t text); insert into a values ('Zoë Ahorn')");
  const read = (sqlite: SQLite.Database) => sqlite.prepare('select t from a').pluck().get();

  it('is sealed when its pages are encrypted, and opens with its key only', () => {
    const key = randomKey();
    const sqlite = new SQLite(file);
    giveKey(sqlite, key);
    fill(sqlite);
    sqlite.close();
    expect(isSealed(file)).toBe(true);
    const right = new SQLite(file);
    giveKey(right, key);
    expect(read(right)).toBe('Zoë Ahorn');
    right.close();
    for (const wrong of [randomKey(), undefined]) {
      const other = new SQLite(file);
      if (wrong) giveKey(other, wrong);
      expect(() => read(other)).toThrow('not a database');
      other.close();
    }
  });

  it('can be sealed, and unsealed, later', () => {
    const key = randomKey();
    const plain = new SQLite(file);
    fill(plain);
    expect(isSealed(file)).toBe(false);
    changeKey(plain, key);
    plain.close();
    expect(isSealed(file)).toBe(true);
    const sealed = new SQLite(file);
    giveKey(sealed, key);
    changeKey(sealed, undefined);
    expect(read(sealed)).toBe('Zoë Ahorn');
    sealed.close();
    expect(isSealed(file)).toBe(false);
  });

  it('that is not there is not sealed', () => {
    expect(isSealed(path.join(folder, 'nothing'))).toBe(false);
  });
});
