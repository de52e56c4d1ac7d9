/**
 * Ends the house's process a thousand times, in a visit, while it is brought up to date, encrypted, restored, backed up and
 * filled by an import, and looks whether anything that it had acknowledged is gone; then a full disk, a read-only one, a
 * clock that jumps, and two processes on one house. `npm run faults`; a word behind it runs the parts of that name only.
 * SEED may be set, and SHARE, of the thousand.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { killInBackup, killInEncryption, killInRestore } from './faults/keeping.mjs';
import { killInImport } from './faults/import.mjs';
import { killInMigration } from './faults/migration.mjs';
import { clockJumps, fullDisk, readOnlyDisk, twoProcesses } from './faults/surroundings.mjs';
import { killInVisit } from './faults/visit.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

ensureInstalled();
ensureBuilt();

const share = Number(process.env.SHARE ?? 1);
let seed = Number(process.env.SEED ?? 20_261_125);
/** Numbers in [0, 1), the same for the same seed (mulberry32). */
const random = () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
};

/** What is tried, and how often its process is ended. */
const parts = {
  visit: [killInVisit, 600],
  migration: [killInMigration, 100],
  encryption: [killInEncryption, 80],
  restore: [killInRestore, 80],
  backup: [killInBackup, 70],
  import: [killInImport, 70],
  disk: [fullDisk, 0],
  readonly: [readOnlyDisk, 0],
  clock: [clockJumps, 0],
  processes: [twoProcesses, 0],
};
const wanted = process.argv.slice(2);
let faults = 0;
let kills = 0;
for (const [name, [part, usual]] of Object.entries(parts)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const folder = mkdtempSync(path.join(tmpdir(), `velvet-stone-faults-${name}-`));
  const times = usual === 0 ? 0 : Math.max(1, Math.round(usual * share));
  const begun = Date.now();
  try {
    const found = await part({ folder, times, random });
    kills += times;
    faults += found.lost;
    console.log(`${name}: ${found.words}; ${found.lost} lost (${Math.round((Date.now() - begun) / 1000)} s)`);
  } catch (error) {
    faults += 1;
    console.error(`${name}: ${error instanceof Error ? error.stack : error}`);
  }
  rmSync(folder, { recursive: true, force: true });
}
console.log(`${kills} kills, ${faults} faults`);
if (faults > 0) process.exitCode = 1;
