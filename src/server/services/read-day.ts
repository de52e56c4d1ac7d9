import { isSameDay } from 'date-fns';
import { sql } from 'kysely';
import { anatomy } from '../../catalogue/anatomy';
import type { DayView, DayVisit, StageOrEnd, Stage } from '../../contracts/views';
import type { Purpose } from '../../core/drainage/case';
import { formatNumber } from '../../core/units';
import { workInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import { listFindings } from '../repositories/findings';
import { findHouse, listTherapists } from '../repositories/people';
import {
  countVisits,
  latestClosing,
  listTapingsOfClient,
  listVisits,
  listVisitsOfClient,
} from '../repositories/visits';
import { clockTime, dayBounds, isoDay, longDay, workingWeek } from './house-clock';
import { briefOf, therapistOf } from './read-visit';
import { withVolume } from './taping-volume';

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

/** The thread of one day, with what has to be done for each visit and what was left open before. */
export async function readDay(db: Db, day: Date, now: Date): Promise<DayView> {
  const [from, to] = dayBounds(day);
  const [house, therapists, rows] = await Promise.all([findHouse(db), listTherapists(db), listVisits(db, from, to)]);
  const visits: DayVisit[] = [];
  for (const row of rows) {
    const findings = await listFindings(db, row.client_id);
    const focus = JSON.parse(row.focus_json) as string[];
    const stage = row.stage as StageOrEnd;
    const earlier = (await listVisitsOfClient(db, row.client_id)).filter((v) => v.starts_at < row.starts_at);
    visits.push({
      id: row.id,
      time: clockTime(row.starts_at),
      startsAt: row.starts_at,
      minutes: row.minutes,
      stage,
      client: briefOf(
        { id: row.client_id, name: row.client_name, born_on: row.born_on },
        findings,
        isoDay(row.starts_at),
      ),
      therapist: therapistOf(therapists, row.therapist_id),
      work: workInWords(anatomy, focus, row.purpose as Purpose),
      line: await lineOf(
        db,
        row.id,
        row.client_id,
        stage,
        earlier.map((v) => v.id),
      ),
      tasks: tasksOf(stage, focus),
    });
  }
  const week = await Promise.all(
    workingWeek(day).map(async (date) => ({
      date: isoDay(date.toISOString()),
      weekday: date.toLocaleDateString('en-GB', { weekday: 'short' }),
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
    looseEnds: await looseEndsOf(db, now),
  };
}

async function lineOf(
  db: Db,
  visitId: number,
  clientId: number,
  stage: StageOrEnd,
  earlierIds: readonly number[],
): Promise<string> {
  if (stage === 'done') {
    const closing = await latestClosing(db, visitId);
    return closing?.comfort === null || closing?.comfort === undefined
      ? 'closed'
      : `closed · comfort ${closing.comfort} of 10`;
  }
  if (stage === 'stopped') return 'stopped at the check';
  const tapings = await listTapingsOfClient(db, clientId);
  const last = earlierIds.map((id) => tapings.find((t) => t.visit_id === id && t.phase === 'before')).find(Boolean);
  const number = earlierIds.length === 0 ? 'first visit' : `visit ${earlierIds.length + 1}`;
  const excess = last ? withVolume(last).volume?.excessMl : null;
  if (!last || excess === null || excess === undefined) return number;
  return `${number} · last time ${formatNumber(excess)} mL over the ${last.side === 'left' ? 'right' : 'left'} ${last.limb}`;
}

function tasksOf(stage: StageOrEnd, focus: readonly string[]): DayVisit['tasks'] {
  const limb = focus.find((id) => id.startsWith('leg.') || id.startsWith('arm.'));
  const tasks: { text: string; when: string; stage: Stage }[] = [
    { text: 'Ask: still fever-free, no new redness?', when: 'at the door', stage: 'ask' },
    ...(limb
      ? [
          {
            text: `Tape both ${limb.split('.')[0]}s at the same points as last time`,
            when: 'before',
            stage: 'measure' as const,
          },
        ]
      : []),
    {
      text: limb ? 'Lay out: tape measure, bolster, warm cover, no oil' : 'Lay out: head rest, warm cover, no oil',
      when: 'set out',
      stage: 'plan',
    },
  ];
  return tasks.map((task) => ({ ...task, done: reached[stage] > reached[task.stage] }));
}

async function looseEndsOf(db: Db, now: Date): Promise<DayView['looseEnds']> {
  const [today] = dayBounds(now);
  const rows = await db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .select(['visit.id', 'visit.stage', 'client.name', 'visit.starts_at'])
    .where('starts_at', '<', today)
    // Written out, so that SQLite can use the index over visits that were left open.
    .where(sql<boolean>`stage not in ('done', 'stopped')`)
    .orderBy('starts_at', 'desc')
    .limit(6)
    .execute();
  return rows.map((row) => ({
    text: `${row.name}: record to finish`,
    what: longDay(row.starts_at),
    href: `/visits/${row.id}/${row.stage === 'ask' ? 'ask' : 'close'}`,
  }));
}
