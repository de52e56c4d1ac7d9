import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Decrypter } from 'age-encryption';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { addDays } from 'date-fns';
import { sql } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addClient } from '../clients/save-client';
import { eraseClient } from '../clients/erase-client';
import { databaseName, type Db, openDatabase } from '../db/connection';
import { listErasedClients } from '../house/audit.repository';
import { setUpHouse } from '../people/set-up-house';
import { actor, now } from '../shared/test-house';
import { NotABackup } from './archive';
import { listBackups, makeBackup } from './make-backup';
import { canUndo, prepareRestore, takePlace, undoRestore } from './restore';

const passphrase = 'grey herons over wet stones';
/** Real backups take a second to guess at once; tests need not. */
const workFactor = 4;

let root: string;
let data: string;
let folder: string;
let db: Db;
let zoe: number;
beforeEach(async () => {
  root = mkdtempSync(path.join(tmpdir(), 'velvet-stone-keeping-'));
  [data, folder] = [path.join(root, 'data'), path.join(root, 'backups')];
  db = openDatabase(data);
  await setUpHouse(
    db,
    {
      ...{ name: 'Haus am Bach', therapistName: 'Ida Moor', login: 'ida', password: 'three wet pebbles', pin: '2719' },
      qualifications: [],
    },
    actor,
  );
  zoe = (await addClient(db, { name: 'Zoë Ahorn', bornOn: '1970-05-01', phone: '0700 1' }, actor)).id;
});
afterEach(async () => {
  await db.destroy();
  rmSync(root, { recursive: true, force: true });
});

const backUp = (at = now, change: object = {}) =>
  makeBackup(db, { folder, passphrase, now: at, workFactor, ...change });
const restored = async (name: string, into: string, erased: readonly number[] = []) => {
  const ready = await prepareRestore(path.join(folder, name), passphrase, into, erased);
  await takePlace(ready, into);
  return ready;
};

/** Debian's tool asks for the passphrase at a terminal, which a test has to play. */
const isAgeHere = ['age', 'python3', 'tar'].every((tool) => spawnSync('which', [tool]).status === 0);
const typingAtPrompt = `
import os, pty, sys
pid, terminal = pty.fork()
if pid == 0:
    os.execvp(sys.argv[2], sys.argv[2:])
seen = b''
while True:
    try:
        part = os.read(terminal, 1024)
    except OSError:
        break
    if not part:
        break
    seen += part
    if b'assphrase' in seen:
        os.write(terminal, sys.argv[1].encode() + b'\\n')
        seen = b''
sys.exit(os.waitstatus_to_exitcode(os.waitpid(pid, 0)[1]))
`;

/** Every row of every table. */
function everything(file: string): Record<string, unknown> {
  const sqlite = new SQLite(file, { readonly: true });
  const names = sqlite.prepare("select name from sqlite_master where type = 'table' order by name").pluck().all();
  const all = (names as string[]).map((name) => [name, sqlite.prepare(`select * from "${name}"`).all()]);
  sqlite.close();
  return Object.fromEntries(all) as Record<string, unknown>;
}

describe('a backup', () => {
  it('is one file for the owner alone, encrypted so that any age tool opens it', async () => {
    const { name } = await backUp();
    expect(readdirSync(folder)).toEqual([name]);
    expect(statSync(path.join(folder, name)).mode & 0o777).toBe(0o600);
    const content = readFileSync(path.join(folder, name));
    expect(content.subarray(0, 21).toString()).toBe('age-encryption.org/v1');
    expect(content.includes('Zoë')).toBe(false);
    const decrypter = new Decrypter();
    decrypter.addPassphrase(passphrase);
    const packed = await decrypter.decrypt(new Uint8Array(content));
    expect([...packed.slice(0, 2)]).toEqual([0x1f, 0x8b]);
  });

  it.skipIf(!isAgeHere)('is opened by the age tool of the system, with the passphrase at its prompt', async () => {
    const { name } = await backUp();
    const opened = path.join(root, 'opened.tar.gz');
    execFileSync('python3', ['-c', typingAtPrompt, passphrase, 'age', '-d', '-o', opened, path.join(folder, name)]);
    const names = execFileSync('tar', ['-tzf', opened]).toString().split('\n');
    expect(names).toContain(databaseName);
    expect(names).toContain('manifest.json');
  });

  it('tells how far it is, and never goes back', async () => {
    const shares: number[] = [];
    await backUp(now, { onProgress: ({ share }: { share: number }) => shares.push(share) });
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });

  it('that is cancelled leaves nothing behind', async () => {
    const cancel = new AbortController();
    const making = backUp(now, { signal: cancel.signal, onProgress: () => cancel.abort() });
    await expect(making).rejects.toMatchObject({ name: 'AbortError' });
    expect(readdirSync(folder)).toEqual([]);
  });

  it('is made while the house goes on, as it was at one moment', async () => {
    const making = backUp();
    for (let i = 0; i < 20; i += 1) await addClient(db, { name: `Later ${i}`, bornOn: null, phone: '' }, actor);
    const { name } = await making;
    const into = mkdtempSync(path.join(root, 'into-'));
    const { manifest } = await restored(name, into);
    const clients = everything(path.join(into, databaseName))['client'] as unknown[];
    expect(clients).toHaveLength(manifest.tables['client'] ?? -1);
  });

  it('is dropped when it has been outlived', async () => {
    for (let day = 0; day < 40; day += 1) await backUp(addDays(now, day));
    const files = await listBackups(folder);
    expect(files.length).toBeLessThan(20);
    expect(files[0]?.madeAt).toEqual(addDays(now, 39));
  }, 60_000);
});

describe('restoring', () => {
  it('into an empty folder gives back every row of every table', async () => {
    const { name } = await backUp();
    const into = mkdtempSync(path.join(root, 'into-'));
    await restored(name, into);
    const { session: _, ...before } = everything(path.join(data, databaseName));
    const { session, ...after } = everything(path.join(into, databaseName));
    expect(after).toEqual(before);
    expect(session).toEqual([]);
  });

  it('over a house keeps that one aside, and can be taken back, and forth again', async () => {
    const { name } = await backUp();
    const ada = (await addClient(db, { name: 'Ada Linde', bornOn: null, phone: '' }, actor)).id;
    await db.destroy();
    await restored(name, data);
    const namesNow = async () => {
      db = openDatabase(data);
      const rows = await db.selectFrom('client').select('id').orderBy('id').execute();
      await db.destroy();
      return rows.map(({ id }) => id);
    };
    expect(await namesNow()).toEqual([zoe]);
    expect(canUndo(data)).toBe(true);
    undoRestore(data);
    expect(await namesNow()).toEqual([zoe, ada]);
    undoRestore(data);
    expect(await namesNow()).toEqual([zoe]);
    db = openDatabase(data);
  });

  it('does not bring back who was erased since', async () => {
    const { name } = await backUp();
    await eraseClient(db, zoe, 'Zoë Ahorn', actor);
    const into = mkdtempSync(path.join(root, 'into-'));
    expect(await restored(name, into, await listErasedClients(db))).toMatchObject({ erased: 1 });
    expect(readFileSync(path.join(into, databaseName)).includes('Ahorn')).toBe(false);
  });

  const refusal = async (file: string, words = passphrase) => {
    const before = readdirSync(data).sort();
    const error: unknown = await prepareRestore(file, words, data, []).catch((caught: unknown) => caught);
    expect(readdirSync(data).sort()).toEqual(before);
    return error instanceof NotABackup ? error.message : String(error);
  };

  it('is refused with the reason, and nothing is changed', async () => {
    const { name } = await backUp();
    const file = path.join(folder, name);
    expect(await refusal(file, 'not the passphrase')).toBe('That is not the passphrase of this backup.');
    const whole = readFileSync(file);
    const other = path.join(root, 'other.age');
    writeFileSync(other, whole.subarray(0, Math.floor(whole.length / 2)));
    expect(await refusal(other)).toMatch(/damaged/);
    const changed = Buffer.from(whole);
    changed[whole.length - 40] = (changed[whole.length - 40] ?? 0) ^ 1;
    writeFileSync(other, changed);
    expect(await refusal(other)).toMatch(/damaged/);
    writeFileSync(other, 'a letter');
    expect(await refusal(other)).toMatch(/no backup/);
  });

  it('of what a newer version has made is refused', async () => {
    await sql`insert into migration values ('9999_from_tomorrow', 'x', '2099')`.execute(db);
    const { name } = await backUp();
    expect(await refusal(path.join(folder, name))).toMatch(/newer version/);
  });
});
