import { mkdirSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { closeDatabase, databaseName, openDatabase } from '../db/connection';
import { isHouseEncrypted, keyFromFile } from '../db/house';
import { giveKey, type HouseKey } from '../db/house-key';
import { listErasedClients } from '../house/audit.repository';
import { findSettings } from '../people/settings.repository';
import { NotABackup } from './archive';
import { makeBackup } from './make-backup';
import { copyingTrouble } from './second-machine';
import { canUndo, prepareRestore, takePlace, undoRestore } from './restore';
import { keepingAnswers } from './keeping.answers';

/** Backups from the shell: what `npm run backup` and `npm run restore` do. Each answers the exit code. */

/** For programs beside: whether a database is encrypted. */
export { isSealed } from '../db/house-key';

const tell = (words: string) => process.stdout.write(`${words}\n`);
const fail = (words: string): 1 => {
  process.stderr.write(`${words}\n`);
  return 1;
};

const nameTheKeyFile = keepingAnswers.theHouseIsEncryptedNameThe;

/** @param folder where it goes; as the house says when it is left out */
export async function backUpFromShell(data: string, folder: string | undefined, passphrase: string): Promise<0 | 1> {
  const houseKey = await keyFromFile(data);
  const db = openDatabase(data, houseKey);
  try {
    const { backup } = await findSettings(db);
    const [to, words] = [folder ?? backup?.folder, passphrase || backup?.passphrase];
    if (!to || !words) return fail(keepingAnswers.sayWhereItGoesNpmRun);
    let shown = -1;
    const { name, bytes } = await makeBackup(db, {
      ...{ folder: path.resolve(to), passphrase: words, now: new Date(), houseKey },
      onProgress: ({ share }) => {
        const tenth = Math.floor(10 * share);
        if (tenth > shown) tell(`${10 * tenth} %`);
        shown = Math.max(shown, tenth);
      },
    });
    tell(`${path.join(to, name)}: ${(bytes / 1_000_000).toFixed(1)} MB`);
    return 0;
  } finally {
    await closeDatabase(db);
  }
}

export async function restoreFromShell(data: string, file: string, passphrase: string): Promise<0 | 1> {
  const hindrance = copyingTrouble(data);
  if (hindrance) return fail(hindrance);
  const key = await keyFromFile(data);
  if (isHouseEncrypted(data) && !key) return fail(nameTheKeyFile);
  if (isInUse(data, key)) return fail(keepingAnswers.theHouseIsRunningEndIt);
  mkdirSync(data, { recursive: true, mode: 0o700 });
  try {
    const ready = await prepareRestore(path.resolve(file), passphrase, data, await erasedIn(data, key), key);
    await takePlace(ready, data, key);
    const { house, madeAt, tables } = ready.manifest;
    tell(keepingAnswers.asItWasAtClientsVisits(house, madeAt, tables['client'] ?? 0, tables['visit'] ?? 0));
    if (ready.erased > 0) tell(keepingAnswers.clientsWereErasedSinceAndStay(ready.erased));
    if (canUndo(data)) tell(keepingAnswers.theHouseThatWasThereIs);
    return 0;
  } catch (error) {
    if (error instanceof NotABackup) return fail(keepingAnswers.nothingWasChanged(error.message));
    throw error;
  }
}

export async function undoFromShell(data: string): Promise<0 | 1> {
  const hindrance = copyingTrouble(data);
  if (hindrance) return fail(hindrance);
  const key = await keyFromFile(data);
  if (isHouseEncrypted(data) && !key) return fail(nameTheKeyFile);
  if (isInUse(data, key)) return fail(keepingAnswers.theHouseIsRunningEndIt2);
  if (!canUndo(data)) return fail(keepingAnswers.noHouseWasKeptAside);
  undoRestore(data, key);
  tell(keepingAnswers.theHouseThatWasKeptAside);
  return 0;
}

/** Whether another process has the database open. */
function isInUse(data: string, key: HouseKey | undefined): boolean {
  try {
    const sqlite = new SQLite(path.join(data, databaseName), { fileMustExist: true, timeout: 200 });
    try {
      if (key) giveKey(sqlite, key);
      sqlite.pragma('locking_mode = EXCLUSIVE');
      sqlite.exec('begin exclusive; commit');
      return false;
    } catch (error) {
      return error instanceof Error && 'code' in error && String(error.code).startsWith('SQLITE_BUSY');
    } finally {
      sqlite.close();
    }
  } catch {
    // There is none, or it cannot be read: nobody works with it.
    return false;
  }
}

/** Who was erased, by the house that is there; nobody where there is none that can be read. */
async function erasedIn(data: string, key: HouseKey | undefined): Promise<readonly number[]> {
  try {
    const db = openDatabase(data, key);
    try {
      return await listErasedClients(db);
    } finally {
      await closeDatabase(db);
    }
  } catch {
    return [];
  }
}

/** For `npm run doctor`. */
export { doctorFromShell } from './doctor';
