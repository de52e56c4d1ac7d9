import type { VisitId } from '../../core/ids';
import { anatomy } from '../../catalogue/anatomy';
import { type ObservationInput, placedKinds } from '../../contracts/measures';
import type { FlagView, ObservationView } from '../../contracts/measure-views';
import type { Db } from '../db/connection';
import { endObservation, findObservation, insertObservation, toObservation } from './measures.repository';
import { raiseFlags } from '../screening/raise-flags';
import { readVisitFrame } from '../visits/read-visit';
import { takenAt } from './save-taping';
import type { Actor, SaveRefusal } from '../shared/saving';
import { measuresAnswers } from './measures.answers';

/** Stores what was felt, seen or said; a correction takes the place of the old one, which stays in the history. */
export async function saveObservation(
  db: Db,
  visitId: VisitId,
  input: ObservationInput,
  actor: Actor,
): Promise<
  { readonly kind: 'saved'; readonly observation: ObservationView; readonly flags: readonly FlagView[] } | SaveRefusal
> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  if (placedKinds.has(input.kind) && input.place === null)
    return refuse('place', measuresAnswers.sayWhereTouchTheBodyMap);
  const name = input.place?.split('.')[0] ?? '';
  const isKnown =
    input.place === null ||
    anatomy.territories.has(input.place) ||
    (input.kind === 'skin-fold' && (input.place === 'left' || input.place === 'right'));
  if (!isKnown) return refuse('place', measuresAnswers.thereIsNoPlaceOnThe(name));
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (input.replaces !== null) {
      const old = await findObservation(trx, visitId, input.replaces);
      if (!old || old.kind !== input.kind) return { kind: 'edited-elsewhere' } as const;
      await endObservation(trx, old.id, actor.therapistId, now);
    }
    const owner = { clientId: visit.client.id, visitId, takenAt: takenAt(visit, actor.now) };
    const row = await insertObservation(trx, owner, input, actor.therapistId, now);
    const flags = await raiseFlags(trx, visit, actor);
    return { kind: 'saved', observation: toObservation(row), flags } as const;
  });
}

/** Takes an observation off the record's face; it stays in the history. */
export async function removeObservation(
  db: Db,
  visitId: VisitId,
  key: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  if (!(await findObservation(db, visitId, key))) return { kind: 'not-found' };
  await endObservation(db, key, actor.therapistId, actor.now.toISOString());
  return { kind: 'saved' };
}
