import { oilBook } from '../../catalogue/oils/oils';
import type { VisitId } from '../../core/ids';
import { mlOf } from '../../core/oils/amounts';
import { ageingOf, drawFrom } from '../../core/oils/stock';
import { dropsByOil, droppedOf } from '../../core/table/dropped';
import type { Db } from '../db/connection';
import type { Actor } from '../shared/saving';
import { isoDay } from '../shared/house-clock';
import { listEvents } from '../table/table-events.repository';
import { drawBottle, listBottles } from './oils.repository';

/** Takes what fell straight onto the skin of a visit, as it was counted at the table, out of the house's bottles. */
export async function drawDropped(db: Db, visitId: VisitId, actor: Actor): Promise<void> {
  const now = actor.now.toISOString();
  const bottles = await listBottles(db);
  for (const [oil, drops] of Object.entries(dropsByOil(droppedOf(await listEvents(db, visitId))))) {
    const known = oilBook.oils.get(oil);
    if (!known) continue;
    const own = bottles
      .filter((bottle) => bottle.kind === 'essential' && bottle.oil === oil)
      .map((bottle) => ({ ...bottle, ...ageingOf(bottle, known, isoDay(now)) }));
    const dropsPerMl = own.find((bottle) => bottle.dropsPerMl !== null)?.dropsPerMl ?? undefined;
    const { draws } = drawFrom(own, mlOf(oilBook, { oil, drops, dropsPerMl }));
    for (const draw of draws) await drawBottle(db, draw, 'mixed', { mixId: null, therapistId: actor.therapistId, now });
  }
}
