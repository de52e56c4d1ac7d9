import { randomBytes } from 'node:crypto';
import { addMinutes, parseISO } from 'date-fns';
import type { TherapistId, VisitId } from '../../core/ids';
import type { Db } from '../db/connection';
import type { SessionRow } from '../db/schema';
import { quietly } from '../log';
import { type StaffMember, findStaff } from '../people/people.repository';
import { changeSession, deleteSession, findSession, insertSession } from '../people/sessions.repository';
import { owesFactor } from './second-factor';
import { hashToken, makeToken } from './secrets';

export const sessionCookie = 'velvet-stone';
export const deviceCookie = 'velvet-stone-device';

export const longestHours = 12;
/** Untouched for so long a session locks; at the table, where hands are busy, it may rest longer. */
const idleMinutes = 30;
const idleAtTableMinutes = 180;
/** What cannot be taken back asks for the PIN again after this. */
const provedMinutes = 5;
/** Being seen is written down at most this often. */
const touchMs = 60_000;

export interface Session {
  readonly tokenHash: string;
  readonly staff: StaffMember;
  readonly isLocked: boolean;
  /** The tablet is with a client, who may only answer the questions of this visit. */
  readonly handedVisitId: VisitId | null;
  /** Its person has just shown by PIN that it is they. */
  readonly isProved: boolean;
  /** The house asks for a second factor that its person has not set up yet. */
  readonly isOwing: boolean;
}

/** @returns the token for the cookie; only its hash is stored */
export async function openSession(db: Db, staffId: TherapistId, now: Date, device = ''): Promise<string> {
  const { token, hash } = makeToken();
  await insertSession(db, {
    tokenHash: hash,
    staffId,
    now: now.toISOString(),
    expiresAt: addMinutes(now, 60 * longestHours).toISOString(),
    name: randomBytes(8).toString('hex'),
    device: device.slice(0, 80),
  });
  return token;
}

/**
 * The session of a cookie; undefined when it is unknown, has run out, or its person has left. Left alone for half an
 * hour it is locked, or ends where there is no PIN to open it with. Reading it never depends on a write: on a full disk
 * people still see their records.
 * @param isAtTable the request comes from the table view
 */
export async function readSession(
  db: Db,
  token: string | undefined,
  now: Date,
  isAtTable = false,
): Promise<Session | undefined> {
  if (!token) return undefined;
  const tokenHash = hashToken(token);
  const row = await findSession(db, tokenHash);
  if (!row) return undefined;
  const staff = await findStaff(db, row.staff_id);
  const isIdle = addMinutes(parseISO(row.seen_at), idleMinutesOf(row)) < now && row.handed_visit_id === null;
  const isOver = row.expires_at <= now.toISOString() || (isIdle && !row.locked_at && staff?.hasPin === false);
  if (isOver) await quietly('a session could not be ended', deleteSession(db, tokenHash));
  if (isOver || !staff || staff.leftAt !== null) return undefined;
  const isLocked = row.locked_at !== null || isIdle;
  await quietly('a session could not be touched', touch(db, row, { isLocked, isAtTable }, now));
  const provedAt = row.proved_at === null ? undefined : parseISO(row.proved_at);
  return {
    tokenHash,
    staff,
    isLocked,
    handedVisitId: row.handed_visit_id,
    isOwing: await owesFactor(db, staff),
    isProved: provedAt !== undefined && addMinutes(provedAt, provedMinutes) >= now && !isLocked,
  };
}

const idleMinutesOf = ({ at_table_at, seen_at }: SessionRow) =>
  at_table_at !== null && at_table_at >= seen_at ? idleAtTableMinutes : idleMinutes;

async function touch(
  db: Db,
  row: SessionRow,
  { isLocked, isAtTable }: { readonly isLocked: boolean; readonly isAtTable: boolean },
  now: Date,
): Promise<void> {
  const at = now.toISOString();
  if (isLocked) {
    if (row.locked_at === null) await changeSession(db, row.token_hash, { locked_at: at, proved_at: null });
    return;
  }
  const isNews = isAtTable !== (row.at_table_at === row.seen_at);
  if (!isNews && now.getTime() - Date.parse(row.seen_at) < touchMs) return;
  await changeSession(db, row.token_hash, { seen_at: at, ...(isAtTable ? { at_table_at: at } : {}) });
}
