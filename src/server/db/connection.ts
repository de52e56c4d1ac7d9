import { chmodSync, existsSync, mkdirSync, readdirSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { isMainThread } from 'node:worker_threads';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { type DatabaseConnection, Kysely, SqliteDialect, type SqliteDialectConfig, SqliteDriver, sql } from 'kysely';
import { giveKey, type HouseKey, isSealed, readDescription } from './house-key';
import { migrate, pendingMigrations } from './migrate';
import type { Database } from './schema';
import { HouseTrouble, troubleOf } from './trouble';

export type Db = Kysely<Database>;

export const databaseName = 'velvet-stone.sqlite';

/**
 * Opens the house's database and brings it up to date; before that changes anything, a copy is put beside it.
 * Folder and files are for the user who runs the house, and for nobody else.
 * @param folder made when it is missing; `:memory:` for a database that is gone when closed
 * @param key of a house that is encrypted; one that is not needs none
 * @throws HouseTrouble for data that is damaged, read-only, sealed, or of another version
 */
export function openDatabase(folder: string, key?: HouseKey): Db {
  try {
    return folder === ':memory:' ? open(':memory:') : openFolder(folder, key);
  } catch (error) {
    throw troubleOf(error);
  }
}

function openFolder(folder: string, key: HouseKey | undefined): Db {
  // Whatever SQLite makes beside the file is for us alone, too.
  if (isMainThread) process.umask(0o077);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  keepPrivate(folder);
  const file = path.join(folder, databaseName);
  const isEncrypted = isSealed(file);
  if (isEncrypted && !key && readDescription(folder)) throw new HouseTrouble('sealed');
  const db = open(file, isEncrypted ? key : undefined);
  keepPrivate(folder);
  return db;
}

function keepPrivate(folder: string): void {
  try {
    chmodSync(folder, 0o700);
    for (const name of readdirSync(folder))
      if (name.startsWith(databaseName)) chmodSync(path.join(folder, name), 0o600);
  } catch {
    // Not ours to change, as on some mounted disks: the house works all the same.
  }
}

function open(file: string, key?: HouseKey): Db {
  const isOld = file !== ':memory:' && existsSync(file);
  const sqlite = new SQLite(file);
  try {
    if (key) giveKey(sqlite, key);
    makeReady(sqlite, isOld ? file : undefined);
  } catch (error) {
    sqlite.close();
    throw error;
  }
  rememberStatements(sqlite);
  const db = new Kysely<Database>({ dialect: new HouseDialect({ database: sqlite }) });
  handles.set(db, sqlite);
  return db;
}

const handles = new WeakMap<Db, SQLite.Database>();

/** The connection below, for what only SQLite itself can do, such as copying a database that is in use. */
export function sqliteOf(db: Db): SQLite.Database {
  const sqlite = handles.get(db);
  if (!sqlite) throw new RangeError('this database was not opened here');
  return sqlite;
}

/**
 * Closes a database for certain. Kysely closes only what it has used; a connection that stays keeps the log beside the
 * file, and with it what was written last.
 */
export async function closeDatabase(db: Db): Promise<void> {
  await db.destroy();
  handles.get(db)?.close();
}

/** Whether somebody still has a closed database open: the last one to go takes the log away. */
export const isOpenElsewhere = (folder: string): boolean => existsSync(path.join(folder, `${databaseName}-wal`));

function makeReady(sqlite: SQLite.Database, oldFile: string | undefined): void {
  if (oldFile) expectSound(sqlite);
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma('busy_timeout = 5000');
  // What is erased is overwritten in the file, too.
  sqlite.pragma('secure_delete = ON');
  const [next] = pendingMigrations(sqlite);
  if (oldFile && next) copyAside(sqlite, `${oldFile}.before-${next}`);
  migrate(sqlite);
}

/** @throws HouseTrouble when the file is not what was written */
function expectSound(sqlite: SQLite.Database): void {
  const found = sqlite.pragma('quick_check(1)', { simple: true });
  if (found !== 'ok') throw new HouseTrouble('damaged', { cause: found });
}

/** A whole copy, made once for each form that the data had. */
function copyAside(sqlite: SQLite.Database, copy: string): void {
  if (existsSync(copy)) return;
  sqlite.prepare('vacuum into ?').run(copy);
  chmodSync(copy, 0o600);
}

/**
 * SQLite itself takes a transaction back when the disk is full; taking it back once more is an error of its own, which
 * would hide the one that matters.
 */
class HouseDriver extends SqliteDriver {
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    try {
      await super.rollbackTransaction(connection);
    } catch (error) {
      if (!(error instanceof Error && error.message.includes('no transaction is active'))) throw error;
    }
  }
}

class HouseDialect extends SqliteDialect {
  readonly #config: SqliteDialectConfig;

  constructor(config: SqliteDialectConfig) {
    super(config);
    this.#config = config;
  }

  override createDriver(): SqliteDriver {
    return new HouseDriver(this.#config);
  }
}

/** Kysely writes the same few hundred statements over and over; SQLite has to understand each of them only once. */
const mostStatements = 500;

function rememberStatements(sqlite: SQLite.Database): void {
  const prepare = sqlite.prepare.bind(sqlite);
  const known = new Map<string, SQLite.Statement>();
  sqlite.prepare = ((source: string) => {
    const statement = known.get(source) ?? prepare(source);
    if (known.size >= mostStatements) known.clear();
    known.set(source, statement);
    return statement;
  }) as typeof sqlite.prepare;
}

/** Empties the log beside the data file into it. */
export async function emptyLog(db: Db): Promise<void> {
  await sql`pragma wal_checkpoint(truncate)`.execute(db);
}
