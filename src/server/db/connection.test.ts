import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { sql } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { closeDatabase, databaseName, isOpenElsewhere, openDatabase } from './connection';
import { HouseTrouble } from './trouble';

let folder: string;
beforeEach(() => {
  folder = path.join(mkdtempSync(path.join(tmpdir(), 'velvet-stone-db-')), 'house');
});
afterEach(() => rmSync(path.dirname(folder), { recursive: true, force: true }));

const file = () => path.join(folder, databaseName);
const openAndClose = () => closeDatabase(openDatabase(folder));
const troubleWith = () => {
  try {
    openDatabase(folder);
  } catch (error) {
    return error instanceof HouseTrouble ? error.kind : String(error);
  }
  return undefined;
};

describe('the data folder', () => {
  it('is for the user who runs the house, and for nobody else', async () => {
    const db = openDatabase(folder);
    expect(statSync(folder).mode & 0o777).toBe(0o700);
    for (const name of readdirSync(folder)) expect(statSync(path.join(folder, name)).mode & 0o077, name).toBe(0);
    await db.destroy();
  });

  it('made by an older version is closed to others when it is opened', async () => {
    await openAndClose();
    const { chmodSync } = await import('node:fs');
    chmodSync(folder, 0o755);
    chmodSync(file(), 0o644);
    await openAndClose();
    expect([statSync(folder).mode & 0o777, statSync(file()).mode & 0o777]).toEqual([0o700, 0o600]);
  });
});

describe('a database that is closed', () => {
  it('is closed, asked or not, and takes its log away', async () => {
    const [unused, used] = [openDatabase(folder), openDatabase(folder)];
    await sql`select 1`.execute(used);
    await closeDatabase(used);
    expect(isOpenElsewhere(folder)).toBe(true);
    await closeDatabase(unused);
    await closeDatabase(unused);
    expect(isOpenElsewhere(folder)).toBe(false);
  });
});

describe('data that cannot be used', () => {
  it('is told apart: no database, cut short, newer, changed', async () => {
    await openAndClose();
    const whole = readFileSync(file());
    writeFileSync(file(), 'this is a letter, not a house');
    expect(troubleWith()).toBe('damaged');
    writeFileSync(file(), whole.subarray(0, Math.floor(whole.length / 2)));
    expect(troubleWith()).toBe('damaged');

    const change = (what: string) => {
      rmSync(`${file()}-wal`, { force: true });
      rmSync(`${file()}-shm`, { force: true });
      writeFileSync(file(), whole);
      const sqlite = new SQLite(file());
      sqlite.exec(what);
      sqlite.close();
    };
    change("insert into migration values ('9999_from_tomorrow', 'x', '2099-01-01')");
    expect(troubleWith()).toBe('newer');
    change("update migration set checksum = 'x' where name like '0003%'");
    expect(troubleWith()).toBe('changed');
  });

  it('is not changed by the attempt', async () => {
    await openAndClose();
    writeFileSync(file(), 'this is a letter, not a house');
    troubleWith();
    expect(readFileSync(file(), 'utf8')).toBe('this is a letter, not a house');
  });
});

describe('bringing data up to date', () => {
  it('puts a whole copy beside it first, once', async () => {
    await openAndClose();
    const sqlite = new SQLite(file());
    // As a house was before the newest step: the step itself has nothing left to do that would fail.
    sqlite.exec("delete from migration where name like '0014%'");
    sqlite.exec('alter table client drop column language; alter table consent drop column language;');
    sqlite.exec('alter table consent_wording drop column others_json;');
    sqlite.exec("delete from migration where name like '0015%'");
    sqlite.exec('drop table sign_in_try; drop table known_device; drop index session_by_name;');
    for (const column of ['name', 'device', 'at_table_at', 'proved_at'])
      sqlite.exec(`alter table session drop column ${column}`);
    sqlite.exec(
      'alter table therapist add column failed_sign_ins integer; alter table therapist add column locked_until text',
    );
    sqlite.close();
    await openAndClose();
    const copies = readdirSync(folder).filter((name) => name.includes('.before-'));
    expect(copies).toEqual([`${databaseName}.before-0014_speak_to_clients`]);
    const copy = new SQLite(path.join(folder, copies[0] ?? ''), { readonly: true });
    expect(copy.prepare("select count(*) as n from migration where name like '0014%'").get()).toEqual({ n: 0 });
    copy.close();
  });
});

describe('a full disk', () => {
  it('is said to be full also from within a transaction, and what was stored stays readable', async () => {
    const db = openDatabase(':memory:');
    const { rows } = await sql<{ page_count: number }>`pragma page_count`.execute(db);
    await sql.raw(`pragma max_page_count = ${rows[0]?.page_count ?? 0}`).execute(db);
    const writing = db.transaction().execute(async (trx) => {
      for (let i = 0; i < 2000; i += 1)
        await trx
          .insertInto('audit')
          .values({ at: '2026-01-01', therapist_id: null, action: 'signed in', subject: 'x'.repeat(500), detail: '' })
          .execute();
    });
    await expect(writing).rejects.toMatchObject({ code: 'SQLITE_FULL' });
    expect(await db.selectFrom('audit').selectAll().execute()).toEqual([]);
    await db.destroy();
  });
});
