import { subMinutes } from 'date-fns';
import type { ReadyInput } from '../../contracts/treatment';
import type { RoomView } from '../../contracts/treatment-views';
import { drainageBlock } from '../../core/treatment/drainage-block';
import { planTreatment } from '../../core/treatment/plan-treatment';
import { type RoomItem, roomList } from '../../core/room/room-list';
import type { Db } from '../db/connection';
import { findVisit, setReady } from '../repositories/visits';
import { clockTime } from './house-clock';
import { completeVisit, readVisitFrame } from './read-visit';
import { roomHabits } from './room-habits';
import { advance, type SaveRefusal } from './saving';
import { holdsOf } from './visit-holds';

/** The room list of a visit with the time of day for each item. @returns undefined when there is no such visit */
export async function readRoom(db: Db, visitId: number): Promise<RoomView | undefined> {
  const [record, row] = await Promise.all([readVisitFrame(db, visitId), findVisit(db, visitId)]);
  if (!record || !row) return undefined;
  const visit = await completeVisit(db, record);
  const ready = new Set(JSON.parse(row.ready_json) as string[]);
  const treatment = visit.plan?.treatment;
  const items = treatment?.room ?? holdsOf(row)?.room ?? (visit.plan ? forDrainage(visit.plan.plan) : []);
  return {
    visit,
    items: items.map((item) => ({
      ...item,
      at: clockTime(subMinutes(new Date(row.starts_at), item.minutesBefore).toISOString()),
      isReady: ready.has(item.what),
    })),
  };
}

/** A drainage by itself needs little: the bed, warm hands, water. */
function forDrainage(plan: Parameters<typeof drainageBlock>[2]): readonly RoomItem[] {
  if (plan.steps.length === 0) return [];
  const minutes = Math.max(1, Math.ceil(plan.totalSeconds / 60));
  const block = drainageBlock('c1', 'drainage', plan, { usual: minutes, least: minutes });
  const allowed = { blocks: [block], leftOut: [], mostSeconds: new Map<string, number>() };
  const planned = planTreatment(allowed, { minutes: minutes + 1, isShort: false, fill: false });
  return roomList(planned.blocks, planned.start.position, roomHabits);
}

/** Keeps what is ready. */
export async function saveReady(
  db: Db,
  visitId: number,
  { ready }: ReadyInput,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await findVisit(db, visitId);
  if (!visit) return { kind: 'not-found' };
  await setReady(db, visitId, ready);
  if (visit.stage === 'plan') await advance(db, visitId, 'plan', 'prepare');
  return { kind: 'saved' };
}
