import type { ClientId } from '../../core/ids';
import { type Db, emptyLog } from '../db/connection';
import { findClient } from './clients.repository';
import { insertAudit } from '../house/audit.repository';
import { eraseRows, rowsOfClient } from './whole-client.repository';
import { forgetClient } from '../shared/erased';
import type { Actor, SaveRefusal } from '../shared/saving';
import { clientsAnswers } from './clients.answers';

/** Everything on record of one client as one JSON document, for the client to take along. */
export async function exportClient(
  db: Db,
  clientId: ClientId,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly document: object } | SaveRefusal> {
  if (!(await findClient(db, clientId))) return { kind: 'not-found' };
  const now = actor.now.toISOString();
  const record = await rowsOfClient(db, clientId);
  await insertAudit(db, {
    at: now,
    by: actor.therapistId,
    action: 'client data handed out',
    subject: `client ${clientId}`,
  });
  return { kind: 'saved', document: { format: 'velvet-stone/client', version: 1, madeAt: now, record } };
}

/** Erases a client for good. Refused unless the name was typed as it stands on the record. */
export async function eraseClient(
  db: Db,
  clientId: ClientId,
  typedName: string,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const client = await findClient(db, clientId);
  if (!client) return { kind: 'not-found' };
  if (typedName.trim() !== client.name)
    return { kind: 'refused', errors: [{ path: 'name', message: clientsAnswers.typeTheNameAsItStands }] };
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    await eraseRows(trx, clientId);
    await insertAudit(trx, { at: now, by: actor.therapistId, action: 'client erased', subject: `client ${clientId}` });
  });
  forgetClient(db, clientId);
  // The log beside the data file still holds what was written last; it is emptied as well.
  await emptyLog(db);
  return { kind: 'saved' };
}
