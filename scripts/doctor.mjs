/** `npm run doctor`: looks at this machine and at the house’s data, says what is wrong, and changes nothing. */
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { isBuiltNow, isInstalledNow, isNodeNewEnough, keepingCommands, root } from './setup.mjs';

const leastMemoryBytes = 900_000_000;
const port = Number(process.env.PORT ?? 4321);
const host = process.env.HOST ?? '127.0.0.1';

const isPortFree = () =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, host, () => server.close(() => resolve(true)));
  });

/** @returns the version of a house that answers at the port, or undefined */
async function whoAnswers() {
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/api/health`;
  const answer = await fetch(url, { signal: AbortSignal.timeout(2000) }).catch(() => undefined);
  return (await answer?.json().catch(() => undefined))?.version;
}

const verdict = (isGood, what, ifGood, ifNot, otherwise = 'bad') =>
  isGood ? { what, verdict: 'good', words: ifGood } : { what, verdict: otherwise, words: ifNot };

const memory = `${(os.totalmem() / 1e9).toFixed(1)} GB`;
const machine = [
  verdict(isNodeNewEnough(), 'Node', process.versions.node, `${process.versions.node} is too old: 20.18 or newer.`),
  verdict(os.totalmem() >= leastMemoryBytes, 'memory', memory, `${memory} is little: 1 GB at least.`, 'look'),
  verdict(
    isInstalledNow(),
    'packages',
    'as the lock file says',
    'Not installed as the lock file says: npm start does it.',
  ),
  verdict(isBuiltNow(), 'build', 'newer than the source', 'Older than the source: npm start builds it anew.', 'look'),
];
if (await isPortFree()) machine.push({ what: 'port', verdict: 'good', words: `${port} is free` });
else {
  const version = await whoAnswers();
  machine.push(
    verdict(
      version,
      'port',
      `${port}: Velvet Stone ${version} answers`,
      `${port} is taken by another program: set PORT.`,
    ),
  );
}

if (!isInstalledNow() || !existsSync(path.join(root, 'dist/server/workers/keeping.mjs'))) {
  for (const { what, verdict: how, words } of machine)
    console.log(`${how === 'good' ? '  ok' : how === 'look' ? 'look' : ' BAD'}  ${what.padEnd(9)} ${words}`);
  console.log('The data are looked at once the application is installed and built.');
  process.exit(1);
}
const { doctorFromShell } = await keepingCommands();
process.exitCode = await doctorFromShell(process.env.VELVET_STONE_DATA ?? './var', machine);
