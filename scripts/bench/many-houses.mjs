/** A chain of houses on one machine: a process and a data folder each. What they take, and how fast they answer together. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import process from 'node:process';
import { signInDemo, startServer } from '../served.mjs';

const houses = Number(process.env.HOUSES ?? 20);
const secondsOfUse = 20;
/** People of a house look at something this often. */
const restMs = 1000;

const memoryMb = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
const at = (list, share) => list.toSorted((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))];

export async function benchHouses() {
  const root = mkdtempSync(path.join(tmpdir(), 'velvet-stone-chain-'));
  const servers = [];
  try {
    const starts = [];
    for (let i = 0; i < houses; i += 1) {
      const begun = performance.now();
      servers.push(await startServer({ data: path.join(root, String(i)) }));
      starts.push(performance.now() - begun);
    }
    const addresses = ['/', '/clients', '/api/day', '/clients/1', '/bench/oils'];
    // The first look at each page loads it; that is part of opening in the morning, not of working.
    const cookies = [];
    for (const { url } of servers) {
      const cookie = `velvet-stone=${await signInDemo(url)}`;
      for (const address of addresses) await (await fetch(`${url}${address}`, { headers: { cookie } })).text();
      cookies.push(cookie);
    }
    const waits = [];
    const until = performance.now() + 1000 * secondsOfUse;
    await Promise.all(
      servers.map(async ({ url }, i) => {
        for (let n = i; performance.now() < until; n += 1) {
          const begun = performance.now();
          const answer = await fetch(`${url}${addresses[n % addresses.length]}`, { headers: { cookie: cookies[i] } });
          await answer.text();
          waits.push(performance.now() - begun);
          await new Promise((resolve) => setTimeout(resolve, restMs * (0.5 + ((n * 7919) % 100) / 100)));
        }
      }),
    );
    const memory = servers.map(({ pid }) => memoryMb(pid));
    console.log(
      `${houses} houses: first start ${Math.round(at(starts, 0.5))} ms each (median), ${Math.round(memory.reduce((a, b) => a + b))} MB together (${Math.round(at(memory, 0.5))} MB each), ${waits.length} looks: median ${Math.round(at(waits, 0.5))} ms, p95 ${Math.round(at(waits, 0.95))} ms`,
    );
  } finally {
    await Promise.all(servers.map((server) => server.stop()));
    rmSync(root, { recursive: true, force: true });
  }
}
