import type { Migration } from './migration';
import { HouseTrouble } from './trouble';
import { createHash } from 'node:crypto';
import type SQLite from 'better-sqlite3-multiple-ciphers';
import { createTheHouse } from './migrations/0001_create_the_house';
import { openTheRecord } from './migrations/0002_open_the_record';
import { measureAndLookBack } from './migrations/0003_measure_and_look_back';
import { findPairs } from './migrations/0004_find_pairs';
import { keepALibrary } from './migrations/0005_keep_a_library';
import { holdMoreThanDrainage } from './migrations/0006_hold_more_than_drainage';
import { keepStones } from './migrations/0007_keep_stones';
import { keepOils } from './migrations/0008_keep_oils';
import { markTheTable } from './migrations/0009_mark_the_table';
import { leadTheTable } from './migrations/0010_lead_the_table';
import { sendHome } from './migrations/0011_send_home';
import { signTheClose } from './migrations/0012_sign_the_close';
import { sayTheSide } from './migrations/0013_say_the_side';
import { guardTheDoor } from './migrations/0015_guard_the_door';
import { keepSecrets } from './migrations/0016_keep_secrets';
import { countDrops } from './migrations/0017_count_drops';
import { keepWhatWasAsked } from './migrations/0018_keep_what_was_asked';
import { keepPractice } from './migrations/0019_keep_practice';
import { keepOwnPace } from './migrations/0020_keep_own_pace';
import { agreeToPictures } from './migrations/0021_agree_to_pictures';
import { rememberImports } from './migrations/0022_remember_imports';
import { askBeforeWriting } from './migrations/0023_ask_before_writing';
import { speakToClients } from './migrations/0014_speak_to_clients';

/** Listed by hand: a bundle carries no folder. */
export const migrations: readonly Migration[] = [
  createTheHouse,
  openTheRecord,
  measureAndLookBack,
  findPairs,
  keepALibrary,
  holdMoreThanDrainage,
  keepStones,
  keepOils,
  markTheTable,
  leadTheTable,
  sendHome,
  signTheClose,
  sayTheSide,
  speakToClients,
  guardTheDoor,
  keepSecrets,
  countDrops,
  keepWhatWasAsked,
  keepPractice,
  keepOwnPace,
  agreeToPictures,
  rememberImports,
  askBeforeWriting,
];

/** Every form that this version knows. */
export const knownMigrations: readonly string[] = migrations.map(({ name }) => name);

/** Names of the migrations that a database still lacks, in order; none where it holds no house yet. */
export function pendingMigrations(db: SQLite.Database, list: readonly Migration[] = migrations): readonly string[] {
  const isKept = db.prepare("select 1 from sqlite_master where name = 'migration'").get() !== undefined;
  if (!isKept) return [];
  const done = new Set(appliedIn(db).map(({ name }) => name));
  return list.map(({ name }) => name).filter((name) => !done.has(name));
}

const appliedIn = (db: SQLite.Database) =>
  db.prepare('select name, checksum from migration order by name').all() as { name: string; checksum: string }[];

/**
 * Brings a database up to date, each migration in a transaction of its own, with its checksum recorded.
 * @throws HouseTrouble when an applied migration has since been changed, or when the database is newer than this program
 */
export function migrate(db: SQLite.Database, list: readonly Migration[] = migrations): void {
  db.exec(
    'create table if not exists migration (name text primary key, checksum text not null, applied_at text not null) strict',
  );
  const applied = appliedIn(db);
  const known = new Map(list.map((migration) => [migration.name, checksumOf(migration)]));
  for (const { name, checksum } of applied) {
    const expected = known.get(name);
    if (expected === undefined) throw new HouseTrouble('newer', { cause: name });
    if (expected !== checksum) throw new HouseTrouble('changed', { cause: name });
  }
  const done = new Set(applied.map(({ name }) => name));
  const record = db.prepare('insert into migration (name, checksum, applied_at) values (?, ?, ?)');
  for (const migration of list) {
    if (done.has(migration.name)) continue;
    db.transaction(() => {
      db.exec(migration.sql);
      record.run(migration.name, checksumOf(migration), new Date().toISOString());
    })();
  }
}

function checksumOf(migration: Migration): string {
  return createHash('sha256').update(migration.sql).digest('hex');
}
