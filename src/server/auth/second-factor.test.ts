import { Secret, TOTP } from 'otpauth';
import { addSeconds } from 'date-fns';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Db } from '../db/connection';
import { changeSettings } from '../people/settings.repository';
import { findStaff, type StaffMember } from '../people/people.repository';
import { actor, now, openHouse, ownerPassword } from '../shared/test-house';
import { recoverOwner } from './recover';
import {
  beginFactor,
  checkFactor,
  finishFactor,
  hasFactor,
  makeHouseCode,
  owesFactor,
  readFactor,
  removeFactor,
  renewCodes,
} from './second-factor';
import { openSession, readSession } from './sessions';
import { signIn } from './sign-in';

let db: Db;
let ida: StaffMember;
beforeEach(async () => {
  ({ db } = await openHouse());
  ida = (await findStaff(db, 1)) as StaffMember;
});

const codeAt = (secret: string, at: Date) =>
  new TOTP({ secret: Secret.fromBase32(secret.replaceAll(' ', '')), digits: 6, period: 30 }).generate({
    timestamp: at.getTime(),
  });
const later = (seconds: number) => addSeconds(now, seconds);
/** Sets it up. @returns the secret, and the codes for when it is lost */
async function setUp(): Promise<{ readonly secret: string; readonly codes: readonly string[] }> {
  const begun = await beginFactor(db, ida);
  if (!('secret' in begun)) throw new Error('it did not begin');
  const done = await finishFactor(db, ida.id, codeAt(begun.secret, now), actor);
  if (!('codes' in done)) throw new Error('it did not end');
  return { secret: begun.secret, codes: done.codes };
}
const enter = (code: string, at = now, password = ownerPassword) =>
  signIn(db, 'ida', password, at, { address: '10.0.0.1' }, code);

describe('setting up a second factor', () => {
  it('counts only once a code of it was typed', async () => {
    const begun = await beginFactor(db, ida);
    expect(begun).toMatchObject({
      secret: expect.stringMatching(/^([A-Z2-7]{4} ){7}[A-Z2-7]{4}$/) as string,
      uri: expect.stringContaining('otpauth://totp/') as string,
      qrSvg: expect.stringContaining('<svg') as string,
    });
    expect(await hasFactor(db, ida.id)).toBe(false);
    expect((await enter('')).kind).toBe('signed-in');
    expect(await finishFactor(db, ida.id, '000000', actor)).toMatchObject({ kind: 'refused' });
    expect(await hasFactor(db, ida.id)).toBe(false);
  });

  it('names the house and its person, so that they are told apart on a phone', async () => {
    const begun = await beginFactor(db, ida);
    if (!('uri' in begun)) throw new Error('it did not begin');
    expect(decodeURIComponent(begun.uri)).toContain('Haus am Bach:ida');
  });

  it('gives ten codes for when the phone is lost', async () => {
    const { codes } = await setUp();
    expect(new Set(codes).size).toBe(10);
    expect(await readFactor(db, ida)).toEqual({ isOn: true, isOwed: false, codesLeft: 10 });
  });

  it('is not done twice, nor without a beginning', async () => {
    expect(await finishFactor(db, ida.id, '000000', actor)).toMatchObject({ kind: 'refused' });
    await setUp();
    expect(await beginFactor(db, ida)).toMatchObject({ kind: 'refused' });
  });
});

describe('signing in with a second factor', () => {
  it('asks for it after the right password, and only then', async () => {
    const { secret } = await setUp();
    expect(await enter('', later(60), 'wrong password here')).toEqual({ kind: 'wrong' });
    expect(await enter('', later(60))).toEqual({ kind: 'code', isWrong: false });
    expect((await enter(codeAt(secret, later(60)), later(60))).kind).toBe('signed-in');
  });

  it('takes a clock that is half a minute off, and no more', async () => {
    const { secret } = await setUp();
    expect(await checkFactor(db, ida.id, codeAt(secret, later(300)), later(330))).toBe('right');
    expect(await checkFactor(db, ida.id, codeAt(secret, later(600)), later(690))).toBe('wrong');
  });

  it('takes each code once: whoever has watched it being typed cannot use it', async () => {
    const { secret } = await setUp();
    const code = codeAt(secret, later(60));
    expect(await checkFactor(db, ida.id, code, later(60))).toBe('right');
    expect(await checkFactor(db, ida.id, code, later(61))).toBe('wrong');
    // Nor one that is older than the newest that was used.
    expect(await checkFactor(db, ida.id, codeAt(secret, later(30)), later(60))).toBe('wrong');
  });

  it('takes one of two that come at once', async () => {
    const { secret } = await setUp();
    const code = codeAt(secret, later(60));
    const both = await Promise.all([
      checkFactor(db, ida.id, code, later(60)),
      checkFactor(db, ida.id, code, later(60)),
    ]);
    expect(both.sort()).toEqual(['right', 'wrong']);
  });

  it('takes a recovery code instead, however it is typed, and each once', async () => {
    const { codes } = await setUp();
    const typed = (codes[3] ?? '').toLowerCase().replaceAll('-', ' ');
    expect((await enter(typed, later(60))).kind).toBe('signed-in');
    expect(await enter(typed, later(60))).toEqual({ kind: 'code', isWrong: true });
    expect((await readFactor(db, ida)).codesLeft).toBe(9);
  });

  it('makes guessing codes as slow as guessing passwords', async () => {
    await setUp();
    const kinds = [];
    for (let i = 0; i < 6; i += 1) kinds.push((await enter('123456', later(60))).kind);
    expect(kinds.at(-1)).toBe('wait');
  });

  it('does not tell from whom there is none', async () => {
    await setUp();
    expect(await signIn(db, 'nobody', ownerPassword, now, { address: '10.0.0.9' }, '123456')).toEqual({
      kind: 'wrong',
    });
  });
});

describe('a second factor that is lost', () => {
  it('has new codes, and the old ones open nothing', async () => {
    const { codes } = await setUp();
    const renewed = await renewCodes(db, ida.id, actor);
    if (!('codes' in renewed)) throw new Error('there are no new ones');
    expect(await checkFactor(db, ida.id, codes[0] ?? '', now)).toBe('wrong');
    expect(await checkFactor(db, ida.id, renewed.codes[0] ?? '', now)).toBe('right');
  });

  it('is removed by its person, or by the owner, and codes go with it', async () => {
    const { codes } = await setUp();
    expect(await removeFactor(db, ida.id, actor)).toEqual({ kind: 'saved' });
    expect((await enter('', later(60))).kind).toBe('signed-in');
    expect(await checkFactor(db, ida.id, codes[0] ?? '', now)).toBe('not-asked');
    expect(await removeFactor(db, 99, actor)).toEqual({ kind: 'not-found' });
    expect(await renewCodes(db, ida.id, actor)).toMatchObject({ kind: 'refused' });
  });
});

describe('a house that asks for a second factor', () => {
  it('asks owners, or everybody, and nobody who has one', async () => {
    const bo = (await findStaff(db, 2)) as StaffMember;
    expect(await owesFactor(db, ida)).toBe(false);
    await changeSettings(db, { secondFactor: 'owners' });
    expect([await owesFactor(db, ida), await owesFactor(db, bo)]).toEqual([true, false]);
    await changeSettings(db, { secondFactor: 'everybody' });
    expect([await owesFactor(db, ida), await owesFactor(db, bo)]).toEqual([true, true]);
    await setUp();
    expect(await owesFactor(db, ida)).toBe(false);
  });

  it('says so of each session', async () => {
    const token = await openSession(db, ida.id, now);
    expect((await readSession(db, token, now))?.isOwing).toBe(false);
    await changeSettings(db, { secondFactor: 'owners' });
    expect((await readSession(db, token, now))?.isOwing).toBe(true);
  });
});

describe('the owner’s printed code', () => {
  const from = { address: '10.0.0.7' };
  const wish = (code: string, change: object = {}) => ({
    ...{ login: 'ida', code, password: 'seven grey herons at noon' },
    ...change,
  });

  it('opens once: a new password, no second factor, nobody signed in, and a new code', async () => {
    await setUp();
    const token = await openSession(db, ida.id, now);
    const { code } = await makeHouseCode(db, ida.id, actor);
    const back = await recoverOwner(db, wish(code), actor, from);
    expect(back).toMatchObject({ kind: 'saved' });
    expect(await readSession(db, token, now)).toBeUndefined();
    expect((await enter('', later(60))).kind).toBe('wrong');
    expect((await enter('', later(60), 'seven grey herons at noon')).kind).toBe('signed-in');
    expect(await recoverOwner(db, wish(code), actor, from)).toEqual({ kind: 'wrong' });
    const next = 'code' in back ? back.code : '';
    expect(next).not.toBe(code);
    expect(await recoverOwner(db, wish(next, { password: 'eight grey herons at noon' }), actor, from)).toMatchObject({
      kind: 'saved',
    });
  });

  it('is not used up by a password that will not do', async () => {
    const { code } = await makeHouseCode(db, ida.id, actor);
    expect(await recoverOwner(db, wish(code, { password: 'short' }), actor, from)).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'password' }],
    });
    expect((await recoverOwner(db, wish(code), actor, from)).kind).toBe('saved');
  });

  it('is guessed at as slowly as anything, and opens nothing for anybody else', async () => {
    const { code } = await makeHouseCode(db, ida.id, actor);
    const kinds = [];
    for (let i = 0; i < 5; i += 1) kinds.push((await recoverOwner(db, wish('AAAA-AAAA-AAAA-AAAA'), actor, from)).kind);
    expect(kinds.at(-1)).toBe('wait');
    const elsewhere = { address: '10.0.0.8' };
    expect(await recoverOwner(db, wish(code, { login: 'bo' }), actor, elsewhere)).toEqual({ kind: 'wrong' });
  });

  it('is another one each time: an older one on paper opens nothing', async () => {
    const { code } = await makeHouseCode(db, ida.id, actor);
    await makeHouseCode(db, ida.id, actor);
    expect(await recoverOwner(db, wish(code), actor, from)).toEqual({ kind: 'wrong' });
  });
});
