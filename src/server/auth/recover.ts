import type { RecoverInput } from '../../contracts/sign-in';
import { guardsOf, passwordTrouble } from '../../core/sign-in/lockout';
import type { Seconds } from '../../core/quantities';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { findLogin, updateTherapist } from '../people/people.repository';
import { deleteSessionsOf } from '../people/sessions.repository';
import { deleteDevicesOf } from '../people/tries.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { countTry, forgive, waitAfter } from './guard';
import { oftenTriedTrouble } from './often-tried';
import { makeHouseCode, takeHouseCode } from './second-factor';
import { deleteFactor } from './second-factor.repository';
import { hashSecret } from './secrets';
import type { Origin } from './sign-in';

export type Recovered =
  | { readonly kind: 'saved'; readonly code: string }
  | { readonly kind: 'wrong' }
  | { readonly kind: 'wait'; readonly seconds: Seconds }
  | SaveRefusal;

/**
 * The owner has lost password or second factor, and has the printed code: a new password, no second factor, everybody
 * who had come in as the owner is out, and a new code to print. Tries are counted as at the door.
 */
export async function recoverOwner(db: Db, input: RecoverInput, actor: Actor, from: Origin): Promise<Recovered> {
  const name = input.login.trim().toLowerCase();
  // A password that will not do is said before the code is used up.
  const trouble = passwordTrouble(input.password, name) ?? oftenTriedTrouble(input.password, [name]);
  if (trouble) return { kind: 'refused', errors: [{ path: 'password', message: trouble }] };
  const guards = guardsOf(name, from.address, undefined);
  const wait = await countTry(db, guards, actor.now);
  if (wait > 0) return { kind: 'wait', seconds: wait };
  const row = await findLogin(db, name);
  const isOwner = row !== undefined && row.role === 'owner' && row.left_at === null;
  const at = actor.now.toISOString();
  // Made whether it is needed or not: how long an answer takes tells nothing.
  const passwordHash = await hashSecret(input.password);
  const recovered = await db.transaction().execute(async (trx) => {
    // The code is used up together with what it does, or not at all.
    if (!isOwner || !(await takeHouseCode(trx, row.id, input.code, actor.now))) return undefined;
    await updateTherapist(trx, row.id, { password_hash: passwordHash });
    await deleteFactor(trx, row.id);
    await deleteSessionsOf(trx, row.id, at);
    await deleteDevicesOf(trx, row.id);
    await insertAudit(trx, { at, by: row.id, action: 'owner came back by code', subject: `staff ${row.id}` });
    return { kind: 'saved', code: (await makeHouseCode(trx, row.id, actor)).code } as const;
  });
  if (recovered) {
    await forgive(db, guards, actor.now);
    return recovered;
  }
  const seconds = await waitAfter(db, guards, actor.now);
  return seconds > 0 ? { kind: 'wait', seconds } : { kind: 'wrong' };
}
