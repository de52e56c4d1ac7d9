import type { Millilitres } from '../../core/quantities';
import type { TherapistId } from '../../core/ids';
import { format } from 'date-fns';
import type { BottleInput } from '../../contracts/oil-house';
import type { Bottle } from '../../core/oils/stock';
import type { Db } from '../db/connection';

export interface StoredBottle extends Bottle {
  readonly state: BottleInput['state'];
  readonly note: string;
}

/** Bottles that are neither empty nor discarded, or all of them. */
export async function listBottles(db: Db, which: 'in-use' | 'all' = 'in-use'): Promise<readonly StoredBottle[]> {
  let query = db.selectFrom('oil_bottle').selectAll().orderBy('kind').orderBy('oil').orderBy('id');
  if (which === 'in-use') query = query.where('state', '=', 'in-use');
  return (await query.execute()).map((row) => ({
    id: row.id,
    kind: row.kind,
    oil: row.oil,
    lot: row.lot,
    openedOn: row.opened_on,
    printedOn: row.printed_on,
    sizeMl: row.size_ml,
    leftMl: row.left_ml,
    costCents: row.cost_cents,
    dropsPerMl: row.drops_per_ml,
    state: row.state,
    note: row.note,
  }));
}

const columns = (input: BottleInput) => ({
  kind: input.kind,
  oil: input.oil,
  lot: input.lot,
  opened_on: input.openedOn,
  printed_on: input.printedOn,
  size_ml: input.sizeMl,
  left_ml: input.leftMl,
  cost_cents: input.costCents,
  drops_per_ml: input.dropsPerMl,
  state: input.state,
  note: input.note,
});

export async function insertBottle(db: Db, input: BottleInput, now: string): Promise<number> {
  const row = await db
    .insertInto('oil_bottle')
    .values({ ...columns(input), added_at: now })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

export async function updateBottle(db: Db, id: number, input: BottleInput): Promise<void> {
  await db.updateTable('oil_bottle').set(columns(input)).where('id', '=', id).execute();
}

/** Takes something out of a bottle, and remembers it; an empty one is put aside. */
export async function drawBottle(
  db: Db,
  draw: { readonly bottle: number; readonly ml: Millilitres },
  why: 'mixed' | 'corrected' | 'discarded',
  by: { readonly mixId: number | null; readonly therapistId: TherapistId | null; readonly now: string },
): Promise<void> {
  const row = await db.selectFrom('oil_bottle').selectAll().where('id', '=', draw.bottle).executeTakeFirstOrThrow();
  const left = Math.max(0, row.left_ml - draw.ml);
  const isEmpty = left < 1e-6;
  await db
    .updateTable('oil_bottle')
    .set({
      left_ml: isEmpty ? 0 : left,
      ...(isEmpty && row.state === 'in-use' ? { state: 'empty' as const } : {}),
      // What is drawn from is open from then on.
      ...(row.opened_on === null && why === 'mixed' ? { opened_on: format(new Date(by.now), 'yyyy-MM-dd') } : {}),
    })
    .where('id', '=', draw.bottle)
    .execute();
  await insertDraw(db, draw, why, by);
}

export async function insertDraw(
  db: Db,
  { bottle, ml }: { readonly bottle: number; readonly ml: Millilitres },
  why: 'mixed' | 'corrected' | 'discarded',
  by: { readonly mixId: number | null; readonly therapistId: TherapistId | null; readonly now: string },
): Promise<void> {
  await db
    .insertInto('oil_draw')
    .values({ bottle_id: bottle, ml, why, mix_id: by.mixId, done_at: by.now, done_by: by.therapistId })
    .execute();
}

/** mL that went into blends since a time, by `kind:oil`. */
export async function usedSince(db: Db, since: string): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .selectFrom('oil_draw')
    .innerJoin('oil_bottle', 'oil_bottle.id', 'oil_draw.bottle_id')
    .select(({ fn }) => ['oil_bottle.kind', 'oil_bottle.oil', fn.sum<number>('oil_draw.ml').as('ml')])
    .where('oil_draw.done_at', '>=', since)
    .where('oil_draw.why', '=', 'mixed')
    .groupBy(['oil_bottle.kind', 'oil_bottle.oil'])
    .execute();
  return new Map(rows.map(({ kind, oil, ml }) => [`${kind}:${oil}`, ml]));
}
