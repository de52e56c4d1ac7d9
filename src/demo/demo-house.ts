import type { Minutes } from '../core/quantities';
import type { ClientId, TherapistId, VisitId } from '../core/ids';
import { addDays, addHours, addYears, set, startOfDay } from 'date-fns';
import { sideOf } from '../core/anatomy/place';
import { defaultSchool } from '../core/drainage/case';
import { type CheckAnswers, wordingOf } from '../core/visit/visit-check';
import type { MarkKind } from '../core/table/mark-kinds';
import type { TableEvent } from '../core/table/table-event';
import { overheadSecondsOf } from '../core/table/progress';
import { spanOf, type TableStep } from '../core/table/table-step';
import { foreseeTreatment } from '../server/treatments/make-treatment';
import type { Db } from '../server/db/connection';
import { insertFinding, type NewFinding } from '../server/screening/findings.repository';
import { noLikes } from '../server/clients/clients.documents';
import { insertClient } from '../server/clients/clients.repository';
import { findHouse, insertHouse, insertTherapist } from '../server/people/people.repository';
import { insertConsent, insertIntakeAnswers } from '../server/screening/screening.repository';
import { insertClosing } from '../server/visits/closings.repository';
import { insertEvents } from '../server/table/table-events.repository';
import { insertAnswers, insertVisit, listVisits, setStage } from '../server/visits/visits.repository';
import { listConditions } from '../server/screening/describe-finding';
import { dayBounds, isoDay } from '../server/shared/house-clock';
import { plainLetters } from '../core/search/nearness';
import { keepFirstWording, readWording } from '../server/screening/wording';
import type { MessageWish } from '../core/messages/reach';
import { settleReminders } from '../server/messages/outbox';
import { noteBooked } from '../server/messages/queue-messages';
import { visitCheck } from '../server/visits/visit-check';
import { hashSecret } from '../server/auth/secrets';
import { giveDemoSheet } from './home';
import { measure, measureNeck, rememberMeasuring } from './measures';
import { demoClients } from './clients.data';
import type { DemoClient, DemoFinding } from './demo-client';
import { demoHouse, demoPin, demoStaff } from './house.data';
import { seededRandom } from '../core/random';
import { drawLines, planDrainageOf, planTreatmentOf, wishOf } from './plans';
import { practise } from './practice';
import { carryBlend, fillShelf, placeDemoPatch } from './shelf';
import { layTray } from './tray';

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
  const pinHash = await hashSecret(demoPin);
  const therapistIds: number[] = [];
  for (const person of demoStaff) therapistIds.push(await insertTherapist(db, { ...person, pinHash }));
  await layTray(db, now);
  await fillShelf(db, now);
  await keepFirstWording(db, now.toISOString());
  const wording = await readWording(db);
  for (const client of demoClients) {
    const by = therapistIds[client.therapist] ?? null;
    const id = await insertClient(
      db,
      {
        ...client,
        email: client.email ?? mailOf(client.name),
        messagesBy: wishOfName(client),
        likes: { ...noLikes, ...client.likes },
        dueOn: client.dueInDays === undefined ? null : isoDay(addDays(now, client.dueInDays).toISOString()),
      },
      now.toISOString(),
    );
    for (const finding of client.findings)
      await insertFinding(db, id, dated(finding, now), by, addDays(now, -40).toISOString());
    if (client.hasIntake) await makeIntake(db, client, id, by, wording.version, now);
    await makePast(db, client, id, therapistIds[client.therapist] ?? 1, now, random);
    if (client.patchTest) await placeDemoPatch(db, id, client.patchTest, now);
    if (client.name === 'Marit Olsvang')
      await giveDemoSheet(db, id, therapistIds[client.therapist] ?? 1, now, seededRandom(id));
    if (client.ahead)
      await book(
        db,
        client,
        id,
        therapistIds[client.therapist] ?? 1,
        addDays(now, client.ahead[0]),
        client.ahead[1],
        now,
      );
  }
  await bookToday(db, now);
  await settlePast(db, now);
  await practise(db, therapistIds, now);
}

/** What was due by this morning has gone out; one message came back. */
async function settlePast(db: Db, now: Date): Promise<void> {
  const before = addHours(now, -1);
  const one = await db
    .selectFrom('reminder')
    .select('id')
    .where('due_at', '<=', before.toISOString())
    .orderBy('id', 'desc')
    .executeTakeFirst();
  if (one) await settleReminders(db, { kind: 'fail', id: one.id }, before);
  await settleReminders(db, { kind: 'send-due' }, before, false);
}

/** Some wish mails and some texts; one in five has not been asked. */
function wishOfName({ name, email }: Pick<DemoClient, 'name' | 'email'>): MessageWish {
  if (name.length % 5 === 0) return '';
  return (email ?? mailOf(name)) === '' ? 'text' : 'mail';
}

/** Made up for two in three, so that some can be reached by telephone only. */
function mailOf(name: string): string {
  const [first = '', last = ''] = plainLetters(name).split(' ');
  return name.length % 3 === 0 ? '' : `${first}@${last}.example`;
}

/** A finding with its dates counted back from today. */
function dated({ daysAgo, clearedDaysAgo, ...finding }: DemoFinding, now: Date): NewFinding {
  const before = (days: number) => isoDay(addDays(now, -days).toISOString());
  return {
    ...finding,
    sinceOn: daysAgo === undefined ? (finding.sinceOn ?? null) : before(daysAgo),
    clearance: clearedDaysAgo
      ? {
          date: before(clearedDaysAgo.days),
          writtenBy: clearedDaysAgo.by,
          words: clearedDaysAgo.words,
          modalities: clearedDaysAgo.modalities === 'all' ? 'all' : [...clearedDaysAgo.modalities],
          limits: {},
        }
      : null,
  };
}

/** All questions of the intake answered, some weeks ago, and the consent signed. */
async function makeIntake(
  db: Db,
  client: DemoClient,
  clientId: ClientId,
  by: number | null,
  wordingVersion: number,
  now: Date,
): Promise<void> {
  const at = addDays(now, -(client.past?.visits ?? 1) * (client.past?.everyDays ?? 7)).toISOString();
  const found = new Set(client.findings.map((finding) => finding.id));
  const answers = listConditions()
    .filter((condition) => condition.atIntake)
    .map(({ id }) => ({ condition: id, answer: found.has(id) ? ('yes' as const) : ('no' as const) }));
  await insertIntakeAnswers(db, { clientId, visitId: null, answers, source: 'therapist', by, now: at });
  const signer = client.bornOn > isoDay(addYears(now, -18).toISOString()) ? 'guardian' : 'client';
  const name = signer === 'guardian' ? `Mother of ${client.name}` : client.name;
  await insertConsent(
    db,
    clientId,
    null,
    { areas: ['groin', 'belly'], signer, name, drawing: null, wordingVersion, language: 'en' },
    by,
    at,
  );
}

async function bookToday(db: Db, now: Date): Promise<void> {
  const clients = await db.selectFrom('client').select(['id', 'name']).execute();
  const therapists = await db.selectFrom('therapist').select('id').orderBy('id').execute();
  for (const client of demoClients) {
    const row = clients.find((c) => c.name === client.name);
    if (!client.today || !row) continue;
    await book(db, client, row.id, therapists[client.therapist]?.id ?? 1, now, client.today, now);
  }
}

async function book(
  db: Db,
  client: DemoClient,
  clientId: ClientId,
  therapistId: TherapistId,
  day: Date,
  time: string,
  now: Date,
): Promise<void> {
  const [hours = 9, minutes = 0] = time.split(':').map(Number);
  const startsAt = set(startOfDay(day), { hours, minutes }).toISOString();
  const id = await insertVisit(db, {
    clientId,
    therapistId,
    startsAt,
    minutes: client.minutes,
    focus: [...client.focus],
    purpose: client.purpose,
  });
  if (client.holds) await foreseeTreatment(db, id, wishOf(client));
  await noteBooked(db, [id], addDays(now, -3));
}

async function makePast(
  db: Db,
  client: DemoClient,
  clientId: ClientId,
  therapistId: TherapistId,
  now: Date,
  random: () => number,
): Promise<void> {
  const { past } = client;
  if (!past) return;
  if (past.limb && past.side) await rememberMeasuring(db, clientId, past.limb, past.side);
  for (let k = past.visits; k >= 1; k -= 1) {
    const day = addDays(startOfDay(now), -k * past.everyDays);
    const startsAt = set(day, { hours: 9 + Math.floor(random() * 8), minutes: random() < 0.5 ? 0 : 30 });
    const at = (minutes: Minutes) => new Date(startsAt.getTime() + minutes * 60_000).toISOString();
    const id = await insertVisit(db, {
      clientId,
      therapistId,
      startsAt: at(0),
      minutes: client.minutes,
      focus: [...client.focus],
      purpose: client.purpose,
    });
    await insertAnswers(
      db,
      id,
      { answers: noToAll(), asked: wordingOf(visitCheck, noToAll()) },
      'go',
      therapistId,
      at(1),
    );
    if (past.limb && past.side && past.excess) {
      const [from, to] = past.excess;
      const share = past.visits === 1 ? from : from + ((to - from) * (past.visits - k)) / (past.visits - 1);
      await measure(db, {
        clientId,
        visitId: id,
        therapistId,
        limb: past.limb,
        side: past.side,
        excess: share,
        index: past.visits - k,
        count: past.visits,
        at,
        endMinute: client.minutes,
        random,
      });
    }
    const isLeftOpen = past.isLeftOpen === true && k === 1;
    if (client.lines)
      await measureNeck(db, {
        ...{ clientId, visitId: id, therapistId, at, index: past.visits - k, endMinute: client.minutes },
      });
    if (client.lines && k === past.visits) await drawLines(db, client.lines, clientId, id, therapistId, at(6));
    const planned = client.holds ? planTreatmentOf : planDrainageOf;
    const steps = await planned(db, client, clientId, id, therapistId, at(9));
    const scent = client.scented?.liked[past.visits - k] ?? null;
    if (client.scented) await carryBlend(db, id, client.scented.blend, therapistId, at(10));
    await treat(db, client, id, therapistId, steps, at, random, isLeftOpen, scent);
    if (isLeftOpen) await setStage(db, id, 'close');
    else await setStage(db, id, 'done', at(client.minutes + 4));
  }
}

/** The check before a visit with nothing to report. */
function noToAll(): CheckAnswers {
  const questions = [...visitCheck.flags, ...visitCheck.today, ...visitCheck.others];
  return Object.fromEntries(questions.map(({ id }) => [id, 'no'] as const));
}

/** Nobody’s hands keep exactly to the library: how much of its seconds each of the house takes. */
const paceOfHands = (therapist: number): number => [0.96, 0.9, 0.94][therapist % 3] ?? 1;

/** One visit drains longer than another: between three quarters of what is planned and all of it. */
const shareOfDraining = (visitId: VisitId): number => 0.875 + 0.125 * Math.sin(2.4 * visitId);

const isOnTheRight = ({ told }: TableStep): boolean =>
  told !== undefined && told.places.length > 0 && told.places.every((place) => sideOf(place) === 'right');

/**
 * Every third visit something is tighter at the same place, every other one it is tender at another; work on face and
 * back finds the right side tighter.
 */
function foundAt(step: TableStep, steps: readonly TableStep[], visitId: VisitId): MarkKind | undefined {
  if (step === steps.find(isOnTheRight)) return 'tighter';
  const drains = steps.filter(({ kind, told }) => kind === 'drain' && !told);
  if (step === drains[2] && visitId % 3 === 0) return 'tighter';
  return step === drains.at(-2) && visitId % 2 === 0 ? 'tender' : undefined;
}

async function treat(
  db: Db,
  client: DemoClient,
  visitId: VisitId,
  therapistId: TherapistId,
  steps: readonly TableStep[],
  at: (minutes: Minutes) => string,
  random: () => number,
  isLeftOpen: boolean,
  scent: number | null,
): Promise<void> {
  const events: TableEvent[] = [];
  let minute = 11;
  for (const step of steps) {
    const common = { stepId: step.id, planVersion: 1 };
    events.push({ id: `demo-${visitId}-${step.id}-start`, kind: 'start', at: at(minute), ...common });
    const mark = foundAt(step, steps, visitId);
    if (mark)
      events.push({ id: `demo-${visitId}-${step.id}-mark`, kind: 'mark', mark, at: at(minute + 0.2), ...common });
    const overhead = overheadSecondsOf(step);
    const share = step.kind === 'drain' && !step.told ? shareOfDraining(visitId) : paceOfHands(therapistId);
    minute += (overhead + share * (spanOf(step) - overhead)) / 60;
    events.push({ id: `demo-${visitId}-${step.id}-end`, kind: 'end', at: at(minute), ...common });
  }
  events.push({ id: `demo-${visitId}-finish`, kind: 'finish', stepId: null, at: at(minute), planVersion: 1 });
  await insertEvents(db, visitId, events, at(minute));
  if (isLeftOpen) return;
  const comfort = 7 + Math.floor(random() * 4);
  const redness = random() < 0.4 ? 1 + Math.floor(random() * 2) : 0;
  const relaxationBefore = 3 + Math.floor(random() * 3);
  await insertClosing(
    db,
    visitId,
    1,
    {
      pressure: random() < 0.2 ? -1 : 0,
      comfort,
      redness,
      rednessBefore: 0,
      fadeMinutes: redness === 0 ? null : redness === 1 ? 5 : 15,
      warmth: random() < 0.3 ? -1 : 0,
      scent,
      relaxationBefore,
      relaxationAfter: Math.min(10, relaxationBefore + 2 + Math.floor(random() * 3)),
      note: '',
      basedOn: 0,
    },
    therapistId,
    at(client.minutes + 2),
  );
}
