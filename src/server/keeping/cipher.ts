import { constants, existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { copyFile, link, open, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { databaseName } from '../db/connection';
import { dropShadow } from './second-machine';
import { exchangedFile, exchangingFile, tidyExchange } from '../db/exchange-files';
import { changeKey, descriptionFile, giveKey, type HouseKey, type KeyDescription } from '../db/house-key';

/** How far an exchange of the encryption is. */
export interface CipherProgress {
  readonly share: number;
  readonly doing: 'copying' | 'encrypting' | 'checking';
}

export interface CipherChange {
  readonly folder: string;
  readonly from: HouseKey | undefined;
  /** With how a passphrase becomes it; undefined takes the encryption away. */
  readonly to: { readonly key: HouseKey; readonly description: KeyDescription } | undefined;
}

/** Copies of before that nobody may find in the clear beside an encrypted house. */
const isOldCopy = (name: string) => name.startsWith(`${databaseName}.before-`) || name === `${databaseName}.set-aside`;

/**
 * Encrypts a closed house, or takes its encryption away. A copy is changed and checked; then it takes the place of the
 * house in one step of the file system. Whenever the process is ended, the house is whole, in its old form or its new.
 * @param step told before each step that could be the last one
 * @throws Error when the copy does not hold what the house holds; nothing was changed then
 */
export async function changeCipher(
  { folder, from, to }: CipherChange,
  tell: (progress: CipherProgress) => void = () => undefined,
  step: (name: string) => void = () => undefined,
): Promise<void> {
  const [now, part] = [path.join(folder, databaseName), exchangingFile(folder, databaseName)];
  tidyExchange(folder, databaseName);
  tell({ share: 0, doing: 'copying' });
  step('copy');
  await copyFile(now, part, constants.COPYFILE_EXCL);
  tell({ share: 0.3, doing: 'encrypting' });
  step('encrypt');
  const before = withDatabase(part, from, (sqlite) => {
    sqlite.pragma('journal_mode = DELETE');
    const rows = rowsOf(sqlite);
    changeKey(sqlite, to?.key);
    return rows;
  });
  tell({ share: 0.7, doing: 'checking' });
  step('check');
  withDatabase(part, to?.key, (sqlite) => {
    const isSound = sqlite.pragma('quick_check(1)', { simple: true }) === 'ok';
    if (!isSound || JSON.stringify(rowsOf(sqlite)) !== JSON.stringify(before))
      throw new Error('the copy is not what the house holds');
  });
  await flush(part);
  step('describe');
  if (to) await writeDescription(folder, to.description);
  step('exchange');
  const old = exchangedFile(folder, databaseName);
  // Kept by a second name, so that it can be written over; where a disk knows none, it just goes.
  await link(now, old).catch(() => undefined);
  renameSync(part, now);
  step('tidy');
  await overwrite(old);
  if (to) {
    for (const name of readdirSync(folder).filter(isOldCopy)) await overwrite(path.join(folder, name));
    dropShadow(folder);
  } else rmSync(descriptionFile(folder), { force: true });
  tell({ share: 1, doing: 'checking' });
}

/**
 * A copy of an encrypted house at one moment, while it goes on, under a key of its own.
 * @param file the database in use
 */
export function copySealed(file: string, key: HouseKey, copy: string, copyKey: HouseKey): void {
  withDatabase(file, key, (sqlite) => sqlite.prepare('vacuum into ?').run(copy));
  withDatabase(copy, key, (sqlite) => {
    sqlite.pragma('journal_mode = DELETE');
    changeKey(sqlite, copyKey);
  });
}

/** Gives a closed database another key, or none. */
export function recipher(file: string, from: HouseKey | undefined, to: HouseKey | undefined): void {
  withDatabase(file, from, (sqlite) => {
    sqlite.pragma('journal_mode = DELETE');
    changeKey(sqlite, to);
  });
}

function withDatabase<T>(file: string, key: HouseKey | undefined, act: (sqlite: SQLite.Database) => T): T {
  const sqlite = new SQLite(file, { fileMustExist: true, timeout: 5000 });
  try {
    if (key) giveKey(sqlite, key);
    return act(sqlite);
  } finally {
    sqlite.close();
  }
}

function rowsOf(sqlite: SQLite.Database): Readonly<Record<string, unknown>> {
  const names = sqlite
    .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name")
    .pluck()
    .all() as string[];
  return Object.fromEntries(
    names.map((name) => [name, sqlite.prepare(`select count(*) from "${name}"`).pluck().get()]),
  );
}

async function writeDescription(folder: string, description: KeyDescription): Promise<void> {
  const [file, part] = [descriptionFile(folder), `${descriptionFile(folder)}.part`];
  await writeFile(part, JSON.stringify(description, null, 1), { mode: 0o600, flush: true });
  renameSync(part, file);
}

async function flush(file: string): Promise<void> {
  const handle = await open(file, 'r+');
  await handle.sync();
  await handle.close();
}

const blockBytes = 1_048_576;

/** Writes nothings over a file before it goes: on most disks its words are gone with it. */
async function overwrite(file: string): Promise<void> {
  if (!existsSync(file)) return;
  const { size } = statSync(file);
  const handle = await open(file, 'r+');
  const block = Buffer.alloc(blockBytes);
  for (let at = 0; at < size; at += blockBytes) await handle.write(block, 0, Math.min(blockBytes, size - at), at);
  await handle.sync();
  await handle.close();
  await rm(file, { force: true });
}
