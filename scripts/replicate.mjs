/** `npm run replicate -- FOLDER`: keeps a continuous copy of the house, beside `npm start`, for a second machine. */
import process from 'node:process';
import { replicate } from './litestream.mjs';
import { ensureBuilt, ensureInstalled, fail } from './setup.mjs';

const [to] = process.argv.slice(2);
if (!to)
  fail(
    'Say where it goes: npm run replicate -- FOLDER (a disk of another machine, a NAS), or an address such as sftp://…',
  );
ensureInstalled();
ensureBuilt();
const child = await replicate(process.env.VELVET_STONE_DATA ?? './var', to);
console.log(
  `The house is copied to ${to} as it is written (Ctrl+C ends it). On another machine: npm start -- --from ${to}`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
process.exitCode = await new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 0)));
