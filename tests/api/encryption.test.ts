import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { deriveKey, giveKey, readDescription } from '../../src/server/db/house-key';
import { call, post } from './client';

/** A house whose data is encrypted, as a process that is started and ended. */
describe('an encrypted house', () => {
  const root = mkdtempSync(path.join(tmpdir(), 'velvet-stone-sealed-'));
  const data = path.join(root, 'data');
  const passphrase = 'grey herons over wet stones';
  let server: Served;
  beforeAll(async () => {
    server = await startServer({ data });
  });
  afterAll(async () => {
    await server.stop();
    rmSync(root, { recursive: true, force: true });
  });
  const page = (at: string, init?: RequestInit) => fetch(`${server.url}${at}`, { redirect: 'manual', ...init });
  const unseal = (words: string, then = '/clients?q=zo') =>
    page('/unseal', {
      method: 'POST',
      headers: { origin: server.url, 'content-type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams({ passphrase: words, then }).toString(),
    });
  const liesOpen = (word: string) =>
    readdirSync(data).some((name) => readFileSync(path.join(data, name)).includes(Buffer.from(word)));

  it('is encrypted while it is open, and goes on without a new sign-in', async () => {
    await post('/api/clients', { name: 'Zoë Ahornblatt' }, server.url);
    expect(liesOpen('Zoë Ahornblatt')).toBe(true);
    expect((await post('/api/keeping/encryption', { passphrase: 'short' }, server.url)).body.errors[0].path).toBe(
      'passphrase',
    );
    expect((await post('/api/keeping/encryption', { passphrase }, server.url)).status).toBe(200);
    expect(liesOpen('Zoë Ahornblatt')).toBe(false);
    expect((await call('GET', '/api/keeping', undefined, server.url)).body.isEncrypted).toBe(true);
    expect((await call('GET', '/api/clients?q=ahornblatt', undefined, server.url)).body).toBeTruthy();
    expect((await post('/api/keeping/encryption', { passphrase }, server.url)).status).toBe(400);
  });

  it('says how far it is to anybody, and nothing else', async () => {
    expect(await (await page('/api/keeping/encryption')).json()).toEqual({ running: null });
  });

  it('asks for the passphrase after a start, on a page of its own, whatever was asked for', async () => {
    await server.stop();
    server = await startServer({ data, isSealed: true });
    const asked = await page('/clients?q=zo');
    expect(asked.status).toBe(503);
    const text = await asked.text();
    expect(text).toContain('The house is locked');
    expect(text).toContain('type="password"');
    expect(text).toContain('value="/clients?q=zo"');
    const api = await page('/api/clients');
    expect([api.status, ((await api.json()) as { type: string }).type]).toEqual([503, '/problems/house-sealed']);
    // What needs no house goes on.
    expect((await page('/api/openapi.json')).status).toBe(200);
  });

  it('writes nothing of an address into its page that could run', async () => {
    const text = await (await page('/x?"><script>alert(1)</script>')).text();
    expect(text).not.toContain('<script>alert');
  });

  it('refuses a wrong passphrase, slower each time, and forms of other sites', async () => {
    expect(await (await unseal('not the passphrase')).text()).toContain('That is not the passphrase.');
    const foreign = await page('/unseal', {
      method: 'POST',
      headers: { origin: 'http://elsewhere.test', 'content-type': 'application/x-www-form-urlencoded' },
      body: `passphrase=${encodeURIComponent(passphrase)}`,
    });
    expect(foreign.status).toBe(403);
    await unseal('wrong again');
    await unseal('and again');
    await unseal('and once more');
    expect(await (await unseal(passphrase)).text()).toMatch(/wait \d+ seconds/);
    await new Promise((resolve) => setTimeout(resolve, 2500));
  });

  it('opens with the passphrase, and leads to where somebody wanted to go, in this house only', async () => {
    const opened = await unseal(passphrase);
    expect([opened.status, opened.headers.get('location')]).toEqual([303, '/clients?q=zo']);
    expect((await page('/sign-in')).status).toBe(200);
    // The session of before is still good.
    expect((await call('GET', '/api/keeping', undefined, server.url)).status).toBe(200);
    expect((await unseal(passphrase)).status).not.toBe(303);
  });

  it('leads nowhere outside', async () => {
    await server.stop();
    server = await startServer({ data, isSealed: true });
    expect((await unseal(passphrase, '//elsewhere.test/')).headers.get('location')).toBe('/');
  });

  it('is opened on unattended machines by a file that holds the passphrase', async () => {
    await server.stop();
    const keyFile = path.join(root, 'key');
    writeFileSync(keyFile, `${passphrase}\n`, { mode: 0o600 });
    server = await startServer({ data, env: { VELVET_STONE_KEY_FILE: keyFile } });
    expect((await page('/sign-in')).status).toBe(200);
  });

  it('asks for the passphrase where that file holds another one, and does not call the data damaged', async () => {
    await server.stop();
    const keyFile = path.join(root, 'other-key');
    writeFileSync(keyFile, 'another passphrase', { mode: 0o600 });
    server = await startServer({ data, isSealed: true, env: { VELVET_STONE_KEY_FILE: keyFile } });
    expect(await (await page('/')).text()).toContain('The house is locked');
    expect((await unseal(passphrase)).status).toBe(303);
    expect((await page('/sign-in')).status).toBe(200);
  });

  it('is not replicated: the reason is said', () => {
    const asked = spawnSync(process.execPath, ['scripts/replicate.mjs', path.join(root, 'copy')], {
      env: { ...process.env, VELVET_STONE_DATA: data },
      encoding: 'utf8',
    });
    expect([asked.status, asked.stderr]).toEqual([1, expect.stringContaining('The house is encrypted')]);
  });

  it('does not change its file while another program has it open', async () => {
    const other = new SQLite(path.join(data, 'velvet-stone.sqlite'));
    const description = readDescription(data);
    if (!description) throw new Error('the house is not encrypted');
    giveKey(other, await deriveKey(passphrase, description));
    other.prepare('select count(*) from client').get();
    const refused = await post('/api/keeping/decryption', { passphrase }, server.url);
    other.close();
    expect([refused.status, refused.body.title]).toEqual([503, 'Another program has the house’s data open']);
    expect((await page('/sign-in')).status).toBe(200);
  });

  it('lies open again when the encryption is taken away, which the passphrase shows is meant', async () => {
    expect((await post('/api/keeping/decryption', { passphrase: 'not the passphrase' }, server.url)).status).toBe(400);
    expect((await post('/api/keeping/decryption', { passphrase }, server.url)).status).toBe(200);
    expect(liesOpen('Zoë Ahornblatt')).toBe(true);
    await server.stop();
    server = await startServer({ data });
    expect((await page('/sign-in')).status).toBe(200);
  });
});
