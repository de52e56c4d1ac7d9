import { randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import { renderSVG } from 'uqr';
import type { FactorSetUp, FactorView, RecoveryCodes } from '../../contracts/sign-in';
import type { TherapistId } from '../../core/ids';
import type { FieldError } from '../../core/result';
import { codeBytes, codeOf, isTimeCode, normalCode } from '../../core/sign-in/recovery-code';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { findHouse, findStaff, type StaffMember } from '../people/people.repository';
import { findSettings } from '../people/settings.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { hashToken } from './secrets';
import {
  confirmFactor,
  countCodes,
  deleteFactor,
  findFactor,
  putCodes,
  putFactor,
  takeCode,
  takeStep,
} from './second-factor.repository';
import { authAnswers } from './auth.answers';

const secretBytes = 20;
const stepMs = 30_000;
/** A clock may be off by one step, either way. */
const window = 1;
const codesAtOnce = 10;

const factorOf = (secret: string, label = '', issuer = 'Velvet Stone') =>
  new TOTP({ issuer, label, secret: Secret.fromBase32(secret), digits: 6, period: stepMs / 1000 });

/** Codes to be written down, and what is stored of them: each has 74 bits of chance, which nobody guesses from a hash. */
function makeCodes(count: number): { readonly codes: readonly string[]; readonly hashes: readonly string[] } {
  const codes = Array.from({ length: count }, () => codeOf(randomBytes(codeBytes)));
  return { codes, hashes: codes.map((code) => hashToken(normalCode(code))) };
}

export async function hasFactor(db: Db, staffId: TherapistId): Promise<boolean> {
  const factor = await findFactor(db, staffId);
  return factor !== undefined && factor.confirmed_at !== null;
}

/** Whether the house asks somebody for a second factor that they do not have yet. */
export async function owesFactor(db: Db, { id, role }: Pick<StaffMember, 'id' | 'role'>): Promise<boolean> {
  const { secondFactor = 'nobody' } = await findSettings(db);
  const isAsked = secondFactor === 'everybody' || (secondFactor === 'owners' && role === 'owner');
  return isAsked && !(await hasFactor(db, id));
}

export async function readFactor(db: Db, staff: StaffMember): Promise<FactorView> {
  return {
    isOn: await hasFactor(db, staff.id),
    isOwed: await owesFactor(db, staff),
    codesLeft: await countCodes(db, staff.id, 'factor'),
  };
}

/** A new secret, which counts once a code of it was typed. One that is on stays on until then. */
export async function beginFactor(db: Db, { id, login, name }: StaffMember): Promise<FactorSetUp | SaveRefusal> {
  if (await hasFactor(db, id)) return refuse(authAnswers.aSecondFactorIsSetUp);
  const secret = new Secret({ size: secretBytes }).base32;
  await putFactor(db, id, secret);
  const uri = factorOf(secret, login ?? name, (await findHouse(db))?.name).toString();
  return { secret: secret.replace(/(.{4})(?=.)/g, '$1 '), uri, qrSvg: renderSVG(uri, { border: 2 }) };
}

/** From now on signing in asks for it. @returns codes for when the device is lost, shown this once */
export async function finishFactor(
  db: Db,
  staffId: TherapistId,
  typed: string,
  actor: Actor,
): Promise<RecoveryCodes | SaveRefusal> {
  const factor = await findFactor(db, staffId);
  if (!factor) return refuse(authAnswers.beginAnewThereIsNoSecond);
  if (factor.confirmed_at !== null) return refuse(authAnswers.aSecondFactorIsSetUp2);
  if (!(await isTimeCodeRight(db, staffId, factor.secret, typed, actor.now)))
    return refuse(authAnswers.thatIsNotTheCodeThat);
  return db.transaction().execute(async (trx) => {
    await confirmFactor(trx, staffId, actor.now.toISOString());
    await note(trx, staffId, 'second factor set up', actor);
    return { codes: await giveCodes(trx, staffId, actor.now) };
  });
}

/** New codes; the old ones open nothing any more. */
export async function renewCodes(db: Db, staffId: TherapistId, actor: Actor): Promise<RecoveryCodes | SaveRefusal> {
  if (!(await hasFactor(db, staffId))) return refuse(authAnswers.setUpASecondFactorFirst);
  return { codes: await giveCodes(db, staffId, actor.now) };
}

async function giveCodes(db: Db, staffId: TherapistId, now: Date): Promise<readonly string[]> {
  const { codes, hashes } = makeCodes(codesAtOnce);
  await putCodes(db, staffId, 'factor', hashes, now.toISOString());
  return codes;
}

/** One’s own, or a colleague’s who has lost theirs. */
export async function removeFactor(
  db: Db,
  staffId: TherapistId,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  if (!(await findStaff(db, staffId))) return { kind: 'not-found' };
  await db.transaction().execute(async (trx) => {
    await deleteFactor(trx, staffId);
    await note(trx, staffId, 'second factor removed', actor);
  });
  return { kind: 'saved' };
}

/**
 * Whether what was typed shows that somebody has what they should have. A right code is used up: it opens once.
 * @returns `missing` where nothing was typed though it is asked for
 */
export async function checkFactor(
  db: Db,
  staffId: TherapistId,
  typed: string,
  now: Date,
): Promise<'not-asked' | 'right' | 'missing' | 'wrong'> {
  const factor = await findFactor(db, staffId);
  if (!factor || factor.confirmed_at === null) return 'not-asked';
  if (typed.trim() === '') return 'missing';
  const isRight = isTimeCode(typed)
    ? await isTimeCodeRight(db, staffId, factor.secret, typed, now)
    : await takeCode(db, staffId, 'factor', hashToken(normalCode(typed)), now.toISOString());
  return isRight ? 'right' : 'wrong';
}

async function isTimeCodeRight(
  db: Db,
  staffId: TherapistId,
  secret: string,
  typed: string,
  now: Date,
): Promise<boolean> {
  const delta = factorOf(secret).validate({ token: typed.replace(/\s/g, ''), window, timestamp: now.getTime() });
  if (delta === null) return false;
  return takeStep(db, staffId, Math.floor(now.getTime() / stepMs) + delta);
}

/** The owner’s own way back in, on paper: one code, which opens once. An older one opens nothing any more. */
export async function makeHouseCode(db: Db, ownerId: TherapistId, actor: Actor): Promise<{ readonly code: string }> {
  const { codes, hashes } = makeCodes(1);
  await putCodes(db, ownerId, 'house', hashes, actor.now.toISOString());
  await note(db, ownerId, 'recovery code made', actor);
  return { code: codes[0] ?? '' };
}

/** Uses up the owner’s code. */
export const takeHouseCode = (db: Db, ownerId: TherapistId, typed: string, now: Date): Promise<boolean> =>
  takeCode(db, ownerId, 'house', hashToken(normalCode(typed)), now.toISOString());

const refuse = (message: string): SaveRefusal => ({
  kind: 'refused',
  errors: [{ path: 'code', message } satisfies FieldError],
});

const note = (
  db: Db,
  staffId: TherapistId,
  action: 'second factor set up' | 'second factor removed' | 'recovery code made',
  actor: Actor,
): Promise<void> =>
  insertAudit(db, { at: actor.now.toISOString(), by: actor.therapistId, action, subject: `staff ${staffId}` });
