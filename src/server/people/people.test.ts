import { beforeEach, describe, expect, it } from 'vitest';
import { StaffInput } from '../../contracts/sign-in';
import { openSession } from '../auth/sessions';
import { listAudit } from '../house/audit.repository';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { readDevices, signOutThere } from './devices';
import { findStaff, listBookable, listStaff } from './people.repository';
import { initialsOf, saveStaff } from './save-staff';
import { listSessionsOf } from './sessions.repository';
import { isHouseOpen, setUpHouse } from './set-up-house';
import { deleteTriesBefore, findDevice, findTries, putDevice, putTry } from './tries.repository';

/** Who works in the house: who may be added, what changes end, and what a house never does without. */

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const owner = 1;
const bo = 2;
const person = (change: object = {}) =>
  StaffInput.parse({
    ...{ name: 'Tova Lind', login: 'tova', role: 'therapist', qualifications: ['massage'], title: 'Therapist' },
    ...{ password: 'seven slow rivers', pin: '4826' },
    ...change,
  });
const refusedFields = (result: { kind: string; errors?: readonly { path: string }[] }) =>
  result.errors?.map(({ path }) => path) ?? result.kind;
const ownerAsIs = (change: object = {}) =>
  person({ name: 'Ida Moor', login: 'ida', role: 'owner', password: '', pin: '', ...change });
const sessionsOf = async (id: number) => (await listSessionsOf(house.db, id)).length;

describe('two letters for a pebble', () => {
  it.each([
    ['Ida Moor', 'IM'],
    ['tova', 'T'],
    ['Anna Maria von der Aue', 'AA'],
    ['  Élodie   Ōta ', 'ÉŌ'],
    ['', ''],
  ])('of “%s” are “%s”', (name, letters) => {
    expect(initialsOf(name)).toBe(letters);
  });
});

describe('adding somebody', () => {
  it('keeps what they are called, what they may do, and that they were added', async () => {
    const saved = await saveStaff(house.db, null, person({ room: 'Room 3' }), actor);
    if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
    expect(await findStaff(house.db, saved.id)).toMatchObject({
      ...{ name: 'Tova Lind', initials: 'TL', room: 'Room 3', role: 'therapist', login: 'tova' },
      ...{ qualifications: ['massage'], hasPassword: true, leftAt: null },
    });
    const [entry] = await listAudit(house.db, {}, { from: 0, count: 1 });
    expect(entry).toMatchObject({ action: 'person added', subject: `staff ${saved.id}`, detail: 'therapist' });
  });

  it.each([
    ['a name that somebody else signs in with', { login: 'ida' }, ['login']],
    ['no first password', { password: '' }, ['password']],
    ['a short password', { password: 'short' }, ['password']],
    ['a password that everybody tries', { password: 'password123' }, ['password']],
    ['a PIN that counts up', { pin: '1234' }, ['pin']],
    ['a PIN of letters', { pin: 'abcd' }, ['pin']],
    ['several things at once', { login: 'ida', password: '', pin: '0000' }, ['login', 'password', 'pin']],
  ])('is refused with %s, at its field', async (_, change, fields) => {
    expect(refusedFields(await saveStaff(house.db, null, person(change), actor))).toEqual(fields);
    expect(await listStaff(house.db)).toHaveLength(2);
  });

  it('takes no password that is the own name', async () => {
    const own = person({ name: 'Tova Lindqvist', password: 'tovalindqvist' });
    expect(refusedFields(await saveStaff(house.db, null, own, actor))).toEqual(['password']);
  });
});

describe('changing somebody', () => {
  it('that there is not is not found', async () => {
    expect(await saveStaff(house.db, 99, person(), actor)).toEqual({ kind: 'not-found' });
  });

  it('keeps password and PIN where none is given', async () => {
    const before = await house.db.selectFrom('therapist').selectAll().where('id', '=', owner).executeTakeFirstOrThrow();
    expect((await saveStaff(house.db, owner, ownerAsIs({ title: 'Head' }), actor)).kind).toBe('saved');
    const after = await house.db.selectFrom('therapist').selectAll().where('id', '=', owner).executeTakeFirstOrThrow();
    expect([after.password_hash, after.pin_hash, after.title]).toEqual([before.password_hash, before.pin_hash, 'Head']);
  });

  it('never leaves a house without an owner', async () => {
    expect(refusedFields(await saveStaff(house.db, owner, ownerAsIs({ role: 'therapist' }), actor))).toEqual(['role']);
    expect(refusedFields(await saveStaff(house.db, owner, ownerAsIs({ hasLeft: true }), actor))).toEqual(['role']);
    const second = person({ name: 'Bo Farn', login: 'bo', role: 'owner' });
    expect((await saveStaff(house.db, bo, second, actor)).kind).toBe('saved');
    expect((await saveStaff(house.db, owner, ownerAsIs({ role: 'therapist' }), actor)).kind).toBe('saved');
  });

  it('signs them out everywhere when the owner sets another password', async () => {
    await saveStaff(house.db, bo, person({ name: 'Bo Farn', login: 'bo' }), actor);
    await openSession(house.db, bo, now);
    await openSession(house.db, bo, now);
    await putDevice(house.db, 'a-device', bo, now.toISOString());
    await saveStaff(house.db, bo, person({ name: 'Bo Farn', login: 'bo', password: 'eight slow rivers' }), actor);
    expect(await sessionsOf(bo)).toBe(0);
    expect(await findDevice(house.db, 'a-device')).toBeUndefined();
  });

  it('keeps them signed in when only the room changes', async () => {
    await saveStaff(house.db, bo, person({ name: 'Bo Farn', login: 'bo' }), actor);
    await openSession(house.db, bo, now);
    await saveStaff(house.db, bo, person({ name: 'Bo Farn', login: 'bo', password: '', pin: '', room: 'R9' }), actor);
    expect(await sessionsOf(bo)).toBe(1);
  });

  it('ends everything when somebody leaves, remembers since when, and lets them come back', async () => {
    await saveStaff(house.db, bo, person({ name: 'Bo Farn', login: 'bo' }), actor);
    await openSession(house.db, bo, now);
    const left = person({ name: 'Bo Farn', login: 'bo', password: '', pin: '', hasLeft: true });
    await saveStaff(house.db, bo, left, actor);
    expect(await sessionsOf(bo)).toBe(0);
    expect((await listBookable(house.db)).map(({ id }) => id)).toEqual([owner]);
    const later = { ...actor, now: new Date(now.getTime() + 86_400_000) };
    await saveStaff(house.db, bo, { ...left, room: 'none' }, later);
    expect((await findStaff(house.db, bo))?.leftAt).toBe(now.toISOString());
    await saveStaff(house.db, bo, { ...left, hasLeft: false }, later);
    expect((await listBookable(house.db)).map(({ id }) => id)).toEqual([owner, bo]);
  });
});

describe('devices of one person', () => {
  it('are listed, with the one at hand marked, and can be signed out one by one', async () => {
    const [here] = [await openSession(house.db, owner, now), await openSession(house.db, owner, now)];
    expect(here.length).toBeGreaterThan(20);
    const [first] = await listSessionsOf(house.db, owner);
    const devices = await readDevices(house.db, owner, first?.token_hash);
    expect(devices).toHaveLength(2);
    expect(devices.filter(({ isThis }) => isThis)).toHaveLength(1);
    expect(devices[0]?.device).not.toBe('');
    const other = devices.find(({ isThis }) => !isThis);
    expect(await signOutThere(house.db, owner, other?.name ?? '', actor)).toEqual({ kind: 'saved' });
    expect(await sessionsOf(owner)).toBe(1);
  });

  it('of somebody else are not found', async () => {
    await openSession(house.db, owner, now);
    const [one] = await readDevices(house.db, owner, undefined);
    expect(await signOutThere(house.db, bo, one?.name ?? '', actor)).toEqual({ kind: 'not-found' });
    expect(await sessionsOf(owner)).toBe(1);
  });
});

describe('tries that failed', () => {
  const at = now.toISOString();
  it('are kept by key, the newest over the one before, and forgotten when they are old', async () => {
    await putTry(house.db, { key: 'a', failures: 1, next_at: at, at });
    await putTry(house.db, { key: 'a', failures: 2, next_at: at, at });
    await putTry(house.db, { key: 'b', failures: 5, next_at: at, at: '2026-01-01T00:00:00.000Z' });
    const known = async () => (await findTries(house.db, ['a', 'b', 'c'])).map(({ key, failures }) => [key, failures]);
    expect((await known()).toSorted()).toEqual([
      ['a', 2],
      ['b', 5],
    ]);
    await deleteTriesBefore(house.db, '2026-06-01T00:00:00.000Z');
    expect(await known()).toEqual([['a', 2]]);
  });
});

describe('a house that is set up', () => {
  it('is open, and is not set up a second time', async () => {
    expect(await isHouseOpen(house.db)).toBe(true);
    const again = {
      ...{ name: 'Another', therapistName: 'Eve Dun', login: 'eve', password: 'nine slow rivers', pin: '4826' },
      qualifications: [],
    };
    expect(await setUpHouse(house.db, again, actor)).toEqual({ kind: 'edited-elsewhere' });
    expect(await listStaff(house.db)).toHaveLength(2);
  });
});
