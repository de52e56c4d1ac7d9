import type { VisitId } from '../../core/ids';
import { subMinutes } from 'date-fns';
import { anatomy } from '../../catalogue/anatomy';
import type { ReadyInput } from '../../contracts/treatment';
import type { RoomView } from '../../contracts/room-view';
import type { VisitView } from '../../contracts/visit-views';
import { drainageBlock } from '../../core/treatment/drainage-block';
import { planTreatment } from '../../core/treatment/plan-treatment';
import type { Judgement } from '../../core/judgement/judgement';
import { limitsOver } from '../../core/judgement/visit-limits';
import { type RoomItem, roomList } from '../../core/room/room-list';
import type { Db } from '../db/connection';
import { findVisit, setReady } from '../visits/visits.repository';
import { clockTime } from '../shared/house-clock';
import { judgeVisit } from '../screening/judge-visit';
import { completeVisit, readVisitFrame } from '../visits/read-visit';
import { roomHabits } from './room-habits';
import { advance, type SaveRefusal } from '../shared/saving';
import { drainageWork, storedWork } from '../visits/visit-holds';
import { readyColumn } from '../visits/visit.documents';
import { treatmentsAnswers } from './treatments.answers';

/** The room list of a visit with the time of day for each item. @returns undefined when there is no such visit */
export async function readRoom(db: Db, visitId: VisitId): Promise<RoomView | undefined> {
  const [record, row] = await Promise.all([readVisitFrame(db, visitId), findVisit(db, visitId)]);
  if (!record || !row) return undefined;
  const visit = await completeVisit(db, record);
  const ready = new Set(readyColumn.read(row.ready_json));
  const treatment = visit.plan?.treatment;
  const items =
    treatment?.room ?? storedWork(row)?.room ?? (visit.plan ? forDrainage(visit.plan.plan, judgeVisit(record)) : []);
  return {
    visit,
    items: items.map((item) => ({
      ...item,
      at: clockTime(subMinutes(new Date(row.starts_at), item.minutesBefore).toISOString()),
      key: item.id ?? item.what,
      isReady: ready.has(item.id ?? item.what) || ready.has(item.what),
      ...(item.area ? { oil: oilOf(visit, item.area) } : {}),
    })),
  };
}

/** What stands in the cup, and what is still to be done for it. */
function oilOf({ id, blends }: VisitView, area: 'body' | 'face'): NonNullable<RoomView['items'][number]['oil']> {
  const bench = `/bench/oils?visit=${id}`;
  const chosen = blends[area];
  if (!chosen) return { words: treatmentsAnswers.noBlendIsChosenYet, href: bench, act: treatmentsAnswers.chooseABlend };
  const words = `${chosen.blend.name}: ${chosen.words}`;
  if (chosen.pouredFrom !== null)
    return {
      words: treatmentsAnswers.pourItFromTheHousesBottle(words),
      href: bench,
      act: treatmentsAnswers.anotherBlend,
    };
  if (!chosen.mix) return { words: `${words}.`, href: bench, act: treatmentsAnswers.mixIt };
  const card = `/bench/mixes/${chosen.mix.id}`;
  return chosen.mix.isMixed
    ? { words: treatmentsAnswers.itIsMixed(words), href: card, act: treatmentsAnswers.theLabel }
    : { words: `${words}.`, href: card, act: treatmentsAnswers.goOnMixing };
}

/** A drainage by itself needs little: the bed, warm hands, water. */
function forDrainage(plan: Parameters<typeof drainageBlock>[2], judgement: Judgement): readonly RoomItem[] {
  if (plan.steps.length === 0) return [];
  const minutes = Math.max(1, Math.ceil(plan.totalSeconds / 60));
  const block = drainageBlock('c1', 'drainage', plan, { usual: minutes, least: minutes });
  const allowed = { blocks: [block], leftOut: [], mostSeconds: new Map<string, number>() };
  const planned = planTreatment(anatomy.groups, allowed, { minutes: minutes + 1, isShort: false, fill: false });
  const input = drainageWork.map((modality) => ({ modality, places: plan.steps.flatMap(({ place }) => place ?? []) }));
  const limits = limitsOver(judgement, input);
  return roomList(anatomy.groups, planned.blocks, planned.start.position, roomHabits, limits);
}

/** Keeps what is ready. */
export async function saveReady(
  db: Db,
  visitId: VisitId,
  { ready }: ReadyInput,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await findVisit(db, visitId);
  if (!visit) return { kind: 'not-found' };
  await setReady(db, visitId, ready);
  if (visit.stage === 'plan') await advance(db, visitId, 'plan', 'prepare');
  return { kind: 'saved' };
}
