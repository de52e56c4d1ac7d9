import type { TherapistId } from '../../core/ids';
import type { Db } from '../db/connection';
import type { SessionRow } from '../db/schema';

export async function insertSession(
  db: Db,
  given: {
    readonly tokenHash: string;
    readonly staffId: TherapistId;
    readonly now: string;
    readonly expiresAt: string;
  },
): Promise<void> {
  await db
    .insertInto('session')
    .values({
      token_hash: given.tokenHash,
      staff_id: given.staffId,
      created_at: given.now,
      seen_at: given.now,
      expires_at: given.expiresAt,
      locked_at: null,
      handed_visit_id: null,
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
