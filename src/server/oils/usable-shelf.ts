import { oilBook } from '../../catalogue/oils/oils';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { LayerCase } from '../../core/oils/layers';
import { ageingOf } from '../../core/oils/stock';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { listBottles } from './oils.repository';
import { oilsAnswers } from './oils.answers';

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

/** Layers of a plan whose bottle is empty, too old or gone by now: they are not begun. */
export async function layersWithoutBottle(
  db: Db,
  treatment: Pick<TreatmentView, 'layers'> | null | undefined,
  today: string,
): Promise<readonly FieldError[]> {
  if (!treatment?.layers) return [];
  const { layers, names } = treatment.layers;
  const usable = new Set((await usableShelf(db, today)).map(({ oil }) => oil));
  return layers.flatMap(({ oil }) =>
    oil === null || usable.has(oil)
      ? []
      : [
          {
            path: 'plan',
            message: oilsAnswers.isUsedUpOrTooOld(names[oil] ?? oil),
          },
        ],
  );
}
