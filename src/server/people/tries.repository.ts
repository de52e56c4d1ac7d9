import type { TherapistId } from '../../core/ids';
import type { Db } from '../db/connection';

/** Tries that failed, and devices that are known: what stands between guessing and the house. */

export const findTries = (db: Db, keys: readonly string[]) =>
  db.selectFrom('sign_in_try').selectAll().where('key', 'in', keys).execute();

export async function putTry(
  db: Db,
  row: { readonly key: string; readonly failures: number; readonly next_at: string; readonly at: string },
): Promise<void> {
  const { key: _, ...change } = row;
  await db
    .insertInto('sign_in_try')
    .values(row)
    .onConflict((conflict) => conflict.column('key').doUpdateSet(change))
    .execute();
}

export async function deleteTries(db: Db, keys: readonly string[]): Promise<void> {
  if (keys.length > 0) await db.deleteFrom('sign_in_try').where('key', 'in', keys).execute();
}

/** What is so old that it counts no longer. */
export async function deleteTriesBefore(db: Db, at: string): Promise<void> {
  await db.deleteFrom('sign_in_try').where('at', '<', at).execute();
}

export const findDevice = (db: Db, tokenHash: string) =>
  db.selectFrom('known_device').selectAll().where('token_hash', '=', tokenHash).executeTakeFirst();

export async function putDevice(db: Db, tokenHash: string, staffId: TherapistId, now: string): Promise<void> {
  await db
    .insertInto('known_device')
    .values({ token_hash: tokenHash, staff_id: staffId, created_at: now, seen_at: now })
    .onConflict((conflict) => conflict.column('token_hash').doUpdateSet({ seen_at: now, staff_id: staffId }))
    .execute();
}

/** After leaving, or with another password, no device is known any more. */
export async function deleteDevicesOf(db: Db, staffId: TherapistId): Promise<void> {
  await db.deleteFrom('known_device').where('staff_id', '=', staffId).execute();
}
