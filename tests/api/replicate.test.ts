import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import process from 'node:process';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { afterAll, describe, expect, it } from 'vitest';
import { fetchHouse, replicate } from '../../scripts/litestream.mjs';
import { startServer } from '../../scripts/served.mjs';
import { call } from './client';

/** A second machine that takes over when the first is gone from one moment to the next. */
describe('a second machine', () => {
  const root = mkdtempSync(path.join(tmpdir(), 'velvet-stone-second-'));
  const [first, second, copy] = [path.join(root, 'first'), path.join(root, 'second'), path.join(root, 'copy')];
  afterAll(() => rmSync(root, { recursive: true, force: true }));

  it('serves within 15 s what the first has acknowledged, but for the last two seconds', async () => {
    let server = await startServer({ data: first });
    const copying = await replicate(first, copy);
    const gone = new Promise((resolve) => copying.once('exit', resolve));
    await new Promise((resolve) => setTimeout(resolve, 2500));
    // While it is copied its file is not exchanged: the copy would go on with the old one.
    const passphrase = 'grey herons over wet stones';
    const refused = await call('POST', '/api/keeping/encryption', { passphrase }, server.url);
    expect([refused.status, refused.body.errors[0].message]).toEqual([
      400,
      expect.stringContaining('npm run replicate'),
    ]);
    const acknowledged: { readonly id: number; readonly at: number }[] = [];
    const begun = performance.now();
    while (performance.now() - begun < 6000) {
      const answer = await call('POST', '/api/clients', { name: `Last ${acknowledged.length}` }, server.url);
      expect(answer.status).toBe(201);
      acknowledged.push({ id: answer.body.id, at: performance.now() });
    }
    const killedAt = performance.now();
    copying.kill('SIGKILL');
    await Promise.all([server.kill(), gone]);
    const takingOver = performance.now();
    expect(await fetchHouse(copy, second)).toBe(true);
    server = await startServer({ data: second });
    const tookMs = performance.now() - takingOver;
    const sqlite = new SQLite(path.join(second, 'velvet-stone.sqlite'), { readonly: true });
    const stored = new Set(sqlite.prepare('select id from client').pluck().all());
    sqlite.close();
    // Whatever is missing is the end: nothing is lost in between.
    const last = acknowledged.findLastIndex(({ id }) => stored.has(id));
    const lostMs = last < 0 ? Infinity : killedAt - (acknowledged[last]?.at ?? 0);
    for (const { id } of acknowledged.slice(0, last + 1)) expect(stored.has(id)).toBe(true);
    process.stdout.write(
      `second machine: ${acknowledged.length} writes, ${acknowledged.length - 1 - last} lost (the last ${Math.round(lostMs)} ms), serving after ${Math.round(tookMs)} ms\n`,
    );
    expect(lostMs).toBeLessThan(2000);
    expect(tookMs).toBeLessThan(15_000);
    await server.stop();
  });

  it('does not take over where there is a house already, nor from where there is none', () => {
    const asked = (from: string, data: string) =>
      spawnSync(process.execPath, ['scripts/start.mjs', '--from', from], {
        env: { ...process.env, VELVET_STONE_DATA: data, PORT: '0' },
        encoding: 'utf8',
        timeout: 60_000,
      });
    const there = asked(copy, second);
    expect([there.status, there.stderr]).toEqual([1, expect.stringContaining('There is a house in')]);
    const nothing = asked(path.join(root, 'nothing'), path.join(root, 'third'));
    expect([nothing.status, nothing.stderr]).toEqual([1, expect.stringContaining('There is no copy of a house')]);
  });
});
