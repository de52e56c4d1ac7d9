import { findCurrency } from '../people/settings.repository';
import type { ClientId, VisitId } from '../../core/ids';
import { subWeeks } from 'date-fns';
import { oilBook } from '../../catalogue/oils/oils';
import { scentAnswers } from '../../catalogue/swelling/scales.data';
import type {
  BottleView,
  HouseBlendView,
  OilBenchView,
  OilVisitView,
  ShelfEntry,
  StockView,
  UsedBlend,
} from '../../contracts/oil-views';
import { carrierOf, oilOf } from '../../core/oils/book';
import { ageingOf, centsPerMl, reorderList } from '../../core/oils/stock';
import type { OilNeeds } from '../../core/room/oil-needs';
import type { Db } from '../db/connection';
import { listBlends, listBlendsOfClient, listHouseMixes } from './blends.repository';
import { listBottles, type StoredBottle, usedSince } from './oils.repository';
import { listClosingsOfClient } from '../visits/closings.repository';
import { findVisit, listVisits } from '../visits/visits.repository';
import { clockTime, dayBounds, isoDay, shortDay } from '../shared/house-clock';
import { oilScopeOf, oilWorkOf, readOilClient } from './oil-client';
import { completeVisit, readVisitFrame } from '../visits/read-visit';
import type { VisitRecord } from '../visits/visit-record';
import { readDropsOnSkin } from './layer-facts';
import { readVisitBlends } from './visit-blends';
import { storedWork } from '../visits/visit-holds';
import { oilsAnswers } from './oils.answers';

const weeksLookedAt = 8;

/** All that the blend bench opens with. @param input the visit or the client to blend for; neither: for the house */
export async function readOilBench(
  db: Db,
  input: { readonly visitId: VisitId | null; readonly clientId: ClientId | null },
  qualifications: readonly string[],
  now: Date,
): Promise<OilBenchView> {
  const today = isoDay(now.toISOString());
  const record = input.visitId === null ? undefined : await readVisitFrame(db, input.visitId);
  const clientId = record?.client.id ?? input.clientId;
  const [bottles, blends, mixes, visits, client] = await Promise.all([
    listBottles(db),
    listBlends(db),
    listHouseMixes(db, today),
    listVisits(db, ...dayBounds(now)),
    clientId === null ? undefined : readOilClient(db, clientId, now, record && (await oilWorkOf(db, record))),
  ]);
  const shelf = shelfOf(bottles, today);
  return {
    today,
    currency: await findCurrency(db),
    shelf: shelf.filter(({ kind }) => kind === 'essential').map(({ entry }) => entry),
    carriers: shelf.filter(({ kind }) => kind === 'carrier').map(({ entry }) => entry),
    blends: blends.map(({ id, blend }): HouseBlendView => ({
      id,
      blend,
      ready: mixes
        .filter((mix) => mix.blend.name === blend.name)
        .map((mix) => ({ mixId: mix.id, leftMl: mix.left_ml, useBy: mix.use_by ?? '' })),
    })),
    visits: visits
      .filter((row) => takesOil(row) && row.stage !== 'done' && row.stage !== 'stopped')
      .map((row) => ({ id: row.id, client: row.client_name, time: clockTime(row.starts_at) })),
    visit: record ? await oilVisit(db, record) : null,
    client: client ?? null,
    scope: oilScopeOf(qualifications),
    usedBefore: clientId === null ? [] : await usedBefore(db, clientId),
  };
}

const takesOil = (row: Parameters<typeof storedWork>[0]) =>
  storedWork(row)?.room.some(({ kind }) => kind === 'blend') ?? false;

async function oilVisit(db: Db, record: VisitRecord): Promise<OilVisitView> {
  const [visit, row, blends, onSkin] = await Promise.all([
    completeVisit(db, record),
    findVisit(db, record.id),
    readVisitBlends(db, record.id),
    readDropsOnSkin(db, record.id),
  ]);
  const none: OilNeeds = { body: null, face: null };
  return {
    id: record.id,
    time: record.time,
    work: record.work,
    needs: visit.plan?.treatment?.oil ?? (row ? storedWork(row)?.oil : undefined) ?? none,
    chosen: { body: blends.body ?? null, face: blends.face ?? null },
    onSkin,
  };
}

async function usedBefore(db: Db, clientId: ClientId): Promise<readonly UsedBlend[]> {
  const [blends, closings] = await Promise.all([listBlendsOfClient(db, clientId), listClosingsOfClient(db, clientId)]);
  return blends.map(({ visitId, startsAt, blend }) => {
    const scent = closings.get(visitId)?.scent ?? null;
    return {
      date: shortDay(startsAt),
      blend,
      said: scent === null ? '' : (scentAnswers.find(({ value }) => value === scent)?.text ?? ''),
    };
  });
}

/** Bottles of one oil together: what is old is not counted on, and said. */
function shelfOf(
  bottles: readonly StoredBottle[],
  today: string,
): readonly { readonly kind: StoredBottle['kind']; readonly entry: ShelfEntry }[] {
  const keys = [...new Set(bottles.map(({ kind, oil }) => `${kind}:${oil}`))];
  return keys.flatMap((key) => {
    const own = bottles.filter(({ kind, oil }) => `${kind}:${oil}` === key).map((one) => withAge(one, today));
    const good = own.filter(({ freshness, leftMl }) => freshness !== 'old' && leftMl > 0);
    const [first] = good.length > 0 ? good : own;
    if (!first) return [];
    const leftMl = good.reduce((sum, one) => sum + one.leftMl, 0);
    const leftShare = leftMl / first.sizeMl;
    const turning = good.find(({ freshness }) => freshness === 'turning');
    const entry: ShelfEntry = {
      oil: first.oil,
      bottles: good.length,
      leftMl,
      leftShare: Math.min(1, leftShare),
      dropsPerMl: good.find(({ dropsPerMl }) => dropsPerMl !== null)?.dropsPerMl ?? null,
      centsPerMl: centsPerMl(first),
      freshness: good.length === 0 ? 'old' : turning ? 'turning' : first.freshness,
      words:
        good.length === 0
          ? first.words
          : (turning?.words ?? (leftShare < 0.25 ? oilsAnswers.left(Math.round(100 * leftShare)) : '')),
    };
    return [{ kind: first.kind, entry }];
  });
}

const withAge = (bottle: StoredBottle, today: string): BottleView => ({
  ...bottle,
  ...ageingOf(bottle, bottle.kind === 'essential' ? oilOf(oilBook, bottle.oil) : carrierOf(oilBook, bottle.oil), today),
});

/** Bottles with their age, what to order, and what is mixed for the house. */
export async function readStock(db: Db, now: Date): Promise<StockView> {
  const today = isoDay(now.toISOString());
  const [bottles, used, mixes] = await Promise.all([
    listBottles(db),
    usedSince(db, subWeeks(now, weeksLookedAt).toISOString()),
    listHouseMixes(db, today),
  ]);
  const aged = bottles.map((bottle) => withAge(bottle, today));
  return {
    today,
    currency: await findCurrency(db),
    bottles: aged,
    reorder: reorderList(aged, used, today),
    mixes: mixes.map((mix) => ({ id: mix.id, name: mix.blend.name, leftMl: mix.left_ml, useBy: mix.use_by ?? '' })),
  };
}

/** Bottles to turn to, for the thread of the day: those that are old or about to be. */
export async function bottlesTurning(
  db: Db,
  now: Date,
): Promise<readonly { readonly name: string; readonly words: string }[]> {
  const today = isoDay(now.toISOString());
  return (await listBottles(db))
    .map((bottle) => withAge(bottle, today))
    .filter(({ freshness }) => freshness === 'old' || freshness === 'turning')
    .map(({ kind, oil, words }) => ({
      name: (kind === 'essential' ? oilOf(oilBook, oil) : carrierOf(oilBook, oil)).name,
      words,
    }));
}
