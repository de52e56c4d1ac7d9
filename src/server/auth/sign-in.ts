import type { Seconds } from '../../core/quantities';
import type { TherapistId, VisitId } from '../../core/ids';
import type { AuditAction } from '../../contracts/audit';
import type { FieldError } from '../../core/result';
import { guardsOf, mostWrongPins, pinTrouble } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import { findLogin, findPasswordHash, findPinHash, findStaff, updateTherapist } from '../people/people.repository';
import { changeSession, countPin, deleteSession, deleteSessionsOf } from '../people/sessions.repository';
import { findDevice, putDevice } from '../people/tries.repository';
import { insertAudit } from '../house/audit.repository';
import { findVisit } from '../visits/visits.repository';
import { countTry, forgive, waitAfter } from './guard';
import { checkFactor } from './second-factor';
import { hashSecret, hashToken, isSecret, makeToken } from './secrets';
import { openSession, type Session } from './sessions';
import { authAnswers } from './auth.answers';

export type SignedIn =
  | { readonly kind: 'signed-in'; readonly token: string; readonly deviceToken: string }
  | { readonly kind: 'wrong' }
  /** The second factor is asked for, and was not typed, or wrong. */
  | { readonly kind: 'code'; readonly isWrong: boolean }
  | { readonly kind: 'wait'; readonly seconds: Seconds };

/** From where a try comes. */
export interface Origin {
  readonly address: string;
  /** What its browser calls itself, to be told apart in a list. */
  readonly device?: string;
  /** The token of a device on which somebody has signed in before. */
  readonly deviceToken?: string | undefined;
}

const unknownOrigin: Origin = { address: '' };

/** Login and password against what is stored; after some failures each try has to wait longer, right or wrong. */
export async function signIn(
  db: Db,
  login: string,
  password: string,
  now: Date,
  from: Origin = unknownOrigin,
  code = '',
): Promise<SignedIn> {
  const name = login.trim().toLowerCase();
  const row = await findLogin(db, name);
  const device = from.deviceToken ? await findDevice(db, hashToken(from.deviceToken)) : undefined;
  const isKnown = device !== undefined && device.staff_id === row?.id;
  const guards = guardsOf(name, from.address, isKnown ? device.token_hash : undefined);
  const wait = await countTry(db, guards, now);
  if (wait > 0) return { kind: 'wait', seconds: wait };
  const isRight = await isSecret(row?.password_hash ?? null, password);
  if (!row || row.left_at !== null || !isRight) {
    if (row) await note(db, row.id, 'sign-in refused', now);
    const seconds = await waitAfter(db, guards, now);
    return seconds > 0 ? { kind: 'wait', seconds } : { kind: 'wrong' };
  }
  const factor = await checkFactor(db, row.id, code, now);
  if (factor === 'missing' || factor === 'wrong') {
    if (factor === 'wrong') await note(db, row.id, 'sign-in refused', now);
    const seconds = await waitAfter(db, guards, now);
    return seconds > 0 ? { kind: 'wait', seconds } : { kind: 'code', isWrong: factor === 'wrong' };
  }
  await forgive(db, guards, now);
  await deleteSessionsOf(db, null, now.toISOString());
  const deviceToken = isKnown && from.deviceToken ? from.deviceToken : makeToken().token;
  await putDevice(db, hashToken(deviceToken), row.id, now.toISOString());
  await note(db, row.id, 'signed in', now);
  return { kind: 'signed-in', token: await openSession(db, row.id, now, from.device), deviceToken };
}

/** Goes in as somebody without a password: the demo only. @returns undefined when there is no such person any more */
export async function signInAs(db: Db, staffId: TherapistId, now: Date, device?: string): Promise<string | undefined> {
  const staff = await findStaff(db, staffId);
  if (!staff || staff.leftAt) return undefined;
  await note(db, staff.id, 'signed in by one click (demo)', now);
  return openSession(db, staff.id, now, device);
}

export async function signOut(db: Db, session: Session, now: Date): Promise<void> {
  await deleteSession(db, session.tokenHash);
  await note(db, session.staff.id, 'signed out', now);
}

/** Covers the screen until the PIN. */
export const lockSession = (db: Db, session: Session, now: Date): Promise<void> =>
  changeSession(db, session.tokenHash, { locked_at: now.toISOString(), failed_pins: 0 });

/** From here until the PIN a session may do nothing but answer the questions of one visit. @returns false without one */
export async function handTablet(db: Db, session: Session, visitId: VisitId): Promise<boolean> {
  if (!(await findVisit(db, visitId))) return false;
  await changeSession(db, session.tokenHash, { handed_visit_id: visitId, failed_pins: 0, proved_at: null });
  return true;
}

/**
 * Sets one's own PIN; the password shows that it is oneself, and guessing at it is counted as at the door. In the demo
 * house nobody has a password.
 */
export async function changePin(
  db: Db,
  staffId: TherapistId,
  { password, pin }: { readonly password: string; readonly pin: string },
  isDemo: boolean,
  now: Date,
): Promise<readonly FieldError[]> {
  const guards = [{ key: authAnswers.passwordOf(staffId), freeTries: 5, isForgiven: true }];
  if (!isDemo) {
    const wait = await countTry(db, guards, now);
    if (wait > 0) return [{ path: 'password', message: authAnswers.tooManyWrongTriesWaitSeconds(wait) }];
    if (!(await isSecret(await findPasswordHash(db, staffId), password))) {
      await note(db, staffId, 'wrong password', now);
      return [{ path: 'password', message: authAnswers.thatIsNotYourPassword }];
    }
    await forgive(db, guards, now);
  }
  const trouble = pinTrouble(pin);
  if (trouble) return [{ path: 'pin', message: trouble }];
  await updateTherapist(db, staffId, { pin_hash: await hashSecret(pin) });
  return [];
}

export type Unlocked =
  { readonly kind: 'open' } | { readonly kind: 'wrong'; readonly left: number } | { readonly kind: 'ended' };

/** Opens a locked or handed-over session with the PIN of its person; too many wrong ones end it. */
export async function unlock(db: Db, session: Session, pin: string, now: Date): Promise<Unlocked> {
  const tried = await tryPin(db, session, pin, now);
  if (tried.kind === 'open')
    await changeSession(db, session.tokenHash, {
      ...{ locked_at: null, handed_visit_id: null, seen_at: now.toISOString() },
    });
  return tried;
}

/** Shows by PIN that it is still oneself, for what cannot be taken back. */
export async function prove(db: Db, session: Session, pin: string, now: Date): Promise<Unlocked> {
  const tried = await tryPin(db, session, pin, now);
  if (tried.kind === 'open') await changeSession(db, session.tokenHash, { proved_at: now.toISOString() });
  return tried;
}

async function tryPin(db: Db, session: Session, pin: string, now: Date): Promise<Unlocked> {
  const failed = await countPin(db, session.tokenHash, mostWrongPins);
  if (failed === undefined) return { kind: 'ended' };
  if (await isSecret(await findPinHash(db, session.staff.id), pin)) {
    await changeSession(db, session.tokenHash, { failed_pins: 0 });
    return { kind: 'open' };
  }
  await note(db, session.staff.id, 'wrong PIN', now);
  if (failed < mostWrongPins) return { kind: 'wrong', left: mostWrongPins - failed };
  await deleteSession(db, session.tokenHash);
  return { kind: 'ended' };
}

function note(db: Db, staffId: TherapistId, action: AuditAction, now: Date): Promise<void> {
  return insertAudit(db, { at: now.toISOString(), by: staffId, action, subject: `staff ${staffId}` });
}
