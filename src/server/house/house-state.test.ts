import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { closeDatabase, openDatabase } from '../db/connection';
import { setUpHouse } from '../people/set-up-house';
import { changeSettings } from '../people/settings.repository';
import { actor, now, ownerPassword } from '../shared/test-house';
import { backupVerdict, isDiskLow, readHouseState } from './house-state';

const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-state-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('how a house is doing', () => {
  it('is read from its folder and its settings', async () => {
    const db = openDatabase(folder);
    const house = {
      name: 'Haus am Bach',
      therapistName: 'Ida Moor',
      login: 'ida',
      password: ownerPassword,
      pin: '2719',
    };
    await setUpHouse(db, { ...house, qualifications: [] }, actor);
    const plain = await readHouseState(db, folder, now);
    expect(plain).toMatchObject({ isWritable: true, backupHours: undefined });
    expect(plain.databaseBytes).toBeGreaterThan(0);
    expect(plain.freeBytes).toBeGreaterThan(0);
    await changeSettings(db, { backup: { folder: '/elsewhere', passphrase: 'three wet pebbles' } });
    expect((await readHouseState(db, folder, now)).backupHours).toBeNull();
    const lastGoodAt = new Date(now.getTime() - 7_200_000).toISOString();
    await changeSettings(db, { backup: { folder: '/elsewhere', passphrase: 'three wet pebbles', lastGoodAt } });
    expect((await readHouseState(db, folder, now)).backupHours).toBeCloseTo(2);
    await closeDatabase(db);
  });

  it.each([
    [undefined, 'none'],
    [null, 'late'],
    [2, 'ok'],
    [49, 'ok'],
    [51, 'late'],
  ] as const)('calls a backup of %s hours ago %s', (backupHours, verdict) => {
    expect(backupVerdict({ backupHours })).toBe(verdict);
  });

  it.each([
    [50e9, 0.5, false],
    [0.9e9, 0.5, true],
    [50e9, 0.04, true],
  ])('of %s bytes free, %s of the disk: low is %s', (freeBytes, freeShare, isLow) => {
    expect(isDiskLow({ freeBytes, freeShare })).toBe(isLow);
  });
});
