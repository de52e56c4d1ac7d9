import type { ClientId } from '../../core/ids';
import { shippedProtocols } from '../../catalogue/swelling/protocols.data';
import type { ClientMeasuringInput, MeasuringInput, ProtocolInput } from '../../contracts/measures';
import { checkPositions, type TapeProtocol } from '../../core/swelling/protocol';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import {
  archiveProtocol,
  findClientMeasuring,
  insertProtocol,
  isProtocolInUse,
  listOwnProtocols,
  storeClientMeasuring,
  updateProtocol,
} from './measures.repository';
import { changeSettings, findMeasuring } from '../people/settings.repository';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { measuresAnswers } from './measures.answers';

type Saved = { readonly kind: 'saved' } | SaveRefusal;

/** What the house has decided about measuring. Volumes are worked out afresh, so whole series follow. */
export async function saveMeasuring(db: Db, input: MeasuringInput, actor: Actor): Promise<Saved> {
  const before = await findMeasuring(db);
  const changed = (Object.keys(input) as (keyof MeasuringInput)[]).filter(
    (key) => JSON.stringify(before[key]) !== JSON.stringify(input[key]),
  );
  await db.transaction().execute(async (trx) => {
    await changeSettings(trx, { measuring: input });
    await insertAudit(trx, {
      at: actor.now.toISOString(),
      by: actor.therapistId,
      action: 'measuring settings changed',
      subject: 'house',
      detail: changed.map((key) => `${key}: ${JSON.stringify(before[key])} → ${JSON.stringify(input[key])}`).join('; '),
    });
  });
  return { kind: 'saved' };
}

/** How a client is measured from now on. */
export async function saveClientMeasuring(
  db: Db,
  clientId: ClientId,
  input: ClientMeasuringInput,
  actor: Actor,
): Promise<Saved> {
  if (!(await findClient(db, clientId))) return { kind: 'not-found' };
  const before = await findClientMeasuring(db, clientId);
  await db.transaction().execute(async (trx) => {
    await storeClientMeasuring(trx, clientId, input);
    // What changes every number of a series leaves a trace; which side is looked at first does not.
    const changesNumbers = before.method !== input.method || before.hand !== input.hand;
    if (changesNumbers)
      await insertAudit(trx, {
        at: actor.now.toISOString(),
        by: actor.therapistId,
        action: 'measuring of a client changed',
        subject: `client ${clientId}`,
        detail: `method ${input.method ?? measuresAnswers.ofTheHouse}, stronger hand ${input.hand}`,
      });
  });
  return { kind: 'saved' };
}

type SavedProtocol = { readonly kind: 'saved'; readonly protocol: TapeProtocol } | SaveRefusal;

/** An own protocol; one that a taping was made by is not changed any more, so that a series never mixes points. */
export async function saveProtocol(
  db: Db,
  id: string | undefined,
  input: ProtocolInput,
  actor: Actor,
): Promise<SavedProtocol> {
  const checked = checkPositions(input.positionsCm);
  if (!checked.ok) return { kind: 'refused', errors: checked.errors };
  const isTaken = [...shippedProtocols, ...(await listOwnProtocols(db))].some(
    (one) => one.id !== id && one.limb === input.limb && one.name.toLowerCase() === input.name.toLowerCase(),
  );
  if (isTaken)
    return {
      kind: 'refused',
      errors: [{ path: 'name', message: measuresAnswers.thereIsAProtocolOfThat }],
    };
  if (id === undefined) {
    const made = await insertProtocol(db, input, actor.therapistId, actor.now.toISOString());
    return { kind: 'saved', protocol: { ...input, id: made } };
  }
  if (await isProtocolInUse(db, id))
    return {
      kind: 'refused',
      errors: [{ path: '', message: measuresAnswers.tapingsWereMadeByThisProtocol }],
    };
  return (await updateProtocol(db, id, input)) ? { kind: 'saved', protocol: { ...input, id } } : { kind: 'not-found' };
}

/** Takes an own protocol out of the choice; tapings that were made by it keep their points. */
export async function removeProtocol(db: Db, id: string, actor: Actor): Promise<Saved> {
  return (await archiveProtocol(db, id, actor.now.toISOString())) ? { kind: 'saved' } : { kind: 'not-found' };
}
