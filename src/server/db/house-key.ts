import { closeSync, existsSync, openSync, readFileSync, readSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import path from 'node:path';
import { hashRaw } from '@node-rs/argon2';
import type SQLite from 'better-sqlite3-multiple-ciphers';
import { z } from 'zod';

/** 32 bytes that open an encrypted house; in memory only. */
export type HouseKey = Buffer;

const keyBytes = 32;
const saltBytes = 16;
/** Memory in KiB: well above what sheets of password storage ask for, since it is done once a start. */
const usualCost = { memoryKib: 65_536, passes: 3, lanes: 1 } as const;

/** How a passphrase becomes the key of a house. It lies beside the data and opens nothing by itself. */
const KeyDescription = z.object({
  format: z.literal('velvet-stone/key'),
  version: z.literal(1),
  kdf: z.literal('argon2id'),
  saltHex: z.string().regex(/^[0-9a-f]{32}$/),
  memoryKib: z.number().int().min(8).max(4_194_304),
  passes: z.number().int().min(1).max(100),
  lanes: z.number().int().min(1).max(16),
});
export type KeyDescription = z.infer<typeof KeyDescription>;

const descriptionName = 'velvet-stone.key.json';
export const descriptionFile = (folder: string): string => path.join(folder, descriptionName);

/** A new way from passphrase to key; its salt is no other house’s. */
export const newDescription = (cost: Partial<typeof usualCost> = {}): KeyDescription => ({
  ...{ format: 'velvet-stone/key', version: 1, kdf: 'argon2id', saltHex: randomBytes(saltBytes).toString('hex') },
  ...usualCost,
  ...cost,
});

/** @returns undefined where there is none, or it cannot be read */
export function readDescription(folder: string): KeyDescription | undefined {
  try {
    return KeyDescription.parse(JSON.parse(readFileSync(descriptionFile(folder), 'utf8')));
  } catch {
    return undefined;
  }
}

/** The key that a passphrase stands for. Takes a fraction of a second, on purpose. */
export function deriveKey(passphrase: string, description: KeyDescription): Promise<HouseKey> {
  const { saltHex, memoryKib, passes, lanes } = description;
  // argon2id is the package’s own choice.
  return hashRaw(passphrase.normalize('NFKC'), {
    salt: Buffer.from(saltHex, 'hex'),
    memoryCost: memoryKib,
    timeCost: passes,
    parallelism: lanes,
    outputLen: keyBytes,
  });
}

/** A key that no passphrase stands for. */
export const randomKey = (): HouseKey => randomBytes(keyBytes);

const plainHead = 'SQLite format 3\0';

/** Whether a file is an encrypted database, or no database at all. */
export function isSealed(file: string): boolean {
  if (!existsSync(file)) return false;
  const head = Buffer.alloc(plainHead.length);
  const handle = openSync(file, 'r');
  try {
    return readSync(handle, head, 0, head.length, 0) > 0 && head.toString('latin1') !== plainHead;
  } finally {
    closeSync(handle);
  }
}

/** Tells SQLite the key of a database that is encrypted, page by page, in the open SQLCipher 4 form. */
export function giveKey(sqlite: SQLite.Database, key: HouseKey): void {
  chooseCipher(sqlite);
  sqlite.pragma(`key = "x'${key.toString('hex')}'"`);
}

/** Encrypts every page anew, or takes the encryption away. Its journal must not be a log beside it. */
export function changeKey(sqlite: SQLite.Database, to: HouseKey | undefined): void {
  if (to) chooseCipher(sqlite);
  sqlite.pragma(to ? `rekey = "x'${to.toString('hex')}'"` : "rekey = ''");
}

function chooseCipher(sqlite: SQLite.Database): void {
  sqlite.pragma("cipher = 'sqlcipher'");
  sqlite.pragma('legacy = 4');
}
