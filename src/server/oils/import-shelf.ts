import { BottleInput, type ShelfImportInput } from '../../contracts/oil-house';
import type { ShelfImportView } from '../../contracts/oil-views';
import type { Db } from '../db/connection';
import { isoDay } from '../shared/house-clock';
import type { Actor } from '../shared/saving';
import { findDateOrder } from '../people/settings.repository';
import { addShelf } from './save-oils';
import { newBottles, readShelf } from './shelf-csv';

/**
 * Reads a shelf; nothing is stored while a row is in trouble, or before it is sure. Bottles that the house has already
 * stay as they are.
 */
export async function importShelf(db: Db, { csv, isSure }: ShelfImportInput, actor: Actor): Promise<ShelfImportView> {
  const today = isoDay(actor.now.toISOString());
  const { bottles, troubles } = readShelf(csv, today, await findDateOrder(db), (row) => {
    const read = BottleInput.safeParse(row);
    return read.success ? read.data : read.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
  });
  const fresh = await newBottles(db, bottles);
  const mayAdd = isSure && troubles.length === 0 && fresh.length > 0;
  if (mayAdd) await addShelf(db, fresh, actor);
  return {
    bottles: bottles.length,
    known: bottles.length - fresh.length,
    added: mayAdd ? fresh.length : 0,
    troubles,
  };
}
