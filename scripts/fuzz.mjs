/**
 * Asks the house at least 40,000 things that nobody would think of, from one seed, as its owner and as its front desk:
 * nothing may break, memory has to stay level, and nobody waits long. `npm run fuzz`; SEED and REQUESTS may be set.
 */
import { readFileSync } from 'node:fs';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { signInDemo, startServer } from './served.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';
import { withSource } from './source.mjs';

ensureInstalled();
ensureBuilt();
const seed = Number(process.env.SEED ?? 20_260_101);
const wanted = Number(process.env.REQUESTS ?? 40_000);
const longestStallMs = 500;
const atOnce = 4;

const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-fuzz-'));
const server = await startServer({ data });
const cookies = [`velvet-stone=${await signInDemo(server.url, 1)}`, `velvet-stone=${await signInDemo(server.url, 3)}`];
const broken = [];
const waits = [];
/** The longest answers, to see who keeps the others waiting. */
let slowest = [];
let asked = 0;
const statuses = new Map();

async function askOnce({ method, path: at, body, type }, cookie) {
  const begun = performance.now();
  const response = await fetch(`${server.url}${at}`, {
    method,
    redirect: 'manual',
    headers: { origin: server.url, cookie, 'content-type': type },
    ...(body === undefined ? {} : { body }),
  });
  await response.arrayBuffer();
  const tookMs = Math.round(performance.now() - begun);
  if (tookMs > (slowest.at(-1)?.tookMs ?? 0) || slowest.length < 10)
    slowest = [...slowest, { tookMs, what: `${method} ${at}` }].sort((a, b) => b.tookMs - a.tookMs).slice(0, 10);
  asked += 1;
  statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
  if (response.status >= 500 && response.status !== 503 && response.status !== 507)
    broken.push(`${response.status} ${method} ${at} ${(body ?? '').slice(0, 1000)}`);
}

let isOver = false;
const watching = (async () => {
  while (!isOver) {
    const begun = performance.now();
    await (await fetch(`${server.url}/api/health`)).text();
    waits.push(performance.now() - begun);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
})();

/** Of the server's process, in MB; undefined where the system does not tell. */
function memoryMb() {
  try {
    const pages = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1];
    return pages && Math.round(Number(pages) / 1024);
  } catch {
    return undefined;
  }
}

await withSource(async (load) => {
  const [{ Fuzz, isFuzzed }, { allRoutes }, { seededRandom }] = [
    await load('/tests/fuzz/requests.ts'),
    await load('/src/contracts/routes/index.ts'),
    await load('/src/core/random.ts'),
  ];
  const routes = allRoutes.filter(isFuzzed);
  for (let round = 0; asked < wanted; round += 1) {
    const requests = routes.map((route, r) => new Fuzz(seededRandom(seed + 7919 * r + 104_729 * round)).request(route));
    for (let i = 0; i < requests.length; i += atOnce)
      await Promise.all(
        requests.slice(i, i + atOnce).map((one, k) => askOnce(one, cookies[(i + k + round) % 5 === 0 ? 1 : 0])),
      );
    if (round % 30 === 0) console.log(`${asked} asked, ${broken.length} broken, ${memoryMb() ?? '?'} MB`);
  }
});
isOver = true;
await watching;
waits.sort((a, b) => a - b);
const longest = waits.at(-1) ?? 0;
console.log(
  [...statuses]
    .sort(([a], [b]) => a - b)
    .map(([status, count]) => `${status}: ${count}`)
    .join(', '),
);
console.log(
  `${asked} asked, ${broken.length} broken; others waited ${waits[Math.floor(0.99 * waits.length)]?.toFixed(0)} ms at p99, ${longest.toFixed(0)} ms at most; ${memoryMb() ?? '?'} MB at the end`,
);
for (const { tookMs, what } of slowest) console.log(`${tookMs} ms ${what.slice(0, 120)}`);
for (const one of broken.slice(0, 20)) console.log(one);
await server.stop();
rmSync(data, { recursive: true, force: true });
if (broken.length > 0 || longest > longestStallMs) process.exitCode = 1;
