import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import { createGunzip, createGzip } from 'node:zlib';
import { Decrypter, Encrypter } from 'age-encryption';
import { extract, pack } from 'tar-stream';
import { z } from 'zod';
import { databaseName } from '../db/connection';
import { keepingAnswers } from './keeping.answers';

/** A backup is a tar of a manifest and the database, packed with gzip and encrypted in the age format (age-encryption.org/v1). */

const manifestName = 'manifest.json';

export const Manifest = z.object({
  format: z.literal('velvet-stone/backup'),
  version: z.literal(1),
  house: z.string(),
  madeAt: z.iso.datetime(),
  /** The form that the data has: names of the migrations that have run. */
  migrations: z.array(z.string()).readonly(),
  /** Rows of each table. */
  tables: z.record(z.string(), z.number()),
  /** `keyHex`: of a house that is encrypted; the backup keeps it, since it is encrypted itself. */
  database: z.object({
    bytes: z.number(),
    sha256: z.string(),
    keyHex: z
      .string()
      .regex(/^[0-9a-f]{64}$/)
      .optional(),
  }),
});
export type Manifest = z.infer<typeof Manifest>;

/** Why a file cannot be restored, in words. */
export class NotABackup extends Error {}

interface Packing {
  readonly database: string;
  readonly manifest: Manifest;
  readonly file: string;
  readonly passphrase: string;
  readonly signal: AbortSignal;
  readonly onBytes: (read: number, of: number) => void;
  /** Of scrypt, as a power of two; the package's own where it is left out. */
  readonly workFactor?: number | undefined;
}

/** Writes a backup. Errors: those of the file system; `AbortError` when it was cancelled. */
export async function packBackup(input: Packing): Promise<void> {
  const { database, manifest, file, passphrase, signal, onBytes, workFactor } = input;
  const { size } = await stat(database);
  const tar = pack();
  const text = JSON.stringify(manifest, null, 1);
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  if (workFactor !== undefined) encrypter.setScryptWorkFactor(workFactor);
  const packed = tar.pipe(createGzip());
  const encrypted = await encrypter.encrypt(Readable.toWeb(packed) as unknown as globalThis.ReadableStream<Uint8Array>);
  const writing = pipeline(
    Readable.fromWeb(encrypted as unknown as ReadableStream),
    createWriteStream(file, { mode: 0o600, flush: true }),
    { signal },
  );
  const filling = (async () => {
    tar.entry({ name: manifestName }, text);
    let read = 0;
    const counting = new Transform({
      transform(chunk: Buffer, _, done) {
        read += chunk.length;
        onBytes(read, size);
        done(null, chunk);
      },
    });
    await pipeline(createReadStream(database), counting, tar.entry({ name: databaseName, size }), { signal });
    tar.finalize();
  })();
  await Promise.all([writing, filling]);
}

/**
 * Reads a backup into a folder.
 * @returns what is in it, and where the database has come to lie
 * @throws NotABackup for a wrong passphrase, another kind of file, or one that is cut short or changed
 */
export async function unpackBackup(
  file: string,
  passphrase: string,
  folder: string,
): Promise<{ readonly manifest: Manifest; readonly database: string }> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const database = path.join(folder, databaseName);
  await rm(database, { force: true });
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  const encrypted = Readable.toWeb(createReadStream(file)) as unknown as globalThis.ReadableStream<Uint8Array>;
  const packed = await decrypter.decrypt(encrypted).catch((error: unknown) => {
    throw new NotABackup(
      String(error).includes('passphrase') || String(error).includes(keepingAnswers.noIdentity)
        ? keepingAnswers.thatIsNotThePassphraseOf
        : keepingAnswers.thisFileIsNoBackupOf,
    );
  });
  const parts: Record<string, { readonly text?: string; readonly sha256?: string; readonly bytes?: number }> = {};
  const untar = extract();
  untar.on('entry', (header, stream, next) => {
    const done = (part: (typeof parts)[string]) => {
      parts[header.name] = part;
      next();
    };
    const failed = (error: Error) => untar.destroy(error);
    if (header.name === manifestName) readText(stream).then((text) => done({ text }), failed);
    else if (header.name === databaseName) keepFile(stream, database).then(done, failed);
    else {
      stream.resume();
      stream.on('end', next);
    }
  });
  try {
    await pipeline(Readable.fromWeb(packed as unknown as ReadableStream), createGunzip(), untar);
  } catch (error) {
    throw new NotABackup(keepingAnswers.thisBackupIsDamagedItsContent, { cause: error });
  }
  const manifest = Manifest.safeParse(parseOrNull(parts[manifestName]?.text));
  if (!manifest.success) throw new NotABackup(keepingAnswers.thisFileHoldsNoHouseIts);
  const { bytes, sha256 } = manifest.data.database;
  const found = parts[databaseName];
  if (found?.bytes !== bytes || found.sha256 !== sha256)
    throw new NotABackup(keepingAnswers.thisBackupIsDamagedItsData);
  return { manifest: manifest.data, database };
}

async function readText(stream: AsyncIterable<unknown>): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

async function keepFile(
  stream: AsyncIterable<unknown>,
  to: string,
): Promise<{ readonly sha256: string; readonly bytes: number }> {
  const hash = createHash('sha256');
  let bytes = 0;
  const counting = new Transform({
    transform(chunk: Buffer, _, done) {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
  });
  await pipeline(Readable.from(stream), counting, createWriteStream(to, { mode: 0o600, flush: true }));
  return { sha256: hash.digest('hex'), bytes };
}

function parseOrNull(text: string | undefined): unknown {
  try {
    return JSON.parse(text ?? '');
  } catch {
    return null;
  }
}

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(file)) hash.update(chunk as Buffer);
  return hash.digest('hex');
}
