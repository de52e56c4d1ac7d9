import { BottleInput, type ShelfImportInput } from '../../contracts/oil-house';
import type { ShelfImportView } from '../../contracts/oil-views';
import type { Db } from '../db/connection';
import { isoDay } from '../shared/house-clock';
import type { Actor } from '../shared/saving';
import { addShelf, readShelf } from './save-oils';

/** Reads a shelf; nothing is stored while a row is in trouble, or before it is sure. */
export async function importShelf(db: Db, { csv, isSure }: ShelfImportInput, actor: Actor): Promise<ShelfImportView> {
  const { bottles, troubles } = readShelf(csv, isoDay(actor.now.toISOString()), (row) => {
    const read = BottleInput.safeParse(row);
    return read.success ? read.data : read.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
  });
  const mayAdd = isSure && troubles.length === 0 && bottles.length > 0;
  if (mayAdd) await addShelf(db, bottles, actor);
  return { bottles: bottles.length, added: mayAdd ? bottles.length : 0, troubles };
}
