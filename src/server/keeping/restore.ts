import { existsSync, renameSync, rmSync } from 'node:fs';
import { mkdtemp, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { findClient } from '../clients/clients.repository';
import { eraseRows } from '../clients/whole-client.repository';
import { closeDatabase, databaseName, type Db, emptyLog, openDatabase } from '../db/connection';
import { giveKey, type HouseKey, isSealed } from '../db/house-key';
import { knownMigrations } from '../db/migrate';
import { HouseTrouble } from '../db/trouble';
import { listErasedClients } from '../house/audit.repository';
import { deleteAllSessions } from '../people/sessions.repository';
import { type Manifest, NotABackup, unpackBackup } from './archive';
import { recipher } from './cipher';
import { keepingAnswers } from './keeping.answers';

/** A backup that was unpacked, checked and brought up to date, ready to take the place of the house. */
export interface Restorable {
  readonly manifest: Manifest;
  /** A folder of its own inside the data folder: moving it into place is one step of the file system. */
  readonly folder: string;
  /** Clients that were erased after the backup was made, and are again. */
  readonly erased: number;
}

const asideName = `${databaseName}.set-aside`;

/**
 * Unpacks a backup beside the house and makes it ready: whole, not newer than this program, in today's form, without
 * clients that have been erased since. The house itself is not touched.
 * @param erasedIds clients that were erased, by the house that is there
 * @param houseKey of the house that is there: what is restored is encrypted as it is
 * @throws NotABackup with the reason in words
 */
export async function prepareRestore(
  file: string,
  passphrase: string,
  dataFolder: string,
  erasedIds: readonly number[],
  houseKey?: HouseKey,
): Promise<Restorable> {
  const folder = await mkdtemp(path.join(dataFolder, 'restoring-'));
  try {
    const { manifest, database } = await unpackBackup(file, passphrase, folder);
    const unknown = manifest.migrations.filter((name) => !knownMigrations.includes(name));
    if (unknown.length > 0) throw new NotABackup(keepingAnswers.itIsOfANewerVersion(String(unknown[0])));
    const { keyHex } = manifest.database;
    if (keyHex !== undefined || houseKey)
      recipher(database, keyHex === undefined ? undefined : Buffer.from(keyHex, 'hex'), houseKey);
    const db = openChecked(folder, houseKey);
    try {
      const erased = await eraseAgain(db, erasedIds);
      await deleteAllSessions(db);
      await emptyLog(db);
      return { manifest, folder, erased };
    } finally {
      await closeDatabase(db);
    }
  } catch (error) {
    await rm(folder, { recursive: true, force: true });
    throw error;
  }
}

function openChecked(folder: string, key: HouseKey | undefined): Db {
  try {
    return openDatabase(folder, key);
  } catch (error) {
    if (error instanceof HouseTrouble) throw new NotABackup(keepingAnswers.thisBackupCannotBeUsed(error.message));
    throw error;
  }
}

async function eraseAgain(db: Db, ids: readonly number[]): Promise<number> {
  // What the backup itself knows as erased is not in it any more.
  const all = [...new Set([...ids, ...(await listErasedClients(db))])];
  let erased = 0;
  for (const id of all) {
    if (!(await findClient(db, id))) continue;
    await db.transaction().execute((trx) => eraseRows(trx, id));
    erased += 1;
  }
  return erased;
}

/** Puts what was prepared in the place of the house, which is kept aside. The house must be closed. */
export async function takePlace(
  { folder }: Pick<Restorable, 'folder'>,
  dataFolder: string,
  key?: HouseKey,
): Promise<void> {
  const [now, aside] = [path.join(dataFolder, databaseName), path.join(dataFolder, asideName)];
  withoutLog(now, key);
  if (existsSync(now)) await rename(now, aside);
  await rename(path.join(folder, databaseName), now);
  await rm(folder, { recursive: true, force: true });
}

/** Whether there is a house that was kept aside. */
export const canUndo = (dataFolder: string): boolean => existsSync(path.join(dataFolder, asideName));

/** The house that was kept aside comes back; the other one is kept aside in its turn. The house must be closed. */
export function undoRestore(dataFolder: string, key?: HouseKey): void {
  const [now, aside] = [path.join(dataFolder, databaseName), path.join(dataFolder, asideName)];
  withoutLog(now, key);
  const between = `${aside}.between`;
  renameSync(aside, between);
  if (existsSync(now)) renameSync(now, aside);
  renameSync(between, now);
}

/** Writes what the log beside a closed database still holds into it. */
function withoutLog(file: string, key: HouseKey | undefined): void {
  if (!existsSync(file)) return;
  try {
    const sqlite = new SQLite(file);
    if (key && isSealed(file)) giveKey(sqlite, key);
    sqlite.pragma('wal_checkpoint(truncate)');
    sqlite.close();
  } catch {
    // A house that cannot be read is kept aside as it is.
  }
  for (const end of ['-wal', '-shm']) rmSync(`${file}${end}`, { force: true });
}
