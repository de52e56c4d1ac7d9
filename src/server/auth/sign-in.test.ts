import type { Seconds } from '../../core/quantities';
import { beforeEach, describe, expect, it } from 'vitest';
import { mostWrongPins } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import { now, openHouse, ownerPassword } from '../shared/test-house';
import { saveStaff } from '../people/save-staff';
import { readSession } from './sessions';
import { signIn, signOut, unlock } from './sign-in';

let db: Db;
beforeEach(async () => {
  ({ db } = await openHouse());
});

const later = (seconds: Seconds) => new Date(now.getTime() + seconds * 1000);
const tokenOf = async (at = now) => {
  const result = await signIn(db, 'ida', ownerPassword, at);
  if (result.kind !== 'signed-in') throw new Error(result.kind);
  return result.token;
};

describe('signing in', () => {
  it('opens a session whose token is stored only as a hash, and a password only as argon2id', async () => {
    const token = await tokenOf();
    expect((await readSession(db, token, now))?.staff).toMatchObject({ name: 'Ida Moor', role: 'owner' });
    const stored = JSON.stringify([
      await db.selectFrom('session').selectAll().execute(),
      await db.selectFrom('therapist').select('password_hash').execute(),
    ]);
    expect(stored).not.toContain(token);
    expect(stored).not.toContain(ownerPassword);
    expect(stored).toContain('$argon2id$');
  });

  it('takes the name in any case, and nobody without a password', async () => {
    expect((await signIn(db, ' IDA ', ownerPassword, now)).kind).toBe('signed-in');
    for (const name of ['bo', 'nobody', '']) expect((await signIn(db, name, '', now)).kind).toBe('wrong');
  });

  it('waits longer after each failure, also for the right password, and forgets once it was right', async () => {
    const kinds = [];
    for (let i = 0; i < 3; i += 1) kinds.push(await signIn(db, 'ida', 'wrong', now));
    expect(kinds).toEqual([{ kind: 'wrong' }, { kind: 'wrong' }, { kind: 'wait', seconds: 5 }]);
    expect(await signIn(db, 'ida', ownerPassword, later(1))).toEqual({ kind: 'wait', seconds: 4 });
    expect(await signIn(db, 'ida', 'wrong', later(6))).toEqual({ kind: 'wait', seconds: 10 });
    expect((await signIn(db, 'ida', ownerPassword, later(17))).kind).toBe('signed-in');
    expect(await signIn(db, 'ida', 'wrong', later(18))).toEqual({ kind: 'wrong' });
  });
});

describe('a session', () => {
  it('lives on while it is used, and ends after half a day of silence or two weeks', async () => {
    const token = await tokenOf();
    const hours = (n: number) => later(n * 3600);
    expect(await readSession(db, token, hours(11))).toBeDefined();
    expect(await readSession(db, token, hours(22))).toBeDefined();
    expect(await readSession(db, token, hours(35))).toBeUndefined();
    const other = await tokenOf();
    for (let hour = 0; hour < 14 * 24; hour += 10) await readSession(db, other, hours(hour));
    expect(await readSession(db, other, hours(14 * 24 + 1))).toBeUndefined();
  });

  it('ends by signing out, and for somebody who has left', async () => {
    const token = await tokenOf();
    const session = await readSession(db, token, now);
    if (!session) throw new Error('no session');
    await signOut(db, session, now);
    expect(await readSession(db, token, now)).toBeUndefined();
    expect(await readSession(db, 'made up', now)).toBeUndefined();
    expect(await readSession(db, undefined, now)).toBeUndefined();
  });

  it('opens with the PIN, and ends after too many wrong ones', async () => {
    const token = await tokenOf();
    const session = await readSession(db, token, now);
    if (!session) throw new Error('no session');
    expect(await unlock(db, session, '0000')).toEqual({ kind: 'wrong', left: mostWrongPins - 1 });
    expect(await unlock(db, session, '2719')).toEqual({ kind: 'open' });
    for (let i = 1; i < mostWrongPins; i += 1) expect((await unlock(db, session, '0000')).kind).toBe('wrong');
    expect(await unlock(db, session, '0000')).toEqual({ kind: 'ended' });
    expect(await readSession(db, token, now)).toBeUndefined();
  });
});

describe('people of the house', () => {
  const input = {
    name: 'Mira Sund',
    login: 'mira',
    title: '',
    room: '',
    role: 'therapist' as const,
    qualifications: [],
    hours: {},
    hasLeft: false,
    password: 'grey river stone',
    pin: '4831',
  };
  const actor = { therapistId: 1, now };

  it('are added, and then can sign in', async () => {
    expect((await saveStaff(db, null, input, actor)).kind).toBe('saved');
    expect((await signIn(db, 'mira', input.password, now)).kind).toBe('signed-in');
  });

  it('need a name that is free, a password worth having and a PIN that is not a row', async () => {
    const refused = await saveStaff(
      db,
      null,
      { ...input, login: 'ida', password: 'mira mira mira', pin: '1234' },
      actor,
    );
    expect(refused).toMatchObject({ errors: [{ path: 'login' }, { path: 'password' }, { path: 'pin' }] });
    expect(await saveStaff(db, null, { ...input, password: '' }, actor)).toMatchObject({
      errors: [{ path: 'password' }],
    });
    expect((await saveStaff(db, 99, input, actor)).kind).toBe('not-found');
  });

  it('are signed out everywhere once they have left or got another password', async () => {
    const added = await saveStaff(db, null, input, actor);
    if (added.kind !== 'saved') throw new Error(added.kind);
    const open = async () => {
      const result = await signIn(db, 'mira', input.password, now);
      return result.kind === 'signed-in' ? result.token : undefined;
    };
    const first = await open();
    await saveStaff(db, added.id, { ...input, password: 'another grey stone' }, actor);
    expect(await readSession(db, first, now)).toBeUndefined();
    await saveStaff(db, added.id, { ...input, hasLeft: true }, actor);
    expect((await signIn(db, 'mira', input.password, now)).kind).toBe('wrong');
  });

  it('always have an owner among them', async () => {
    const owner = { ...input, name: 'Ida Moor', login: 'ida', password: '', pin: '', role: 'owner' as const };
    for (const change of [{ role: 'therapist' as const }, { hasLeft: true }])
      expect(await saveStaff(db, 1, { ...owner, ...change }, actor)).toMatchObject({ errors: [{ path: 'role' }] });
  });
});
