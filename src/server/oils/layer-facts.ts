import { subDays } from 'date-fns';
import { oilBook } from '../../catalogue/oils/oils';
import { mlOf } from '../../core/oils/amounts';
import { oilOf } from '../../core/oils/book';
import { adult } from '../../core/oils/client';
import { type DropsOnSkin, type LayerCase, oilInDrops, spineStripCm2 } from '../../core/oils/layers';
import { dropsText } from '../../core/oils/finding-words';
import { droppedOf } from '../../core/table/dropped';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { VisitId } from '../../core/ids';
import type { TableEvent } from '../../core/table/table-event';
import type { Db } from '../db/connection';
import { isoDay, shortDay } from '../shared/house-clock';
import { listDropsOfClient, listEvents } from '../table/table-events.repository';
import { screeningCaseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import { planColumn } from '../visits/plan.documents';
import { latestPlan } from '../visits/visits.repository';
import { listVisitBlends } from './blends.repository';
import { readOilClient } from './oil-client';
import { usableShelf } from './usable-shelf';

/** What drops straight onto the skin are planned from, beside the steps that ask for them. */
export interface LayerFacts extends Pick<LayerCase, 'shelf' | 'client' | 'areaCm2' | 'before'> {
  readonly lately: NonNullable<TreatmentView['layers']>['lately'];
}

const daysLookedAt = 7;
const spinePlaces = new Set(['back-lower', 'back-middle', 'back-upper', 'nape']);

/** @param surfaceM2 skin of the client, where it is known */
export async function readLayerFacts(db: Db, visit: VisitRecord, surfaceM2: number | undefined): Promise<LayerFacts> {
  const now = new Date(visit.startsAt);
  const work = {
    case: screeningCaseOf(visit),
    modalities: ['spine-oil-layering'],
    touches: { regions: spinePlaces, bodyTouchesFace: false },
  };
  const [shelf, of, blends, drops] = await Promise.all([
    usableShelf(db, isoDay(visit.startsAt)),
    readOilClient(db, visit.client.id, now, work),
    listVisitBlends(db, visit.id),
    listDropsOfClient(db, visit.client.id, subDays(now, daysLookedAt).toISOString(), visit.startsAt),
  ]);
  const body = blends.find(({ area }) => area === 'body')?.blend;
  return {
    shelf: of?.unscentedWhy ? [] : shelf,
    client: of?.client ?? adult,
    areaCm2: spineStripCm2(surfaceM2),
    before: (body?.parts ?? []).map((part) => ({
      oil: part.oil,
      percent: (100 * mlOf(oilBook, part)) / (body?.volumeMl ?? 1),
    })),
    lately: latelyOf(drops.filter(({ visitId }) => visitId !== visit.id)),
  };
}

/** `24 Nov: sweet marjoram six drops, cypress two drops`, visit by visit. */
function latelyOf(visits: readonly { readonly startsAt: string; readonly events: readonly TableEvent[] }[]) {
  return visits.flatMap(({ startsAt, events }) => {
    const words = droppedOf(events).map(({ oil, drops }) => `${oilName(oil)} ${dropsText(drops)}`);
    return words.length > 0 ? [{ date: shortDay(startsAt), words: words.join(', ') }] : [];
  });
}

const oilName = (oil: string) => (oilBook.oils.has(oil) ? oilOf(oilBook, oil).name.toLowerCase() : oil);

/**
 * What drops straight onto the skin of a visit, for the blend that comes to the same skin: as planned until the table,
 * as counted there afterwards. @returns null where nothing drops
 */
export async function readDropsOnSkin(db: Db, visitId: VisitId): Promise<DropsOnSkin | null> {
  const row = await latestPlan(db, visitId);
  const layers = row && planColumn.read(row.plan_json).treatment?.layers;
  if (!layers) return null;
  const events = await listEvents(db, visitId);
  /** What of the oil itself is in drops of the diluted bottle. */
  const inDrops = (oil: string, drops: number) => {
    const { dropsPerMl, strengthPercent } = layers.layers.find((layer) => layer.oil === oil) ?? {};
    return { oil, drops: oilInDrops(drops, strengthPercent), ...(dropsPerMl ? { dropsPerMl } : {}) };
  };
  const parts =
    events.length > 0
      ? droppedOf(events).map(({ oil, drops }) => inDrops(oil, drops))
      : layers.layers.flatMap(({ oil, drops }) => (oil === null ? [] : [inDrops(oil, drops)]));
  return parts.length > 0 ? { filmMl: layers.balance.filmMl, parts } : null;
}
