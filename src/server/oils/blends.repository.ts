import type { Millilitres } from '../../core/quantities';
import type { ClientId, VisitId } from '../../core/ids';
import type { BlendInput, SmellInput } from '../../contracts/oil-house';
import type { Db } from '../db/connection';
import type { OilMixRow } from '../db/schema';
import { blendColumn, countedColumn, stripsColumn } from './oils.documents';

export async function listBlends(db: Db): Promise<readonly { readonly id: number; readonly blend: BlendInput }[]> {
  const rows = await db
    .selectFrom('oil_blend')
    .select(['id', 'blend_json'])
    .where('removed_at', 'is', null)
    .orderBy('name')
    .execute();
  return rows.map(({ id, blend_json }) => ({ id, blend: blendColumn.read(blend_json) }));
}

/** Keeps a blend of the house; one of the same name is replaced. */
export async function insertBlend(db: Db, blend: BlendInput, by: number | null, now: string): Promise<number> {
  await db
    .updateTable('oil_blend')
    .set({ removed_at: now })
    .where('name', '=', blend.name)
    .where('removed_at', 'is', null)
    .execute();
  const row = await db
    .insertInto('oil_blend')
    .values({ name: blend.name, blend_json: blendColumn.write(blend), made_at: now, made_by: by, removed_at: null })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** @returns false when there is none */
export async function removeBlend(db: Db, id: number, now: string): Promise<boolean> {
  const result = await db
    .updateTable('oil_blend')
    .set({ removed_at: now })
    .where('id', '=', id)
    .where('removed_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

export interface StoredMix extends Omit<OilMixRow, 'blend_json' | 'counted_json'> {
  readonly blend: BlendInput;
  readonly counted: Readonly<Record<string, number>>;
}

const toMix = ({ blend_json, counted_json, ...row }: OilMixRow): StoredMix => ({
  ...row,
  blend: blendColumn.read(blend_json),
  counted: countedColumn.read(counted_json),
});

export async function findMix(db: Db, id: number): Promise<StoredMix | undefined> {
  const row = await db.selectFrom('oil_mix').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toMix(row);
}

export async function insertMix(
  db: Db,
  input: { readonly blend: BlendInput; readonly clientId: ClientId | null; readonly visitId: VisitId | null },
  now: string,
): Promise<number> {
  const row = await db
    .insertInto('oil_mix')
    .values({
      client_id: input.clientId,
      visit_id: input.visitId,
      blend_json: blendColumn.write(input.blend),
      use_by: null,
      started_at: now,
      mixed_at: null,
      mixed_by: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

export async function setCounted(db: Db, id: number, counted: Readonly<Record<string, number>>): Promise<void> {
  await db
    .updateTable('oil_mix')
    .set({ counted_json: countedColumn.write(counted) })
    .where('id', '=', id)
    .execute();
}

export async function setMixed(
  db: Db,
  id: number,
  input: {
    readonly useBy: string;
    readonly costCents: number;
    readonly leftMl: Millilitres;
    readonly by: number | null;
    readonly now: string;
  },
): Promise<void> {
  await db
    .updateTable('oil_mix')
    .set({
      state: 'mixed',
      use_by: input.useBy,
      cost_cents: input.costCents,
      left_ml: input.leftMl,
      mixed_at: input.now,
      mixed_by: input.by,
    })
    .where('id', '=', id)
    .execute();
}

export const giveUpMix = (db: Db, id: number) =>
  db.updateTable('oil_mix').set({ state: 'given-up' }).where('id', '=', id).execute();

/** Bottles of the house that are mixed, not empty and still good on a day. */
export async function listHouseMixes(db: Db, onDate: string): Promise<readonly StoredMix[]> {
  const rows = await db
    .selectFrom('oil_mix')
    .selectAll()
    .where('client_id', 'is', null)
    .where('state', '=', 'mixed')
    .where('left_ml', '>', 0)
    .where('use_by', '>=', onDate)
    .orderBy('use_by')
    .execute();
  return rows.map(toMix);
}

/** What was mixed for or poured for a client, the newest first, with what was said of the scent. */
export async function listBlendsOfClient(
  db: Db,
  clientId: ClientId,
): Promise<readonly { readonly visitId: VisitId; readonly startsAt: string; readonly blend: BlendInput }[]> {
  const rows = await db
    .selectFrom('visit_blend')
    .innerJoin('visit', 'visit.id', 'visit_blend.visit_id')
    .select(['visit.id', 'visit.starts_at', 'visit_blend.blend_json'])
    .where('visit.client_id', '=', clientId)
    .where('visit.stage', 'in', ['close', 'done'])
    .orderBy('visit.starts_at', 'desc')
    .limit(8)
    .execute();
  return rows.map(({ id, starts_at, blend_json }) => ({
    visitId: id,
    startsAt: starts_at,
    blend: blendColumn.read(blend_json),
  }));
}

export interface StoredVisitBlend {
  readonly area: 'body' | 'face';
  readonly blend: BlendInput;
  readonly mixId: number | null;
  readonly pouredFrom: number | null;
}

export async function listVisitBlends(db: Db, visitId: VisitId): Promise<readonly StoredVisitBlend[]> {
  const rows = await db.selectFrom('visit_blend').selectAll().where('visit_id', '=', visitId).orderBy('area').execute();
  return rows.map(({ area, blend_json, mix_id, poured_from }) => ({
    area,
    blend: blendColumn.read(blend_json),
    mixId: mix_id,
    pouredFrom: poured_from,
  }));
}

export async function setVisitBlend(
  db: Db,
  visitId: VisitId,
  { area, blend, mixId, pouredFrom }: Omit<StoredVisitBlend, 'blend'> & { readonly blend: BlendInput | null },
  by: number | null,
  now: string,
): Promise<void> {
  await db.deleteFrom('visit_blend').where('visit_id', '=', visitId).where('area', '=', area).execute();
  if (blend === null) return;
  await db
    .insertInto('visit_blend')
    .values({
      visit_id: visitId,
      area,
      blend_json: blendColumn.write(blend),
      mix_id: mixId,
      poured_from: pouredFrom,
      chosen_at: now,
      chosen_by: by,
    })
    .execute();
}

/** Takes mL out of a mixed bottle, down to nothing. */
export async function pourFrom(db: Db, mixId: number, ml: Millilitres): Promise<void> {
  const mix = await findMix(db, mixId);
  if (!mix) return;
  await db
    .updateTable('oil_mix')
    .set({ left_ml: Math.max(0, mix.left_ml - ml) })
    .where('id', '=', mixId)
    .execute();
}

/** What a client's nose chose, with the strips in their order. */
export async function insertSmell(
  db: Db,
  {
    clientId,
    visitId,
    strips,
    chosen,
  }: {
    readonly clientId: ClientId;
    readonly visitId: VisitId;
    readonly strips: SmellInput['strips'];
    readonly chosen: number | null;
  },
  by: number | null,
  now: string,
): Promise<number> {
  const row = await db
    .insertInto('smell_choice')
    .values({
      client_id: clientId,
      visit_id: visitId,
      strips_json: stripsColumn.write(strips),
      chosen,
      done_at: now,
      done_by: by,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}
