import type { ClientChangeInput, ClientInput } from '../../contracts/record';
import type { Db } from '../db/connection';
import { changeClient, findClient, insertClient, setArchived, toClientData } from '../repositories/clients';
import { insertAudit } from '../repositories/visits';
import type { Actor, SaveRefusal } from './saving';

export async function addClient(
  db: Db,
  input: Pick<ClientInput, 'name'> & Partial<ClientInput>,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number }> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const id = await insertClient(trx, input, now);
    await insertAudit(trx, { at: now, by: actor.therapistId, action: 'client added', subject: `client ${id}` });
    return { kind: 'saved', id };
  });
}

export type ClientChanged =
  | { readonly kind: 'saved'; readonly version: number; readonly data: ClientInput }
  /** Somebody else was quicker: theirs is shown beside ours, and the person decides. */
  | {
      readonly kind: 'edited-elsewhere';
      readonly version: number;
      readonly theirs: ClientInput;
      readonly by: number | null;
    }
  | { readonly kind: 'not-found' };

/** Changes a client's own data; what was there before stays as a version with who and when. */
export async function correctClient(
  db: Db,
  clientId: number,
  input: ClientChangeInput,
  actor: Actor,
): Promise<ClientChanged> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx): Promise<ClientChanged> => {
    const before = await findClient(trx, clientId);
    if (!before) return { kind: 'not-found' };
    const { basedOn, ...data } = input;
    if (before.version !== basedOn)
      return { kind: 'edited-elsewhere', version: before.version, theirs: toClientData(before), by: before.changed_by };
    await changeClient(trx, before, data, actor.therapistId, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'client data changed',
      subject: `client ${clientId}`,
    });
    return { kind: 'saved', version: basedOn + 1, data };
  });
}

/** Puts a client aside, or takes them back; everything stays. */
export async function archiveClient(
  db: Db,
  clientId: number,
  isArchived: boolean,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await findClient(trx, clientId))) return { kind: 'not-found' } as const;
    await setArchived(trx, clientId, isArchived ? now : null);
    const action = isArchived ? 'client archived' : 'client taken back from the archive';
    await insertAudit(trx, { at: now, by: actor.therapistId, action, subject: `client ${clientId}` });
    return { kind: 'saved' } as const;
  });
}
