import { addSeconds, parseISO } from 'date-fns';
import type { Seconds } from '../../core/quantities';
import { forgottenSeconds, type Guard, waitAfterFailures } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import { deleteTries, deleteTriesBefore, findTries, putTry } from '../people/tries.repository';

/** How long to wait before the next try, by the guards that stand before it; 0 when it may be made. */
export type Wait = Seconds;

/**
 * Counts a try as failed before it is looked at, in one transaction, so that tries which come together are counted one
 * by one. A right one takes it back (`forgive`).
 * @returns the wait that is still on, in which case nothing was counted
 */
export function countTry(db: Db, guards: readonly Guard[], now: Date): Promise<Wait> {
  return db.transaction().execute(async (trx) => {
    const keys = guards.map(({ key }) => key);
    const known = new Map((await findTries(trx, keys)).map((row) => [row.key, row]));
    const waits = [...known.values()].map(({ next_at }) => (parseISO(next_at).getTime() - now.getTime()) / 1000);
    const wait = Math.ceil(Math.max(0, ...waits));
    if (wait > 0) return wait;
    await deleteTriesBefore(trx, addSeconds(now, -forgottenSeconds).toISOString());
    for (const { key, freeTries } of guards) {
      const row = known.get(key);
      const isOld = !row || parseISO(row.at) < addSeconds(now, -forgottenSeconds);
      const failures = (isOld ? 0 : row.failures) + 1;
      const next = addSeconds(now, waitAfterFailures(failures, freeTries));
      await putTry(trx, { key, failures, next_at: next.toISOString(), at: now.toISOString() });
    }
    return 0;
  });
}

/** How long to wait after a try that was counted and has failed. */
export async function waitAfter(db: Db, guards: readonly Guard[], now: Date): Promise<Wait> {
  const rows = await findTries(
    db,
    guards.map(({ key }) => key),
  );
  const waits = rows.map(({ next_at }) => (parseISO(next_at).getTime() - now.getTime()) / 1000);
  return Math.ceil(Math.max(0, ...waits));
}

/** The try was right after all: its failures are forgotten; an address gets back the one that it was counted. */
export function forgive(db: Db, guards: readonly Guard[], now: Date): Promise<void> {
  return db.transaction().execute(async (trx) => {
    await deleteTries(
      trx,
      guards.filter(({ isForgiven }) => isForgiven).map(({ key }) => key),
    );
    const others = guards.filter(({ isForgiven }) => !isForgiven).map(({ key }) => key);
    if (others.length === 0) return;
    for (const row of await findTries(trx, others))
      await putTry(trx, { ...row, failures: row.failures - 1, next_at: now.toISOString() });
  });
}
