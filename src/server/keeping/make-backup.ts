import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { format, parse } from 'date-fns';
import { outlived } from './retention';
import { type Db, sqliteOf } from '../db/connection';
import { giveKey, type HouseKey, randomKey } from '../db/house-key';
import { findHouse } from '../people/people.repository';
import { type Manifest, packBackup, sha256Of } from './archive';
import { inCipherThread } from './cipher-thread';
import { keepingAnswers } from './keeping.answers';

export interface BackupProgress {
  /** Copying is the first half, packing the second. */
  readonly share: number;
  readonly doing: 'copying' | 'packing';
}

export interface BackupWish {
  readonly folder: string;
  readonly passphrase: string;
  readonly now: Date;
  readonly signal?: AbortSignal | undefined;
  readonly onProgress?: ((progress: BackupProgress) => void) | undefined;
  readonly workFactor?: number | undefined;
  /** Of a house that is encrypted: nothing of it lies in the clear while it is copied, either. */
  readonly houseKey?: HouseKey | undefined;
}

export interface BackupFile {
  readonly name: string;
  readonly madeAt: Date;
  readonly bytes: number;
}

const stamp = "yyyy-MM-dd'T'HHmmss";
const nameOf = (at: Date) => keepingAnswers.velvetStoneAge(format(at, stamp));
const pagesAtOnce = 200;

/**
 * Copies the house as it is at one moment, while it goes on, packs and encrypts the copy, and drops what has been
 * outlived. A backup is there whole or not at all.
 * Errors: those of the file system; `AbortError` when it was cancelled
 */
export async function makeBackup(db: Db, wish: BackupWish): Promise<BackupFile> {
  const { folder, passphrase, now, signal = new AbortController().signal, onProgress = () => undefined } = wish;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = path.join(folder, nameOf(now));
  const [copy, part] = [`${file}.copy`, `${file}.part`];
  try {
    const key = wish.houseKey && randomKey();
    if (wish.houseKey && key) {
      // SQLite’s own copying does not go from one key to another.
      const { name: house } = sqliteOf(db);
      await inCipherThread({ kind: 'copy', file: house, key: wish.houseKey, copy, copyKey: key });
    } else
      await sqliteOf(db).backup(copy, {
        progress: ({ totalPages, remainingPages }) => {
          signal.throwIfAborted();
          onProgress({ share: (1 - remainingPages / Math.max(1, totalPages)) / 2, doing: 'copying' });
          return pagesAtOnce;
        },
      });
    signal.throwIfAborted();
    const manifest = await manifestOf(copy, (await findHouse(db))?.name ?? '', now, key);
    await packBackup({
      ...{ database: copy, manifest, file: part, passphrase, signal, workFactor: wish.workFactor },
      onBytes: (read, of) => onProgress({ share: 0.5 + read / Math.max(1, of) / 2, doing: 'packing' }),
    });
    await rename(part, file);
  } finally {
    for (const left of [copy, `${copy}-wal`, `${copy}-shm`, part]) await rm(left, { force: true });
  }
  await dropOutlived(folder, now);
  return { name: path.basename(file), madeAt: now, bytes: (await stat(file)).size };
}

async function manifestOf(database: string, house: string, now: Date, key: HouseKey | undefined): Promise<Manifest> {
  const sqlite = new SQLite(database);
  try {
    if (key) giveKey(sqlite, key);
    // Nothing of how the house writes is left beside the copy.
    sqlite.pragma('journal_mode = DELETE');
    const names = sqlite
      .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name")
      .pluck()
      .all() as string[];
    const count = (name: string) => sqlite.prepare(`select count(*) from "${name}"`).pluck().get() as number;
    const migrations = sqlite.prepare('select name from migration order by name').pluck().all() as string[];
    const tables = Object.fromEntries(names.map((name) => [name, count(name)]));
    sqlite.close();
    const { size: bytes } = await stat(database);
    return {
      ...{ format: 'velvet-stone/backup', version: 1, house, madeAt: now.toISOString(), migrations, tables },
      database: { bytes, sha256: await sha256Of(database), ...(key && { keyHex: key.toString('hex') }) },
    };
  } finally {
    sqlite.close();
  }
}

/** Backups in a folder, the newest first. @returns none where there is no such folder */
export async function listBackups(folder: string): Promise<readonly BackupFile[]> {
  const names = await readdir(folder).catch(() => []);
  const found = await Promise.all(
    names.flatMap((name) => {
      const text = /^velvet-stone-(\d{4}-\d{2}-\d{2}T\d{6})\.age$/.exec(name)?.[1];
      if (!text) return [];
      const madeAt = parse(text, stamp, new Date(0));
      return [stat(path.join(folder, name)).then(({ size }): BackupFile => ({ name, madeAt, bytes: size }))];
    }),
  );
  return found.sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
}

async function dropOutlived(folder: string, now: Date): Promise<void> {
  const files = await listBackups(folder);
  const gone = new Set(
    outlived(
      files.map(({ madeAt }) => madeAt),
      now,
    ).map((at) => at.getTime()),
  );
  for (const { name, madeAt } of files)
    if (gone.has(madeAt.getTime())) await rm(path.join(folder, name), { force: true });
}
