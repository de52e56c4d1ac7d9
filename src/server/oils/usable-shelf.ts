import { oilBook } from '../../catalogue/oils/oils';
import type { LayerCase } from '../../core/oils/layers';
import { ageingOf } from '../../core/oils/stock';
import type { Db } from '../db/connection';
import { listBottles } from './oils.repository';

/** Essential oils of the house that are not old and have something left, each once, as its own bottle counts. */
export async function usableShelf(db: Db, today: string): Promise<LayerCase['shelf']> {
  const shelf = new Map<string, LayerCase['shelf'][number]>();
  for (const bottle of await listBottles(db)) {
    const oil = bottle.kind === 'essential' ? oilBook.oils.get(bottle.oil) : undefined;
    if (!oil || bottle.leftMl <= 0 || ageingOf(bottle, oil, today).freshness === 'old') continue;
    const known = shelf.get(oil.id)?.dropsPerMl;
    shelf.set(oil.id, { oil: oil.id, dropsPerMl: known ?? bottle.dropsPerMl ?? undefined });
  }
  return [...shelf.values()];
}
