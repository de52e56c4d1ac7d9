/** `npm run backup [-- FOLDER]`: one backup, from the shell. The passphrase comes from VELVET_STONE_PASSPHRASE or the house. */
import process from 'node:process';
import { ensureBuilt, ensureInstalled, keepingCommands } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const { backUpFromShell } = await keepingCommands();
process.exitCode = await backUpFromShell(
  process.env.VELVET_STONE_DATA ?? './var',
  process.argv[2],
  process.env.VELVET_STONE_PASSPHRASE ?? '',
);
