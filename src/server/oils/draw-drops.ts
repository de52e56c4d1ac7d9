import { oilBook } from '../../catalogue/oils/oils';
import type { VisitId } from '../../core/ids';
import { mlOf } from '../../core/oils/amounts';
import { ageingOf, drawFrom } from '../../core/oils/stock';
import type { Db } from '../db/connection';
import type { Actor } from '../shared/saving';
import { isoDay } from '../shared/house-clock';
import { listEvents } from '../table/table-events.repository';
import { readDropsOnSkin } from './layer-facts';
import { drawBottle, listBottles } from './oils.repository';

/** Takes what fell onto the skin of a visit, as it was counted at the table, out of the house's bottles. */
export async function drawDropped(db: Db, visitId: VisitId, actor: Actor): Promise<void> {
  const now = actor.now.toISOString();
  const fell =
    (await listEvents(db, visitId)).some(({ kind }) => kind === 'drops') && (await readDropsOnSkin(db, visitId));
  if (!fell) return;
  const bottles = await listBottles(db);
  for (const part of fell.parts) {
    const known = oilBook.oils.get(part.oil);
    if (!known) continue;
    const own = bottles
      .filter((bottle) => bottle.kind === 'essential' && bottle.oil === part.oil)
      .map((bottle) => ({ ...bottle, ...ageingOf(bottle, known, isoDay(now)) }));
    const { draws } = drawFrom(own, mlOf(oilBook, part));
    for (const draw of draws) await drawBottle(db, draw, 'mixed', { mixId: null, therapistId: actor.therapistId, now });
  }
}
