import type { Migration } from './migration';
import { createHash } from 'node:crypto';
import type SQLite from 'better-sqlite3';
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
import { speakToClients } from './migrations/0014_speak_to_clients';

/** Listed by hand: a bundle carries no folder. */
const migrations: readonly Migration[] = [
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
];

/**
 * Brings a database up to date, each migration in a transaction of its own, with its checksum recorded.
 * @throws Error when an applied migration has since been changed, or when the database is newer than this program
 */
export function migrate(db: SQLite.Database, list: readonly Migration[] = migrations): void {
  db.exec(
    'create table if not exists migration (name text primary key, checksum text not null, applied_at text not null) strict',
  );
  const applied = db.prepare('select name, checksum from migration order by name').all() as {
    name: string;
    checksum: string;
  }[];
  const known = new Map(list.map((migration) => [migration.name, checksumOf(migration)]));
  for (const { name, checksum } of applied) {
    const expected = known.get(name);
    if (expected === undefined)
      throw new Error(
        `The data folder was written by a newer version (${name}). Start that version, or restore a backup.`,
      );
    if (expected !== checksum)
      throw new Error(`Migration ${name} was changed after it ran: restore it, and put changes into a new one.`);
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
