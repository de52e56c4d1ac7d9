import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { addHours } from 'date-fns';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Db } from '../db/connection';
import { actor, now, openHouse } from '../shared/test-house';
import { backUp, cancelBackup, changeKeeping, keepingEnds, keepingTrouble, readKeeping, startBackup } from './keeping';

const passphrase = 'grey herons over wet stones';
let db: Db;
let root: string;
let folder: string;
beforeEach(async () => {
  ({ db } = await openHouse());
  root = mkdtempSync(path.join(tmpdir(), 'velvet-stone-nightly-'));
  folder = path.join(root, 'backups');
});
afterEach(() => rmSync(root, { recursive: true, force: true }));

const setUp = (change: object = {}) => changeKeeping(db, { folder, passphrase, ...change }, actor);

describe('where backups go', () => {
  it('is tried at once, and needs a passphrase worth having', async () => {
    expect(await setUp({ passphrase: '' })).toMatchObject({ errors: [{ path: 'passphrase' }] });
    expect(await setUp({ passphrase: 'short' })).toMatchObject({ errors: [{ path: 'passphrase' }] });
    const file = path.join(root, 'a-file');
    writeFileSync(file, '');
    expect(await setUp({ folder: file })).toMatchObject({ errors: [{ path: 'folder' }] });
    expect(await setUp({ folder: path.resolve('./var/backups') })).toMatchObject({ errors: [{ path: 'folder' }] });
    expect(await setUp()).toEqual({ kind: 'saved' });
    // The passphrase stays when only the folder is changed.
    expect(await setUp({ passphrase: '', folder: `${folder}-2` })).toEqual({ kind: 'saved' });
    expect(await readKeeping(db)).toMatchObject({ folder: `${folder}-2`, hasPassphrase: true, running: null });
  });

  it('is never told together with the passphrase', async () => {
    await setUp();
    expect(JSON.stringify(await readKeeping(db))).not.toContain(passphrase);
  });
});

describe('what the owner is told', () => {
  it('is that none is set up, none was made, the last is old, or it failed; nothing while all is well', async () => {
    expect(await keepingTrouble(db, now)).toBe('no backup is set up');
    await setUp();
    expect(await keepingTrouble(db, now)).toBe('none has been made yet');
    expect(await backUp(db, now)).toBe(true);
    expect(await keepingTrouble(db, addHours(now, 20))).toBeUndefined();
    expect(await keepingTrouble(db, addHours(now, 72))).toBe('the last good one is 3 days old');
    rmSync(folder, { recursive: true });
    writeFileSync(folder, 'in the way');
    expect(await backUp(db, addHours(now, 24))).toBe(false);
    expect(await keepingTrouble(db, addHours(now, 25))).toBe('the last one failed');
    expect((await readKeeping(db)).trouble).not.toBe('');
    expect(await keepingEnds(db, addHours(now, 25))).toEqual([
      { text: 'Backups', what: 'the last one failed', href: '/house?part=keeping' },
    ]);
  });
});

describe('a backup by one press', () => {
  it('is begun once, can be cancelled, and leaves nothing then', async () => {
    expect(await startBackup(db, now)).toMatchObject({ kind: 'refused', errors: [{ path: 'folder' }] });
    await setUp();
    expect(await startBackup(db, now)).toEqual({ kind: 'saved' });
    expect(await startBackup(db, now)).toEqual({ kind: 'saved' });
    expect(cancelBackup()).toEqual({ kind: 'saved' });
    await expect.poll(async () => (await readKeeping(db)).running).toBeNull();
    expect(readdirSync(folder)).toEqual([]);
    expect(await keepingTrouble(db, now)).toBe('none has been made yet');
  });
});
