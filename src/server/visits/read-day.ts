import type { VisitId } from '../../core/ids';
import { addDays, format, isSameDay, subMinutes } from 'date-fns';
import type { DayView, DayVisit } from '../../contracts/day-views';
import type { ClosingView } from '../../contracts/closing-view';
import type { StageOrEnd, TherapistView } from '../../contracts/people-views';
import { volumesIn } from '../../core/volume-units';
import type { Db } from '../db/connection';
import type { TapingRow } from '../db/schema';
import { listFindingsOf, type StoredFinding } from '../screening/findings.repository';
import { findHouse, listBookable, listTherapists } from '../people/people.repository';
import { latestClosingsOf } from './closings.repository';
import { findEndsOf } from '../table/table-events.repository';
import { countEarlierOf, countVisits, latestAnswers, listOpenBefore, listVisits } from './visits.repository';
import { lastTapingBefore } from '../measures/tapings.repository';
import { clockTime, dayBounds, isoDay, longDay, weekOf } from '../shared/house-clock';
import { countOpen } from '../../core/visit/visit-check';
import { lookAgainAt } from '../../core/skin/look-again';
import { ageOn } from '../../core/visit/words';
import { modalitiesOf, storedWork, workForDesk, workOf } from './visit-holds';
import { prepareVisit } from './prepare-visit';
import { briefOf, therapistOf } from './read-visit';
import { visitCheckFor } from './visit-check';
import { patchTestsDue } from '../oils/patch-tests';
import { bottlesTurning } from '../oils/read-oils';
import { countOutbox } from '../messages/outbox';
import { readVolumeSettings, withVolume } from '../measures/taping-volume';
import { findMeasuring } from '../people/settings.repository';
import { focusColumn, readyColumn } from './visit.documents';
import { visitsAnswers } from './visits.answers';

const reached: Readonly<Record<StageOrEnd, number>> = {
  ask: 0,
  measure: 1,
  plan: 2,
  prepare: 3,
  table: 4,
  close: 5,
  done: 6,
  stopped: 6,
};

/**
 * The thread of one day, with what has to be done for each visit and what was left open before.
 * @param mayTreat false for the front desk, who get nothing of what was found, measured or done
 */
export async function readDay(
  db: Db,
  day: Date,
  now: Date,
  mayTreat = true,
  /** What the owner is to see to, such as a backup that is old. */
  ownerEnds: DayView['looseEnds'] = [],
): Promise<DayView> {
  const [from, to] = dayBounds(day);
  const [house, therapists, rows] = await Promise.all([findHouse(db), listTherapists(db), listVisits(db, from, to)]);
  const known = await knownOf(db, rows);
  const visits = await Promise.all(rows.map((row) => dayVisit(db, row, therapists, known, mayTreat)));
  const week = await Promise.all(
    weekOf(day).map(async (date) => ({
      date: isoDay(date.toISOString()),
      weekday: format(date, 'EEE'),
      day: String(date.getDate()),
      visits: await countVisits(db, ...dayBounds(date)),
      isToday: isSameDay(date, now),
    })),
  );
  return {
    title: longDay(day.toISOString()),
    date: isoDay(day.toISOString()),
    now: now.toISOString(),
    house: house?.name ?? '',
    week,
    visits,
    looseEnds: mayTreat
      ? [...ownerEnds, ...(await patchEnds(db, now)), ...(await looseEndsOf(db, now)), ...(await bottleEnds(db, now))]
      : [],
    mayTreat,
    outbox: await countOutbox(db, now),
    before: isoDay(addDays(day, -7).toISOString()),
    after: isoDay(addDays(day, 7).toISOString()),
    therapists: await listBookable(db),
  };
}

type VisitOfDay = Awaited<ReturnType<typeof listVisits>>[number];

/** What is known of all visits of a day, each asked for once: a full day has thirty. */
interface Known {
  readonly findings: ReadonlyMap<number, readonly StoredFinding[]>;
  /** Visit → how many its client had before. */
  readonly earlier: ReadonlyMap<number, number>;
  readonly closings: ReadonlyMap<number, ClosingView>;
  /** Visit → when it ended at the table. */
  readonly ends: ReadonlyMap<number, string>;
}

async function knownOf(db: Db, rows: readonly VisitOfDay[]): Promise<Known> {
  const ids = rows.map(({ id }) => id);
  const over = rows.filter(({ stage }) => reached[stage as StageOrEnd] >= reached.close).map(({ id }) => id);
  const [findings, earlier, closings, ends] = await Promise.all([
    listFindingsOf(db, [...new Set(rows.map(({ client_id }) => client_id))]),
    countEarlierOf(db, ids),
    latestClosingsOf(db, over),
    findEndsOf(db, over),
  ]);
  return { findings, earlier, closings, ends };
}

async function dayVisit(
  db: Db,
  row: VisitOfDay,
  therapists: readonly TherapistView[],
  known: Known,
  mayTreat: boolean,
): Promise<DayVisit> {
  const findings = known.findings.get(row.client_id) ?? [];
  const earlier = known.earlier.get(row.id) ?? 0;
  const focus = focusColumn.read(row.focus_json);
  const stage = row.stage as StageOrEnd;
  const last =
    stage === 'done' || stage === 'stopped'
      ? undefined
      : await lastTapingBefore(db, row.client_id, row.starts_at, row.id);
  const client = briefOf(
    { id: row.client_id, name: row.client_name, born_on: row.born_on },
    findings,
    isoDay(row.starts_at),
  );
  const preparations =
    stage === 'done' || stage === 'stopped'
      ? []
      : await prepareVisit(db, {
          clientId: row.client_id,
          startsAt: row.starts_at,
          focus,
          isFirst: earlier === 0,
          isTaped: last !== undefined,
          bornOn: row.born_on,
          findings,
          checkOpen: mayTreat ? await openChecks(db, row, findings, earlier === 0) : 0,
          modalities: storedWork(row)?.modalities,
        });
  return {
    id: row.id,
    time: clockTime(row.starts_at),
    startsAt: row.starts_at,
    minutes: row.minutes,
    stage,
    client: mayTreat ? client : { ...client, about: '' },
    therapist: therapistOf(therapists, row.therapist_id),
    work: mayTreat ? workOf(row) : workForDesk(row),
    line: await lineOf(db, row.id, stage, known, mayTreat ? last : undefined, mayTreat),
    tasks: [
      ...(mayTreat ? skinTasks(row.id, stage, known) : []),
      ...roomTasks(row, reached[stage] > reached.plan),
      ...preparations
        .filter(({ seenBy }) => seenBy === 'both' || seenBy === (mayTreat ? 'therapist' : 'desk'))
        .map(({ text, when, stage: until, isPressing }) => ({
          text,
          when,
          stage: until,
          isPressing,
          done: reached[stage] > reached[until],
        })),
    ],
  };
}

/** How many answers the check of the day still asks for. */
async function openChecks(
  db: Db,
  row: VisitOfDay,
  stored: readonly StoredFinding[],
  isFirst: boolean,
): Promise<number> {
  const check = visitCheckFor({
    startsAt: row.starts_at,
    ...{ stored, isFirst },
    modalities: modalitiesOf(row),
    client: { age: ageOn(row.born_on, isoDay(row.starts_at)) },
    dueOn: row.due_on,
  });
  return countOpen(check, await latestAnswers(db, row.id));
}

/** Ten minutes after a treatment the skin wants another look, until it is written down how it was. */
function skinTasks(visitId: VisitId, stage: StageOrEnd, { ends, closings }: Known): DayVisit['tasks'] {
  if (reached[stage] < reached.close || stage === 'stopped') return [];
  const endedAt = ends.get(visitId) ?? null;
  const closing = closings.get(visitId);
  const { redness = null, rednessBefore = null, fadeMinutes = null } = closing ?? {};
  const due = lookAgainAt({ endedAt, redness, rednessBefore, fadeMinutes });
  if (due === null) return [];
  return [
    {
      text: visitsAnswers.lookAtTheSkinAgain,
      when: `at ${clockTime(due)}`,
      stage: 'close',
      isPressing: true,
      done: false,
    },
  ];
}

/** What the room needs for the treatment that was booked or planned, with the time of day for each. */
function roomTasks(row: VisitOfDay, isOver: boolean): DayVisit['tasks'] {
  const ready = new Set(readyColumn.read(row.ready_json));
  const room = storedWork(row)?.room ?? [];
  return room
    .filter(({ kind }) => kind !== 'hands' && kind !== 'water')
    .map(({ id, what, minutesBefore, kind }) => ({
      text: what,
      when: `at ${clockTime(subMinutes(new Date(row.starts_at), minutesBefore).toISOString())}`,
      stage: 'plan',
      isPressing: kind === 'heat',
      done: isOver || ready.has(id ?? what) || ready.has(what),
    }));
}

async function lineOf(
  db: Db,
  visitId: VisitId,
  stage: StageOrEnd,
  { earlier, closings }: Known,
  last: TapingRow | undefined,
  mayTreat: boolean,
): Promise<string> {
  if (stage === 'done') {
    const comfort = mayTreat ? closings.get(visitId)?.comfort : undefined;
    return comfort === null || comfort === undefined ? 'closed' : visitsAnswers.closedComfortOf10(comfort);
  }
  if (stage === 'stopped') return mayTreat ? visitsAnswers.stoppedAtTheCheck : visitsAnswers.didNotTakePlace;
  const before = earlier.get(visitId) ?? 0;
  const number = before === 0 ? visitsAnswers.firstVisit : `visit ${before + 1}`;
  const excess = last ? withVolume(last, await readVolumeSettings(db, last.client_id)).volume?.excessMl : null;
  if (!last || excess === null || excess === undefined) return number;
  const volumes = volumesIn((await findMeasuring(db)).volumeUnit);
  return visitsAnswers.lastTimeOverThe(
    number,
    volumes.text(excess),
    last.side === 'left' ? 'right' : 'left',
    last.limb,
  );
}

/** Patch tests that are to be read today, with the time. */
async function patchEnds(db: Db, now: Date): Promise<DayView['looseEnds']> {
  const tests = await patchTestsDue(db, now);
  return tests.map(({ client, clientId, words }) => ({
    text: visitsAnswers.patchTest(client),
    what: words,
    href: `/bench/oils?client=${clientId}`,
  }));
}

/** Bottles that are old or about to be; one line for all but the first. */
async function bottleEnds(db: Db, now: Date): Promise<DayView['looseEnds']> {
  const [first, ...others] = await bottlesTurning(db, now);
  if (!first) return [];
  const more = others.length > 0 ? visitsAnswers.andMore(others.length) : '';
  return [{ text: `${first.name}${more}`, what: first.words, href: '/bench/bottles' }];
}

/** As many as a full day leaves open. */
const mostLooseEnds = 12;

async function looseEndsOf(db: Db, now: Date): Promise<DayView['looseEnds']> {
  const [today] = dayBounds(now);
  const rows = await listOpenBefore(db, today, mostLooseEnds);
  return rows.map((row) => ({
    text: visitsAnswers.recordToFinish(row.name),
    what: format(new Date(row.starts_at), 'EEE d MMM'),
    href: `/visits/${row.id}/${row.stage === 'ask' ? 'ask' : 'close'}`,
  }));
}
