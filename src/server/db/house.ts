import { accessSync, constants } from 'node:fs';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { closeDatabase, databaseName, type Db, isOpenElsewhere, openDatabase } from './connection';
import { tidyExchange } from './exchange-files';
import { deriveKey, type HouseKey, isSealed, readDescription } from './house-key';
import { HouseTrouble } from './trouble';

/** The database of this process: opened on the first request, so that a build opens none, and exchanged by a restore. */

let opening: Promise<Db> | undefined;
let prepare: (db: Db) => Promise<void> = () => Promise.resolve();

export const dataFolder = (): string => process.env['VELVET_STONE_DATA'] ?? './var';

/** What a freshly opened house still needs, such as made-up people in the demo. */
export function whenOpened(then: (db: Db) => Promise<void>): void {
  prepare = then;
}

/** A disk that may be read only can still be read; once it may be written to again, the house is opened anew. */
let isReadOnly = false;
export function noteReadOnly(): void {
  isReadOnly = true;
}

const mayWrite = (): boolean => {
  try {
    accessSync(path.join(dataFolder(), databaseName), constants.W_OK);
    return true;
  } catch {
    return false;
  }
};

/** @throws HouseTrouble when the house cannot be opened; asked again, it is tried again */
export function theHouse(): Promise<Db> {
  if (isReadOnly && mayWrite()) {
    isReadOnly = false;
    opening = openAgain(opening);
    return opening;
  }
  opening ??= open();
  return opening.catch((error: unknown) => {
    opening = undefined;
    throw error;
  });
}

let key: HouseKey | undefined;

/** The key of the house that is open; undefined for one that is not encrypted. */
export const keyOfHouse = (): HouseKey | undefined => key;

/** From now on the house is opened with this. */
export function rememberKey(next: HouseKey | undefined): void {
  key = next;
}

export const isHouseEncrypted = (folder = dataFolder()): boolean => isSealed(path.join(folder, databaseName));

/**
 * The key of an encrypted house from the file that an unattended machine names.
 * @returns undefined where no file is named, or the house is not encrypted
 * @throws HouseTrouble when the file cannot be read
 */
export async function keyFromFile(folder = dataFolder()): Promise<HouseKey | undefined> {
  const file = process.env['VELVET_STONE_KEY_FILE'];
  const description = readDescription(folder);
  if (!file || !description || !isHouseEncrypted(folder)) return undefined;
  const passphrase = await readFile(file, 'utf8').catch((cause: unknown) => {
    throw new HouseTrouble('sealed', { cause });
  });
  return deriveKey(passphrase.trim(), description);
}

/**
 * Opens a locked house with its passphrase.
 * @returns false when that is not it
 */
export async function unsealHouse(passphrase: string): Promise<boolean> {
  const description = readDescription(dataFolder());
  if (!description) return false;
  const tried = await deriveKey(passphrase, description);
  try {
    await closeDatabase(openDatabase(dataFolder(), tried));
  } catch (error) {
    if (error instanceof HouseTrouble && error.kind === 'damaged') return false;
    throw error;
  }
  key = tried;
  return true;
}

/** A file that holds another passphrase does not make the data damaged: somebody is asked for the right one. */
function openWith(tried: HouseKey | undefined, isFromFile: boolean): Db {
  try {
    return openDatabase(dataFolder(), tried);
  } catch (error) {
    if (isFromFile && error instanceof HouseTrouble && error.kind === 'damaged')
      throw new HouseTrouble('sealed', { cause: error });
    throw error;
  }
}

async function openAgain(before: Promise<Db> | undefined): Promise<Db> {
  const old = await before;
  if (old) await closeDatabase(old);
  return open();
}

async function open(): Promise<Db> {
  tidyExchange(dataFolder(), databaseName);
  const fromFile = key === undefined ? await keyFromFile() : undefined;
  const db = openWith(key ?? fromFile, fromFile !== undefined);
  key ??= fromFile;
  await prepare(db);
  return db;
}

/**
 * Closes the house, has its files exchanged, and opens it again; whoever asks meanwhile waits.
 * @throws HouseTrouble when another program has the house open: what it writes would be lost
 */
export async function exchangeHouse(exchange: () => Promise<void> | void): Promise<Db> {
  const before = opening;
  const exchanging = (async () => {
    try {
      const old = await before;
      if (old) await closeDatabase(old);
      if (old && isOpenElsewhere(dataFolder())) throw new HouseTrouble('in-use');
      await exchange();
      return undefined;
    } catch (error) {
      return { error };
    }
  })();
  // Whoever waits gets the house as it is then, exchanged or not; only who asked for the exchange hears why not.
  const reopened = exchanging.then(open);
  opening = reopened;
  // Where neither goes well, whoever asks next is told why; it must not end the process meanwhile.
  reopened.catch(() => undefined);
  const failed = await exchanging;
  if (failed) throw failed.error;
  return reopened;
}
