import type { ClientId } from '../../core/ids';
import type { ClientChangeInput, ClientInput } from '../../contracts/record';
import type { Db } from '../db/connection';
import { changeClient, contactOnly, findClient, insertClient, setArchived, toClientData } from './clients.repository';
import { listFindings } from '../screening/findings.repository';
import { isoDay } from '../shared/house-clock';
import { listVisitsOfClient } from '../visits/visits.repository';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { followClient } from '../messages/queue-messages';
import { clientsAnswers } from './clients.answers';

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
      readonly kind: 'overtaken';
      readonly version: number;
      readonly theirs: ClientInput;
      readonly by: number | null;
    }
  | SaveRefusal;

/** The same from the front desk: what belongs to the treatment stays as it is, and unseen. */
export async function correctContact(
  db: Db,
  clientId: ClientId,
  input: ClientChangeInput,
  actor: Actor,
): Promise<ClientChanged> {
  const before = await findClient(db, clientId);
  if (!before) return { kind: 'not-found' };
  const { medicines, likes, note, dueOn, heightCm } = toClientData(before);
  const kept = { ...input, medicines, likes, note, dueOn, heightCm };
  const result = await correctClient(db, clientId, kept, actor, true);
  if (result.kind === 'saved') return { ...result, data: contactOnly(result.data) };
  return result.kind === 'overtaken' ? { ...result, theirs: contactOnly(result.theirs) } : result;
}

/** Changes a client's own data; what was there before stays as a version with who and when. */
export async function correctClient(
  db: Db,
  clientId: ClientId,
  input: ClientChangeInput,
  actor: Actor,
  isDesk = false,
): Promise<ClientChanged> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx): Promise<ClientChanged> => {
    const before = await findClient(trx, clientId);
    if (!before) return { kind: 'not-found' };
    const { basedOn, ...data } = input;
    if (before.version !== basedOn)
      return { kind: 'overtaken', version: before.version, theirs: toClientData(before), by: before.changed_by };
    const early = await findingBefore(trx, clientId, data.bornOn);
    if (early)
      return {
        kind: 'refused',
        // The front desk does not learn when something was found.
        errors: [{ path: 'bornOn', message: bornTooLate(isDesk ? '' : early) }],
      };
    await changeClient(trx, before, data, actor.therapistId, now);
    await followClient(trx, clientId, actor.now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'client data changed',
      subject: `client ${clientId}`,
    });
    return { kind: 'saved', version: basedOn + 1, data };
  });
}

/** @param early when something happened to them; '' when that is not to be told */
export const bornTooLate = (early: string) =>
  early === ''
    ? clientsAnswers.somethingOnTheRecordHappenedBefore
    : clientsAnswers.somethingOnTheRecordHappenedIn(early);

/** The date of a finding or a visit that lies before a birthday, whole years compared with whole years. */
export async function findingBefore(db: Db, clientId: ClientId, bornOn: string | null): Promise<string | undefined> {
  if (bornOn === null) return undefined;
  const [findings, visits] = await Promise.all([listFindings(db, clientId), listVisitsOfClient(db, clientId)]);
  return [...findings.map(({ sinceOn }) => sinceOn), ...visits.map(({ starts_at }) => isoDay(starts_at))].find(
    (since): since is string => since !== null && since < bornOn.slice(0, since.length),
  );
}

/** Puts a client aside, or takes them back; everything stays. */
export async function archiveClient(
  db: Db,
  clientId: ClientId,
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
