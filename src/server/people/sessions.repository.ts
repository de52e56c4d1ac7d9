import type { TherapistId } from '../../core/ids';
import type { Db } from '../db/connection';
import type { SessionRow } from '../db/schema';

export async function insertSession(
  db: Db,
  input: {
    readonly tokenHash: string;
    readonly staffId: TherapistId;
    readonly now: string;
    readonly expiresAt: string;
    readonly name: string;
    readonly device: string;
  },
): Promise<void> {
  await db
    .insertInto('session')
    .values({
      token_hash: input.tokenHash,
      staff_id: input.staffId,
      created_at: input.now,
      seen_at: input.now,
      expires_at: input.expiresAt,
      locked_at: null,
      handed_visit_id: null,
      name: input.name,
      device: input.device,
    })
    .execute();
}

export async function findSession(db: Db, tokenHash: string): Promise<SessionRow | undefined> {
  return db.selectFrom('session').selectAll().where('token_hash', '=', tokenHash).executeTakeFirst();
}

export async function changeSession(
  db: Db,
  tokenHash: string,
  change: Partial<Omit<SessionRow, 'token_hash' | 'staff_id' | 'created_at'>>,
): Promise<void> {
  await db.updateTable('session').set(change).where('token_hash', '=', tokenHash).execute();
}

export async function deleteSession(db: Db, tokenHash: string): Promise<void> {
  await db.deleteFrom('session').where('token_hash', '=', tokenHash).execute();
}

/** Signs somebody out everywhere, and clears away what has run out. */
export async function deleteSessionsOf(db: Db, staffId: TherapistId | null, now: string): Promise<void> {
  await db
    .deleteFrom('session')
    .where((eb) => eb.or([eb('staff_id', '=', staffId ?? -1), eb('expires_at', '<', now)]))
    .execute();
}

/** One more wrong PIN, unless there were too many already: counted before it is looked at. @returns how many, then */
export async function countPin(db: Db, tokenHash: string, most: number): Promise<number | undefined> {
  const row = await db
    .updateTable('session')
    .set(({ eb }) => ({ failed_pins: eb('failed_pins', '+', 1) }))
    .where('token_hash', '=', tokenHash)
    .where('failed_pins', '<', most)
    .returning('failed_pins')
    .executeTakeFirst();
  return row?.failed_pins;
}

/** Sessions of somebody, the one that was used last first. */
export const listSessionsOf = (db: Db, staffId: TherapistId) =>
  db
    .selectFrom('session')
    .select(['name', 'device', 'created_at', 'seen_at', 'token_hash'])
    .where('staff_id', '=', staffId)
    .orderBy('seen_at', 'desc')
    .execute();

/** @returns whether there was such a session of theirs */
export async function deleteSessionByName(db: Db, staffId: TherapistId, name: string): Promise<boolean> {
  const { numDeletedRows } = await db
    .deleteFrom('session')
    .where('staff_id', '=', staffId)
    .where('name', '=', name)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** Ends the other sessions of somebody. */
export async function deleteOtherSessions(db: Db, staffId: TherapistId, tokenHash: string | null): Promise<void> {
  await db
    .deleteFrom('session')
    .where('staff_id', '=', staffId)
    .where('token_hash', '!=', tokenHash ?? '')
    .execute();
}

/** Everybody signs in again. */
export async function deleteAllSessions(db: Db): Promise<void> {
  await db.deleteFrom('session').execute();
}
