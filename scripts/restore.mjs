/** `npm run restore -- FILE`: a backup takes the place of the house; `-- --undo` brings back what was there. */
import process from 'node:process';
import { ensureBuilt, ensureInstalled, fail, keepingCommands } from './setup.mjs';

const [what] = process.argv.slice(2);
if (!what) fail('Say which: npm run restore -- FILE, with VELVET_STONE_PASSPHRASE set; or npm run restore -- --undo');
ensureInstalled();
ensureBuilt();
const { restoreFromShell, undoFromShell } = await keepingCommands();
const data = process.env.VELVET_STONE_DATA ?? './var';
process.exitCode =
  what === '--undo'
    ? await undoFromShell(data)
    : await restoreFromShell(data, what, process.env.VELVET_STONE_PASSPHRASE ?? '');
