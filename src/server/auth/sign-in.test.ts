import type { Seconds } from '../../core/quantities';
import { beforeEach, describe, expect, it } from 'vitest';
import { mostWrongPins } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import { now, openHouse, ownerPassword } from '../shared/test-house';
import { readDevices, signOutThere } from '../people/devices';
import { updateTherapist } from '../people/people.repository';
import { saveStaff } from '../people/save-staff';
import { sql } from 'kysely';
import { readSession } from './sessions';
import { prove, signIn, signOut, unlock } from './sign-in';
import { hashSecret } from './secrets';

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

describe('guessing', () => {
  const from = (address: string, deviceToken?: string) => ({ address, deviceToken });

  it('is counted before it is judged: of three hundred tries at once only the free ones are looked at', async () => {
    const kinds = await Promise.all(
      Array.from({ length: 300 }, (_, i) => signIn(db, 'ida', `wrong ${i}`, now, from('10.0.0.9'))),
    );
    expect(kinds.filter(({ kind }) => kind === 'wrong').length).toBeLessThanOrEqual(3);
  });

  it('from elsewhere keeps nobody out: each address waits by itself, until the name as a whole is under attack', async () => {
    for (let i = 0; i < 5; i += 1) await signIn(db, 'ida', 'wrong', now, from('10.0.0.9'));
    expect((await signIn(db, 'ida', ownerPassword, now, from('10.0.0.9'))).kind).toBe('wait');
    expect((await signIn(db, 'ida', ownerPassword, now, from('10.0.0.7'))).kind).toBe('signed-in');
  });

  it('passes by a device on which its person has signed in before, whatever others try', async () => {
    const first = await signIn(db, 'ida', ownerPassword, now, from('10.0.0.7'));
    if (first.kind !== 'signed-in') throw new Error(first.kind);
    for (let i = 0; i < 40; i += 1) await signIn(db, 'ida', 'wrong', later(i), from(`10.0.1.${i}`));
    expect((await signIn(db, 'ida', ownerPassword, later(41), from('10.0.0.8'))).kind).toBe('wait');
    expect((await signIn(db, 'ida', ownerPassword, later(60), from('10.0.0.7', first.deviceToken))).kind).toBe(
      'signed-in',
    );
    // It is a device of hers, and of nobody else.
    await updateTherapist(db, 2, { login: 'bo', password_hash: await hashSecret('four grey stones') });
    for (let i = 0; i < 3; i += 1) await signIn(db, 'bo', 'wrong', later(60), from('10.0.0.7', first.deviceToken));
    expect((await signIn(db, 'bo', 'x', later(60), from('10.0.0.7', first.deviceToken))).kind).toBe('wait');
  });

  it('answers the same for names that do not exist', async () => {
    const answers = async (login: string) => {
      const kinds = [];
      for (let i = 0; i < 6; i += 1)
        kinds.push(await signIn(db, login, 'wrong', later(i), from(`10.0.2.${login.length}`)));
      return kinds;
    };
    expect(await answers('nobody')).toEqual(await answers('ida'));
  });

  it('at many names from one address is slowed down as well', async () => {
    const kinds = [];
    for (let i = 0; i < 24; i += 1) kinds.push((await signIn(db, `name${i}`, 'wrong', now, from('10.0.0.5'))).kind);
    expect(kinds.slice(0, 19)).toEqual(Array.from({ length: 19 }, () => 'wrong'));
    expect(kinds.slice(20)).toEqual(['wait', 'wait', 'wait', 'wait']);
  });
});

describe('one’s own devices', () => {
  it('are listed with what they are, and signed out one by one', async () => {
    const tokens = [];
    for (const device of ['Firefox on Windows', 'Chrome on Android tablet']) {
      const result = await signIn(db, 'ida', ownerPassword, now, { address: '', device });
      tokens.push(result.kind === 'signed-in' ? result.token : '');
    }
    const here = await readSession(db, tokens[0], now);
    const listed = await readDevices(db, 1, here?.tokenHash);
    expect(listed.map(({ device, isThis }) => [device, isThis])).toEqual(
      expect.arrayContaining([
        ['Firefox on Windows', true],
        ['Chrome on Android tablet', false],
      ]),
    );
    const other = listed.find(({ isThis }) => !isThis)?.name ?? '';
    expect(await signOutThere(db, 2, other, { therapistId: 2, now })).toEqual({ kind: 'not-found' });
    expect(await signOutThere(db, 1, other, { therapistId: 1, now })).toEqual({ kind: 'saved' });
    expect(await readSession(db, tokens[1], now)).toBeUndefined();
    expect(await readSession(db, tokens[0], now)).toBeDefined();
  });
});

describe('a session', () => {
  it('locks when it is left alone for half an hour, and is over after half a day however it is used', async () => {
    const token = await tokenOf();
    const at = (minutes: number) => readSession(db, token, later(60 * minutes));
    expect(await at(29)).toMatchObject({ isLocked: false });
    expect(await at(58)).toMatchObject({ isLocked: false });
    expect(await at(58 + 31)).toMatchObject({ isLocked: true });
    const locked = await at(58 + 32);
    expect(locked).toMatchObject({ isLocked: true });
    if (locked) await unlock(db, locked, '2719', later(60 * 92));
    expect(await at(93)).toMatchObject({ isLocked: false });
    for (let minute = 100; minute < 12 * 60; minute += 20) await at(minute);
    expect(await at(12 * 60)).toBeUndefined();
  });

  it('may rest longer at the table, where hands are busy', async () => {
    const token = await tokenOf();
    expect(await readSession(db, token, later(60), true)).toBeDefined();
    expect(await readSession(db, token, later(60 * 100), true)).toMatchObject({ isLocked: false });
    expect(await readSession(db, token, later(60 * 290))).toMatchObject({ isLocked: true });
  });

  it('ends instead of locking where there is no PIN to open it with', async () => {
    await updateTherapist(db, 1, { pin_hash: null });
    const token = await tokenOf();
    expect(await readSession(db, token, later(60 * 31))).toBeUndefined();
  });

  it('is read although nothing can be written', async () => {
    const token = await tokenOf();
    await sql`pragma query_only = on`.execute(db);
    expect(await readSession(db, token, later(60 * 5))).toMatchObject({ isLocked: false });
    expect(await readSession(db, token, later(60 * 40))).toMatchObject({ isLocked: true });
  });

  it('proves itself by PIN for five minutes, for what cannot be taken back', async () => {
    const token = await tokenOf();
    const session = await readSession(db, token, now);
    if (!session) throw new Error('no session');
    expect(session.isProved).toBe(false);
    expect(await prove(db, session, '1111', now)).toMatchObject({ kind: 'wrong' });
    expect(await prove(db, session, '2719', now)).toEqual({ kind: 'open' });
    expect(await readSession(db, token, later(299))).toMatchObject({ isProved: true });
    expect(await readSession(db, token, later(301))).toMatchObject({ isProved: false });
  });

  it('counts PINs before it looks at them: of many at once no more than five are tried', async () => {
    const token = await tokenOf();
    const session = await readSession(db, token, now);
    if (!session) throw new Error('no session');
    const tried = await Promise.all(Array.from({ length: 40 }, (_, i) => unlock(db, session, String(1000 + i), now)));
    expect(tried.filter(({ kind }) => kind === 'wrong')).toHaveLength(mostWrongPins - 1);
    expect(tried.filter(({ kind }) => kind === 'ended')).toHaveLength(40 - mostWrongPins + 1);
    expect(await readSession(db, token, now)).toBeUndefined();
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
    expect(await unlock(db, session, '0000', now)).toEqual({ kind: 'wrong', left: mostWrongPins - 1 });
    expect(await unlock(db, session, '2719', now)).toEqual({ kind: 'open' });
    for (let i = 1; i < mostWrongPins; i += 1) expect((await unlock(db, session, '0000', now)).kind).toBe('wrong');
    expect(await unlock(db, session, '0000', now)).toEqual({ kind: 'ended' });
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
    isLearning: false,
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

  it('keep their own session with another password, and lose the others', async () => {
    const tokens = [await tokenOf(), await tokenOf()];
    const mine = await readSession(db, tokens[0], now);
    const owner = { ...input, name: 'Ida Moor', login: 'ida', role: 'owner' as const, pin: '' };
    const saved = await saveStaff(db, 1, { ...owner, password: 'seven calm herons' }, actor, mine?.tokenHash ?? null);
    expect(saved.kind).toBe('saved');
    expect(await readSession(db, tokens[0], now)).toBeDefined();
    expect(await readSession(db, tokens[1], now)).toBeUndefined();
  });

  it('take no password and no PIN that is tried first', async () => {
    for (const password of ['password1234', 'qwertyuiop12', '1234567890ab', 'iloveyou2024!'])
      expect(await saveStaff(db, null, { ...input, password }, actor), password).toMatchObject({
        errors: [{ path: 'password' }],
      });
    for (const pin of ['1234', '4321', '0000', '1212', '2580', '1987', '24121985', '112211'])
      expect(await saveStaff(db, null, { ...input, pin }, actor), pin).toMatchObject({ errors: [{ path: 'pin' }] });
  });

  it('always have an owner among them', async () => {
    const owner = { ...input, name: 'Ida Moor', login: 'ida', password: '', pin: '', role: 'owner' as const };
    for (const change of [{ role: 'therapist' as const }, { hasLeft: true }])
      expect(await saveStaff(db, 1, { ...owner, ...change }, actor)).toMatchObject({ errors: [{ path: 'role' }] });
  });
});
