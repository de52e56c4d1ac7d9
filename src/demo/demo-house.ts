import { addDays, set, startOfDay } from 'date-fns';
import { anatomy } from '../catalogue/anatomy';
import type { TapingInput } from '../contracts/record';
import { defaultSchool, type DrainageCase, readCase } from '../core/drainage/case';
import { planDrainage } from '../core/drainage/plan';
import type { TableEvent } from '../core/table/progress';
import { visitQuestionIds } from '../core/visit/visit-check';
import type { Db } from '../server/db/connection';
import { insertFinding } from '../server/repositories/findings';
import { findHouse, insertClient, insertHouse, insertTherapist } from '../server/repositories/people';
import {
  insertAnswers,
  insertClosing,
  insertEvents,
  insertPlan,
  insertTaping,
  insertVisit,
  listVisits,
  setStage,
} from '../server/repositories/visits';
import { dayBounds } from '../server/services/house-clock';
import { volumeOf } from '../server/services/taping-volume';
import { demoPositions, makeGirths } from './girths';
import { type DemoClient, demoClients, demoHouse, demoTherapists } from './people.data';
import { seededRandom } from './random';

/**
 * Makes the demo house on an empty data folder, the same every time but for the date that it is counted back from.
 * On a folder that has one, only today's visits are added when there are none, so that a demo never opens on an empty day.
 */
export async function ensureDemoHouse(db: Db, now: Date): Promise<void> {
  await db.transaction().execute(async (trx) => {
    if (!(await findHouse(trx))) {
      await makeHouse(trx, now);
      return;
    }
    const today = await listVisits(trx, ...dayBounds(now));
    if (today.length === 0) await bookToday(trx, now);
  });
}

async function makeHouse(db: Db, now: Date): Promise<void> {
  const random = seededRandom(20_261_125);
  await insertHouse(db, { ...demoHouse, school: defaultSchool }, now.toISOString());
  const therapistIds: number[] = [];
  for (const therapist of demoTherapists) therapistIds.push(await insertTherapist(db, therapist));
  for (const client of demoClients) {
    const id = await insertClient(db, client, now.toISOString());
    for (const finding of client.findings) {
      await insertFinding(
        db,
        id,
        { ...finding, sinceOn: finding.sinceOn ?? null, note: finding.note ?? '' },
        therapistIds[client.therapist] ?? null,
        now.toISOString(),
      );
    }
    await makePast(db, client, id, therapistIds[client.therapist] ?? 1, now, random);
    if (client.ahead)
      await book(db, client, id, therapistIds[client.therapist] ?? 1, addDays(now, client.ahead[0]), client.ahead[1]);
  }
  await bookToday(db, now);
}

async function bookToday(db: Db, now: Date): Promise<void> {
  const clients = await db.selectFrom('client').select(['id', 'name']).execute();
  const therapists = await db.selectFrom('therapist').select('id').orderBy('id').execute();
  for (const client of demoClients) {
    const row = clients.find((c) => c.name === client.name);
    if (!client.today || !row) continue;
    await book(db, client, row.id, therapists[client.therapist]?.id ?? 1, now, client.today);
  }
}

async function book(
  db: Db,
  client: DemoClient,
  clientId: number,
  therapistId: number,
  day: Date,
  time: string,
): Promise<void> {
  const [hours = 9, minutes = 0] = time.split(':').map(Number);
  const startsAt = set(startOfDay(day), { hours, minutes }).toISOString();
  await insertVisit(db, {
    clientId,
    therapistId,
    startsAt,
    minutes: client.minutes,
    focus: [...client.focus],
    purpose: client.purpose,
  });
}

async function makePast(
  db: Db,
  client: DemoClient,
  clientId: number,
  therapistId: number,
  now: Date,
  random: () => number,
): Promise<void> {
  const { past } = client;
  if (!past) return;
  for (let k = past.visits; k >= 1; k -= 1) {
    const day = addDays(startOfDay(now), -k * past.everyDays);
    const startsAt = set(day, { hours: 9 + Math.floor(random() * 8), minutes: random() < 0.5 ? 0 : 30 });
    const at = (minutes: number) => new Date(startsAt.getTime() + minutes * 60_000).toISOString();
    const id = await insertVisit(db, {
      clientId,
      therapistId,
      startsAt: at(0),
      minutes: client.minutes,
      focus: [...client.focus],
      purpose: client.purpose,
    });
    await insertAnswers(db, id, Object.fromEntries(visitQuestionIds.map((q) => [q, 'no'])), 'go', therapistId, at(1));
    if (past.limb && past.side && past.excess) {
      const [from, to] = past.excess;
      const share = past.visits === 1 ? from : from + ((to - from) * (past.visits - k)) / (past.visits - 1);
      await tape(db, id, 'before', past.limb, past.side, share, therapistId, at(6), random);
      await tape(db, id, 'after', past.limb, past.side, share * 0.9, therapistId, at(client.minutes), random);
    }
    const isLeftOpen = past.isLeftOpen === true && k === 1;
    await treat(db, client, id, therapistId, at, random, isLeftOpen);
    if (isLeftOpen) await setStage(db, id, 'close');
    else await setStage(db, id, 'done', at(client.minutes + 4));
  }
}

async function tape(
  db: Db,
  visitId: number,
  phase: 'before' | 'after',
  limb: 'arm' | 'leg',
  side: 'left' | 'right',
  excess: number,
  by: number,
  at: string,
  random: () => number,
): Promise<void> {
  const taping: TapingInput = {
    phase,
    limb,
    side,
    unit: 'cm',
    method: 'frustum',
    positions: [...demoPositions(limb)],
    basedOn: 0,
    ...makeGirths(limb, excess, random),
  };
  await insertTaping(db, visitId, 1, taping, volumeOf(taping), by, at);
}

async function treat(
  db: Db,
  client: DemoClient,
  visitId: number,
  therapistId: number,
  at: (minutes: number) => string,
  random: () => number,
  isLeftOpen: boolean,
): Promise<void> {
  const given: DrainageCase = {
    focus: client.focus,
    purpose: client.purpose,
    findings: client.findings.map(({ id, side, regions, crosses }) => ({
      id,
      ...(side ? { side } : {}),
      ...(regions ? { regions } : {}),
      ...(crosses ? { crosses } : {}),
    })),
    school: defaultSchool,
    minutes: client.minutes,
    fill: false,
    qualifications: demoTherapists[client.therapist]?.qualifications ?? [],
  };
  const read = readCase(anatomy, given);
  if (!read.ok) throw new Error(`demo client ${client.name}: ${read.errors.map((e) => e.message).join('; ')}`);
  const plan = planDrainage(anatomy, read.value);
  await insertPlan(db, {
    visit_id: visitId,
    version: 1,
    case_json: JSON.stringify(given),
    plan_json: JSON.stringify(plan),
    steps_json: JSON.stringify(plan.steps),
    is_rearranged: 0,
    reason: '',
    recorded_at: at(9),
    recorded_by: therapistId,
  });
  const events: TableEvent[] = [];
  let minute = 11;
  for (const step of plan.steps) {
    const common = { stepId: step.id, planVersion: 1 };
    events.push({ id: `demo-${visitId}-${step.id}-start`, kind: 'start', at: at(minute), ...common });
    minute += step.seconds / 60;
    events.push({ id: `demo-${visitId}-${step.id}-end`, kind: 'end', at: at(minute), ...common });
  }
  events.push({ id: `demo-${visitId}-finish`, kind: 'finish', stepId: null, at: at(minute), planVersion: 1 });
  await insertEvents(db, visitId, events, at(minute));
  if (isLeftOpen) return;
  const comfort = 7 + Math.floor(random() * 4);
  await insertClosing(
    db,
    visitId,
    1,
    { pressure: random() < 0.2 ? -1 : 0, comfort, redness: random() < 0.3 ? 1 : 0, note: '', basedOn: 0 },
    therapistId,
    at(client.minutes + 2),
  );
}
