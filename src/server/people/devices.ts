import type { DeviceView } from '../../contracts/sign-in';
import type { TherapistId } from '../../core/ids';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { dayAndTime } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { deleteSessionByName, listSessionsOf } from './sessions.repository';

/** On which devices somebody is signed in, the one used last first. */
export async function readDevices(
  db: Db,
  staffId: TherapistId,
  tokenHash: string | undefined,
): Promise<readonly DeviceView[]> {
  return (await listSessionsOf(db, staffId)).map(({ name, device, created_at, seen_at, token_hash }) => ({
    name,
    device: device || 'A browser',
    since: dayAndTime(created_at),
    seen: dayAndTime(seen_at),
    isThis: token_hash === tokenHash,
  }));
}

/** Ends one’s own session on another device, such as one that was lost. */
export async function signOutThere(
  db: Db,
  staffId: TherapistId,
  name: string,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  if (!(await deleteSessionByName(db, staffId, name))) return { kind: 'not-found' };
  const at = actor.now.toISOString();
  await insertAudit(db, { at, by: staffId, action: 'signed out elsewhere', subject: `staff ${staffId}` });
  return { kind: 'saved' };
}
