import type { Seconds } from '../../core/quantities';
import type { TherapistId, VisitId } from '../../core/ids';
import type { AuditAction } from '../../contracts/audit';
import type { FieldError } from '../../core/result';
import { mostWrongPins, pinTrouble, waitAfterFailures } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import {
  findLogin,
  findPasswordHash,
  findPinHash,
  findStaff,
  setSignInFailures,
  updateTherapist,
} from '../people/people.repository';
import { changeSession, deleteSession, deleteSessionsOf, findSession } from '../people/sessions.repository';
import { insertAudit } from '../house/audit.repository';
import { findVisit } from '../visits/visits.repository';
import { hashSecret, isSecret } from './secrets';
import { openSession, type Session } from './sessions';

export type SignedIn =
  | { readonly kind: 'signed-in'; readonly token: string }
  | { readonly kind: 'wrong' }
  | { readonly kind: 'wait'; readonly seconds: Seconds };

/** Login and password against what is stored; after some failures each try has to wait longer, right or wrong. */
export async function signIn(db: Db, login: string, password: string, now: Date): Promise<SignedIn> {
  const row = await findLogin(db, login.trim().toLowerCase());
  if (row?.locked_until && row.locked_until > now.toISOString())
    return { kind: 'wait', seconds: Math.ceil((Date.parse(row.locked_until) - now.getTime()) / 1000) };
  const isRight = await isSecret(row?.password_hash ?? null, password);
  if (!row || row.left_at !== null) return { kind: 'wrong' };
  if (!isRight) {
    const failures = row.failed_sign_ins + 1;
    const seconds = waitAfterFailures(failures);
    await setSignInFailures(db, row.id, failures, seconds > 0 ? later(now, seconds) : null);
    await note(db, row.id, 'sign-in refused', now);
    return seconds > 0 ? { kind: 'wait', seconds } : { kind: 'wrong' };
  }
  await setSignInFailures(db, row.id, 0, null);
  await deleteSessionsOf(db, null, now.toISOString());
  await note(db, row.id, 'signed in', now);
  return { kind: 'signed-in', token: await openSession(db, row.id, now) };
}

/** Goes in as somebody without a password: the demo only. @returns undefined when there is no such person any more */
export async function signInAs(db: Db, staffId: TherapistId, now: Date): Promise<string | undefined> {
  const staff = await findStaff(db, staffId);
  if (!staff || staff.leftAt) return undefined;
  await note(db, staff.id, 'signed in by one click (demo)', now);
  return openSession(db, staff.id, now);
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
  await changeSession(db, session.tokenHash, { handed_visit_id: visitId, failed_pins: 0 });
  return true;
}

/** Sets one's own PIN; the password shows that it is oneself. In the demo house nobody has a password. */
export async function changePin(
  db: Db,
  staffId: TherapistId,
  { password, pin }: { readonly password: string; readonly pin: string },
  isDemo: boolean,
): Promise<readonly FieldError[]> {
  if (!isDemo && !(await isSecret(await findPasswordHash(db, staffId), password)))
    return [{ path: 'password', message: 'That is not your password.' }];
  const trouble = pinTrouble(pin);
  if (trouble) return [{ path: 'pin', message: trouble }];
  await updateTherapist(db, staffId, { pin_hash: await hashSecret(pin) });
  return [];
}

export type Unlocked =
  { readonly kind: 'open' } | { readonly kind: 'wrong'; readonly left: number } | { readonly kind: 'ended' };

/** Opens a locked or handed-over session with the PIN of its person; too many wrong ones end it. */
export async function unlock(db: Db, session: Session, pin: string): Promise<Unlocked> {
  const [pinHash, row] = await Promise.all([findPinHash(db, session.staff.id), findSession(db, session.tokenHash)]);
  if (await isSecret(pinHash, pin)) {
    await changeSession(db, session.tokenHash, { locked_at: null, handed_visit_id: null, failed_pins: 0 });
    return { kind: 'open' };
  }
  const failed = (row?.failed_pins ?? 0) + 1;
  if (failed >= mostWrongPins) {
    await deleteSession(db, session.tokenHash);
    return { kind: 'ended' };
  }
  await changeSession(db, session.tokenHash, { failed_pins: failed });
  return { kind: 'wrong', left: mostWrongPins - failed };
}

const later = (now: Date, seconds: Seconds) => new Date(now.getTime() + seconds * 1000).toISOString();

function note(db: Db, staffId: TherapistId, action: AuditAction, now: Date): Promise<void> {
  return insertAudit(db, { at: now.toISOString(), by: staffId, action, subject: `staff ${staffId}` });
}
