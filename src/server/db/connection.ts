import { mkdirSync } from 'node:fs';
import path from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, SqliteDialect, sql } from 'kysely';
import { migrate } from './migrate';
import type { Database } from './schema';

export type Db = Kysely<Database>;

/**
 * Opens the house's database and brings it up to date.
 * @param folder made when it is missing; `:memory:` for a database that is gone when closed
 */
export function openDatabase(folder: string): Db {
  const inMemory = folder === ':memory:';
  if (!inMemory) mkdirSync(folder, { recursive: true });
  const sqlite = new SQLite(inMemory ? ':memory:' : path.join(folder, 'velvet-stone.sqlite'));
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma('busy_timeout = 5000');
  // What is erased is overwritten in the file, too.
  sqlite.pragma('secure_delete = ON');
  migrate(sqlite);
  rememberStatements(sqlite);
  return new Kysely<Database>({ dialect: new SqliteDialect({ database: sqlite }) });
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
