import type { TherapistId } from '../../core/ids';
import type { Db } from '../db/connection';

/** What shows that somebody is who they are beside their password, and codes that open once. */

export const findFactor = (db: Db, staffId: TherapistId) =>
  db.selectFrom('second_factor').selectAll().where('staff_id', '=', staffId).executeTakeFirst();

export const listFactorOwners = async (db: Db): Promise<readonly TherapistId[]> =>
  (await db.selectFrom('second_factor').select('staff_id').where('confirmed_at', 'is not', null).execute()).map(
    ({ staff_id }) => staff_id,
  );

export async function putFactor(db: Db, staffId: TherapistId, secret: string): Promise<void> {
  const fresh = { secret, confirmed_at: null, last_step: 0 };
  await db
    .insertInto('second_factor')
    .values({ staff_id: staffId, ...fresh })
    .onConflict((conflict) => conflict.column('staff_id').doUpdateSet(fresh))
    .execute();
}

export async function confirmFactor(db: Db, staffId: TherapistId, at: string): Promise<void> {
  await db.updateTable('second_factor').set({ confirmed_at: at }).where('staff_id', '=', staffId).execute();
}

export async function deleteFactor(db: Db, staffId: TherapistId): Promise<void> {
  await db.deleteFrom('second_factor').where('staff_id', '=', staffId).execute();
  await deleteCodes(db, staffId, 'factor');
}

/** Uses up the code of a step of time. @returns false where it, or a newer one, was used before */
export async function takeStep(db: Db, staffId: TherapistId, step: number): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('second_factor')
    .set({ last_step: step })
    .where('staff_id', '=', staffId)
    .where('last_step', '<', step)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

type Kind = 'factor' | 'house';

export async function putCodes(
  db: Db,
  staffId: TherapistId,
  kind: Kind,
  hashes: readonly string[],
  at: string,
): Promise<void> {
  await deleteCodes(db, staffId, kind);
  await db
    .insertInto('recovery_code')
    .values(hashes.map((code_hash) => ({ code_hash, staff_id: staffId, kind, made_at: at, used_at: null })))
    .execute();
}

async function deleteCodes(db: Db, staffId: TherapistId, kind: Kind): Promise<void> {
  await db.deleteFrom('recovery_code').where('staff_id', '=', staffId).where('kind', '=', kind).execute();
}

/** Uses up a code. @returns false where there is no such code, or it was used before */
export async function takeCode(
  db: Db,
  staffId: TherapistId,
  kind: Kind,
  codeHash: string,
  at: string,
): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('recovery_code')
    .set({ used_at: at })
    .where('code_hash', '=', codeHash)
    .where('staff_id', '=', staffId)
    .where('kind', '=', kind)
    .where('used_at', 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export async function countCodes(db: Db, staffId: TherapistId, kind: Kind): Promise<number> {
  const { left } = await db
    .selectFrom('recovery_code')
    .select(({ fn }) => fn.countAll<number>().as('left'))
    .where('staff_id', '=', staffId)
    .where('kind', '=', kind)
    .where('used_at', 'is', null)
    .executeTakeFirstOrThrow();
  return left;
}
