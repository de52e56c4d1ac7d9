import { oilBook } from '../../catalogue/oils/oils';
import type { BottleInput } from '../../contracts/oil-house';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { insertBottle, insertDraw, listBottles, updateBottle } from './oils.repository';
import { insertAudit } from '../house/audit.repository';
import { isoDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { oilsAnswers } from './oils.answers';

type Saved = { readonly kind: 'saved'; readonly id: number } | SaveRefusal;

/** What is wrong with a bottle beyond the shape of its fields. */
export function bottleErrors(input: BottleInput, today: string): readonly FieldError[] {
  const isKnown = input.kind === 'essential' ? oilBook.oils.has(input.oil) : oilBook.carriers.has(input.oil);
  const what = input.kind === 'essential' ? 'oil' : 'carrier';
  return [
    ...(isKnown ? [] : [{ path: 'oil', message: oilsAnswers.thereIsNoInTheCatalogue(what, input.oil) }]),
    ...(input.openedOn !== null && input.openedOn > today
      ? [{ path: 'openedOn', message: oilsAnswers.itCannotHaveBeenOpenedIn }]
      : []),
  ];
}

export async function addBottle(db: Db, input: BottleInput, actor: Actor): Promise<Saved> {
  const errors = bottleErrors(input, isoDay(actor.now.toISOString()));
  if (errors.length > 0) return { kind: 'refused', errors };
  return { kind: 'saved', id: await insertBottle(db, input, actor.now.toISOString()) };
}

/** Changes a bottle. What is counted differently, or thrown away, is on record with the difference. */
export async function changeBottle(db: Db, id: number, input: BottleInput, actor: Actor): Promise<Saved> {
  const errors = bottleErrors(input, isoDay(actor.now.toISOString()));
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  const by = { mixId: null, therapistId: actor.therapistId, now };
  return db.transaction().execute(async (trx) => {
    const before = (await listBottles(trx, 'all')).find((bottle) => bottle.id === id);
    if (!before) return { kind: 'not-found' } as const;
    const isThrown = input.state === 'discarded' && before.state !== 'discarded';
    await updateBottle(trx, id, isThrown ? { ...input, leftMl: 0 } : input);
    const gone = before.leftMl - (isThrown ? 0 : input.leftMl);
    if (Math.abs(gone) > 1e-9)
      await insertDraw(trx, { bottle: id, ml: gone }, isThrown ? 'discarded' : 'corrected', by);
    if (isThrown)
      await insertAudit(trx, {
        at: now,
        by: actor.therapistId,
        action: 'bottle discarded',
        subject: `bottle ${id}`,
        detail: input.oil,
      });
    return { kind: 'saved', id } as const;
  });
}

/** Adds all bottles of a read shelf at once, or none. */
export async function addShelf(db: Db, bottles: readonly BottleInput[], actor: Actor): Promise<void> {
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    for (const bottle of bottles) await insertBottle(trx, bottle, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'shelf imported',
      subject: 'house',
      detail: `${bottles.length} bottles`,
    });
  });
}
