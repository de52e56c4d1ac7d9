/** The program that copies a database continuously while it is in use; it ships as a package, made for each kind of machine. */
import { spawn } from 'node:child_process';
import { accessSync, chmodSync, constants, existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { fail, keepingCommands, root } from './setup.mjs';

const databaseName = 'velvet-stone.sqlite';
/** What may be lost at most when the machine is gone from one moment to the next. */
const copyEvery = '250ms';

/** Where the program is; it is made executable where a package manager has not. LITESTREAM_PATH names one of one’s own. */
function program() {
  const own = process.env.LITESTREAM_PATH;
  if (own) return own;
  const file = path.join(
    root,
    'node_modules/@flydotio',
    `litestream-${process.platform}-${process.arch}`,
    'litestream',
  );
  if (!existsSync(file))
    fail(
      `No copying program ships for this kind of machine (${process.platform}-${process.arch}): install Litestream 0.3 and name it in LITESTREAM_PATH.`,
    );
  try {
    accessSync(file, constants.X_OK);
  } catch {
    chmodSync(file, 0o755);
  }
  return file;
}

/** A folder, or an address that the program knows, such as s3:// or sftp://. */
const addressOf = (to) => (to.includes('://') ? to : `file://${path.resolve(to)}`);

/**
 * Copies the house into a folder or to an address, all the time, until it is ended.
 * @returns the process
 */
export async function replicate(data, to) {
  const file = path.join(data, databaseName);
  if (!existsSync(file)) fail(`There is no house in ${data} yet: start it once, then replicate it.`);
  const { isSealed } = await keepingCommands();
  if (isSealed(file))
    fail(
      'The house is encrypted, and the copying program reads plain databases only. Use backups, or remove the encryption under House → keeping.',
    );
  const isFolder = !to.includes('://');
  if (isFolder) mkdirSync(to, { recursive: true, mode: 0o700 });
  const config = path.join(data, 'replicate.yml');
  const target = isFolder
    ? [`        type: file`, `        path: ${JSON.stringify(path.resolve(to))}`]
    : [`        url: ${JSON.stringify(to)}`];
  writeFileSync(
    config,
    [
      'dbs:',
      `  - path: ${JSON.stringify(path.resolve(file))}`,
      `    monitor-interval: ${copyEvery}`,
      '    replicas:',
      `      - name: house`,
      ...target,
      `        sync-interval: ${copyEvery}`,
      '        snapshot-interval: 6h',
      '        retention: 48h',
      '',
    ].join('\n'),
    { mode: 0o600 },
  );
  const child = spawn(program(), ['replicate', '-config', config], { stdio: ['ignore', 'ignore', 'inherit'] });
  // As long as it lies there the house’s file is not exchanged: restores and encryption refuse.
  child.once('exit', () => rmSync(config, { force: true }));
  return child;
}

/** Fetches the newest state from a copy into an empty data folder. @returns whether there was one */
export async function fetchHouse(from, data) {
  const file = path.join(data, databaseName);
  if (existsSync(file))
    fail(`There is a house in ${data} already: move its folder away first, or start it without --from.`);
  mkdirSync(data, { recursive: true, mode: 0o700 });
  const child = spawn(program(), ['restore', '-if-replica-exists', '-o', file, addressOf(from)], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const code = await new Promise((resolve) => child.once('exit', resolve));
  if (code !== 0) fail(`The copy in ${from} could not be fetched; see above. Nothing was changed.`);
  return existsSync(file);
}
