import type { TherapistId, VisitId } from '../../core/ids';
import type { Db } from '../db/connection';
import type { SessionRow } from '../db/schema';
import { type StaffMember, findStaff } from '../people/people.repository';
import { changeSession, deleteSession, findSession, insertSession } from '../people/sessions.repository';
import { hashToken, makeToken } from './secrets';

export const sessionCookie = 'velvet-stone';

const idleMs = 12 * 3_600_000;
const longestMs = 14 * 86_400_000;
/** Being seen is written down at most this often. */
const touchMs = 60_000;

export interface Session {
  readonly tokenHash: string;
  readonly staff: StaffMember;
  readonly isLocked: boolean;
  /** The tablet is with a client, who may only answer the questions of this visit. */
  readonly handedVisitId: VisitId | null;
}

/** @returns the token for the cookie; only its hash is stored */
export async function openSession(db: Db, staffId: TherapistId, now: Date): Promise<string> {
  const { token, hash } = makeToken();
  await insertSession(db, {
    tokenHash: hash,
    staffId,
    now: now.toISOString(),
    expiresAt: new Date(now.getTime() + idleMs).toISOString(),
  });
  return token;
}

/** The session of a cookie, its life prolonged; undefined when it is unknown, has run out, or its person has left. */
export async function readSession(db: Db, token: string | undefined, now: Date): Promise<Session | undefined> {
  if (!token) return undefined;
  const tokenHash = hashToken(token);
  const row = await findSession(db, tokenHash);
  if (!row) return undefined;
  if (row.expires_at <= now.toISOString()) {
    await deleteSession(db, tokenHash);
    return undefined;
  }
  const staff = await findStaff(db, row.staff_id);
  if (!staff || staff.leftAt !== null) return undefined;
  await prolong(db, row, now);
  return { tokenHash, staff, isLocked: row.locked_at !== null, handedVisitId: row.handed_visit_id };
}

async function prolong(db: Db, row: SessionRow, now: Date): Promise<void> {
  if (now.getTime() - Date.parse(row.seen_at) < touchMs) return;
  const latest = Date.parse(row.created_at) + longestMs;
  const expires = new Date(Math.min(now.getTime() + idleMs, latest)).toISOString();
  await changeSession(db, row.token_hash, { seen_at: now.toISOString(), expires_at: expires });
}
