/** Starts the built server on a data folder of its own, for pictures, benchmarks and tests. */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import path from 'node:path';
import { root } from './setup.mjs';

function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/**
 * @typedef {object} Served
 * @property {string} url
 * @property {number} port
 * @property {number | undefined} pid
 * @property {() => Promise<unknown>} stop
 * @property {() => Promise<unknown>} kill
 */

/**
 * @param {{ data: string, demo?: boolean, port?: number, env?: Record<string, string>, isSealed?: boolean, killAfterMs?: number }} asked
 *   `isSealed`: the house is encrypted and waits for its passphrase: it answers, and is not open
 * @returns {Promise<Served>}
 *   its address and a way to stop it; `kill` ends it without a goodbye
 */
export async function startServer({ data, demo = true, port, env = {}, isSealed = false, killAfterMs }) {
  const listening = port ?? (await freePort());
  const clock = process.env['VELVET_STONE_CLOCK_OFFSET_MS']
    ? ['--import', path.join(root, 'tests/clock/shifted.mjs')]
    : [];
  const child = spawn(process.execPath, [...clock, path.join(root, 'scripts/house-server.mjs')], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(listening),
      VELVET_STONE_DATA: data,
      VELVET_STONE_DEMO: demo ? '1' : '',
      // Tests hold every answer against the definition of its route.
      VELVET_STONE_CHECK: process.env['VITEST'] ? '1' : '',
      ...env,
    },
  });
  const url = `http://127.0.0.1:${listening}`;
  // Ended before it has opened, to see what is found afterwards.
  if (killAfterMs !== undefined) setTimeout(() => child.kill('SIGKILL'), killAfterMs).unref();
  const ended = new Promise((resolve) => child.once('exit', resolve));
  const deadline = Date.now() + 30_000;
  for (;;) {
    if (child.exitCode !== null || child.signalCode !== null)
      throw new Error(`the server ended with ${child.exitCode}`);
    const answer = await fetch(`${url}/api/health`).catch(() => undefined);
    if (answer?.ok || (isSealed && answer?.status === 503)) break;
    if (Date.now() > deadline) throw new Error('the server did not answer within 30 s');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const end = (signal) => {
    child.kill(signal);
    return ended;
  };
  return { url, port: listening, pid: child.pid, stop: () => end('SIGTERM'), kill: () => end('SIGKILL') };
}

/**
 * Signs in to a demo house by one click.
 * @param {string} url
 * @param {number} [staffId]
 * @returns {Promise<string>} the value of the session's cookie
 */
export async function signInDemo(url, staffId = 1) {
  const answer = await fetch(`${url}/api/session/demo`, {
    method: 'POST',
    headers: { origin: url, 'content-type': 'application/json' },
    body: JSON.stringify({ staffId }),
  });
  const cookie = /velvet-stone=([^;]+)/.exec(answer.headers.get('set-cookie') ?? '');
  if (!cookie) throw new Error(`nobody could be signed in: ${answer.status}`);
  return cookie[1];
}

/** Flags for a Chromium without a network, also as root. */
export const chromiumFlags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--hide-scrollbars',
  // A made-up camera, and nobody who has to allow it.
  '--use-fake-device-for-media-stream',
  '--use-fake-ui-for-media-stream',
  '--font-render-hinting=none',
];
