import type { StoneView } from '../../contracts/stone-views';
import type { StoneCareInput, StoneHabitsInput, StoneInput } from '../../contracts/stones';
import type { MaterialId, SizeId } from '../../core/stones/book';
import { type StoneHabits, usualHabits } from '../../core/stones/habits';
import type { Db } from '../db/connection';
import { changeSettings, findSettings } from '../people/settings.repository';

/** A stone as it is stored; when it was last seen to is an ISO time. */
export type StoredStone = StoneView;

/** All stones that are not retired, in the order in which they came, with when they were last seen to. */
export async function listStones(db: Db): Promise<readonly StoredStone[]> {
  const [rows, care] = await Promise.all([
    db.selectFrom('stone').selectAll().where('state', '<>', 'retired').orderBy('id').execute(),
    db
      .selectFrom('stone_care')
      .select(({ fn }) => ['stone_id', 'what', fn.max('done_at').as('done_at')])
      .groupBy(['stone_id', 'what'])
      .execute(),
  ]);
  const last = (id: number, what: string) => {
    const own = care.filter((one) => (one.stone_id === id || one.stone_id === null) && one.what === what);
    return (
      own
        .map(({ done_at }) => done_at)
        .sort()
        .at(-1) ?? null
    );
  };
  return rows.map((row) => ({
    id: row.id,
    size: row.size as SizeId,
    material: row.material as MaterialId,
    lengthMm: row.length_mm,
    widthMm: row.width_mm,
    thicknessMm: row.thickness_mm,
    massG: row.mass_g,
    state: row.state,
    note: row.note,
    lastCleaned: last(row.id, 'cleaned'),
    lastOiled: last(row.id, 'oiled'),
  }));
}

const columns = (input: Omit<StoneInput, 'count'>) => ({
  size: input.size,
  material: input.material,
  length_mm: input.lengthMm,
  width_mm: input.widthMm,
  thickness_mm: input.thicknessMm,
  mass_g: input.massG,
  state: input.state,
  note: input.note,
});

export async function insertStones(db: Db, { count, ...input }: StoneInput, now: string): Promise<void> {
  const row = { ...columns(input), added_at: now, retired_at: null };
  await db
    .insertInto('stone')
    .values(Array.from({ length: count }, () => row))
    .execute();
}

/** @returns false when there is no such stone */
export async function updateStone(
  db: Db,
  id: number,
  { count: _, ...input }: StoneInput,
  now: string,
): Promise<boolean> {
  const result = await db
    .updateTable('stone')
    .set({ ...columns(input), retired_at: input.state === 'retired' ? now : null })
    .where('id', '=', id)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

export async function insertCare(
  db: Db,
  { what, stones }: { readonly what: StoneCareInput['what'] | 'retired'; readonly stones: readonly number[] },
  by: number | null,
  now: string,
): Promise<void> {
  const of: readonly (number | null)[] = stones.length === 0 ? [null] : stones;
  await db
    .insertInto('stone_care')
    .values(of.map((stone_id) => ({ stone_id, what, done_at: now, done_by: by })))
    .execute();
}

/** When something was last done to all stones or the bath. */
export async function lastCare(db: Db, what: string): Promise<string | null> {
  const row = await db
    .selectFrom('stone_care')
    .select('done_at')
    .where('what', '=', what)
    .orderBy('done_at', 'desc')
    .executeTakeFirst();
  return row?.done_at ?? null;
}

/** How the house works with stones, the usual way where it has not decided. */
export const findHabits = async (db: Db): Promise<StoneHabits> => ({
  ...usualHabits,
  ...(await findSettings(db)).stones,
});

export const storeHabits = (db: Db, stones: StoneHabitsInput): Promise<void> => changeSettings(db, { stones });
