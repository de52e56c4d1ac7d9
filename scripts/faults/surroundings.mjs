/** What the machine may do to a house: a disk that is full or read-only, a clock that jumps, a second process. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { startServer } from '../served.mjs';
import { ownerOf } from './caller.mjs';

const canMount = (folder, size) =>
  process.getuid?.() === 0 && spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${size}`, 'tmpfs', folder]).status === 0;
const unmount = (folder) => spawnSync('umount', [folder]);
const notTried = { lost: 0, words: 'not tried: no disk of its own can be mounted here' };

/** A really full disk: reading goes on, writing says 507 and what to do, and works on by itself when there is room. */
export async function fullDisk({ folder }) {
  const data = path.join(folder, 'disk');
  mkdirSync(data, { recursive: true });
  if (!canMount(data, '24m')) return notTried;
  const ballast = path.join(data, 'ballast');
  try {
    const server = await startServer({ data });
    const owner = await ownerOf(server.url);
    let bytes = 0;
    for (const block of [1_000_000, 10_000, 1000])
      for (let hasRoom = true; hasRoom;) {
        try {
          writeFileSync(ballast, Buffer.alloc(block), { flag: 'a' });
          bytes += block;
        } catch {
          hasRoom = false;
        }
      }
    let lost = 0;
    const kept = [];
    let refused;
    for (let i = 0; i < 400 && !refused; i += 1) {
      const answer = await owner.call('POST', '/api/clients', { name: `Full ${i} ${'x'.repeat(100)}` });
      if (answer.status === 201) kept.push(answer.body.id);
      else refused = answer;
    }
    if (refused?.status !== 507) lost += 1;
    for (const at of ['/', '/api/day', '/clients']) if ((await owner.call('GET', at)).status !== 200) lost += 1;
    rmSync(ballast);
    if ((await owner.call('POST', '/api/clients', { name: 'Room again' })).status !== 201) lost += 1;
    for (const id of kept) if ((await owner.call('GET', `/clients/${id}`)).status !== 200) lost += 1;
    await server.stop();
    return {
      lost,
      words: `filled with ${Math.round(bytes / 1e6)} MB, ${kept.length} writes until ${refused?.status}, reading went on`,
    };
  } finally {
    unmount(data);
  }
}

/** A disk that may not be written to: a page says so, and the house opens when it may again. */
export async function readOnlyDisk({ folder }) {
  const data = path.join(folder, 'disk');
  mkdirSync(data, { recursive: true });
  if (!canMount(data, '64m')) return notTried;
  const remount = (how) => spawnSync('mount', ['-o', `remount,${how}`, data]).status === 0;
  try {
    await (await startServer({ data })).stop();
    if (!remount('ro')) return notTried;
    const server = await startServer({ data, isSealed: true });
    const signIn = () =>
      fetch(`${server.url}/api/session/demo`, {
        method: 'POST',
        headers: { origin: server.url, 'content-type': 'application/json' },
        body: JSON.stringify({ staffId: 1 }),
      });
    const refused = await signIn();
    const { type } = await refused.json();
    let lost = refused.status === 503 && type === '/problems/house-read-only' ? 0 : 1;
    remount('rw');
    if ((await signIn()).status !== 200) lost += 1;
    await server.stop();
    return { lost, words: `said so (${refused.status}), and written to again afterwards` };
  } finally {
    remount('rw');
    unmount(data);
  }
}

/** A clock that goes back and forth by days: nothing breaks, and no record is lost. */
export async function clockJumps({ folder }) {
  const hour = 3_600_000;
  let lost = 0;
  let starts = 0;
  const before = process.env.VELVET_STONE_CLOCK_OFFSET_MS;
  for (const jump of [1, 40 * 24 * hour, -20 * 24 * hour, -hour, 400 * 24 * hour, 1]) {
    process.env.VELVET_STONE_CLOCK_OFFSET_MS = String(jump);
    const server = await startServer({ data: folder });
    const owner = await ownerOf(server.url);
    if ((await owner.call('POST', '/api/clients', { name: `Jump ${starts}` }))?.status !== 201) lost += 1;
    starts += 1;
    for (const at of ['/', '/clients', '/house', '/api/day'])
      if ((await owner.call('GET', at)).status !== 200) lost += 1;
    const found = (await owner.call('GET', '/clients?q=Jump')).body;
    for (let i = 0; i < starts; i += 1) if (!found.includes(`Jump ${i}`)) lost += 1;
    await server.stop();
  }
  if (before === undefined) delete process.env.VELVET_STONE_CLOCK_OFFSET_MS;
  else process.env.VELVET_STONE_CLOCK_OFFSET_MS = before;
  return { lost, words: `${starts} starts between 20 days before and 400 days after` };
}

/** Two processes on one house: they wait for each other, and both see what either has written. */
export async function twoProcesses({ folder }) {
  const [one, two] = [await startServer({ data: folder }), await startServer({ data: folder })];
  const [first, second] = [await ownerOf(one.url), await ownerOf(two.url)];
  const results = await Promise.all(
    Array.from({ length: 120 }, (_, i) => (i % 2 ? first : second).call('POST', '/api/clients', { name: `Both ${i}` })),
  );
  const made = results.filter((answer) => answer?.status === 201).map(({ body }) => body.id);
  let lost = results.length - made.length;
  for (const id of made)
    for (const who of [first, second]) if ((await who.call('GET', `/clients/${id}`)).status !== 200) lost += 1;
  await Promise.all([one.stop(), two.stop()]);
  return { lost, words: `${made.length} records by two processes at once` };
}
