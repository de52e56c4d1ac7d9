import { subDays } from 'date-fns';
import type { ObservationView } from '../../contracts/measure-views';
import type { FaceLine } from '../../core/facial/line';
import type { Db } from '../db/connection';
import { listTicks } from '../repositories/home';
import { listObservationsOfClient } from '../repositories/measures';
import type { TreatmentFacts } from './compose-treatment';
import { lastTreatment } from './given-treatment';
import { isoDay } from './house-clock';
import { readBody } from './oil-client';
import type { VisitRecord } from './read-visit';
import { readTray } from './rotate-stones';
import { modalitiesOf } from './visit-holds';

const daysOfLedger = 7;

/** All that a treatment of this visit is composed from. */
export async function readTreatmentFacts(db: Db, visit: VisitRecord): Promise<TreatmentFacts> {
  const [observations, timesThisWeek, last, tray, body] = await Promise.all([
    listObservationsOfClient(db, visit.client.id),
    timesBefore(db, visit),
    lastTreatment(db, visit.client.id, visit.startsAt),
    readTray(db, visit),
    readBody(db, visit.client.id),
  ]);
  return {
    visit,
    lines: linesFrom(observations, visit),
    timesThisWeek,
    last: last && { date: last.date, given: last.given },
    tray,
    surfaceM2: body.surfaceM2 ?? undefined,
  };
}

/** The client's lines as they were drawn last, at this visit or before. */
function linesFrom(observations: readonly ObservationView[], visit: VisitRecord): readonly FaceLine[] {
  const drawn = observations.findLast(
    (one) => one.kind === 'lines' && (one.visitId === visit.id || one.takenAt <= visit.startsAt),
  );
  return drawn?.kind === 'lines' ? drawn.value.lines : [];
}

/** How often each kind of work was given in the seven days before a visit, and done at home. */
export async function timesBefore(
  db: Db,
  visit: Pick<VisitRecord, 'client' | 'startsAt'>,
): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .selectFrom('visit')
    .select(['holds_json'])
    .where('client_id', '=', visit.client.id)
    .where('starts_at', '<', visit.startsAt)
    .where('starts_at', '>', subDays(new Date(visit.startsAt), daysOfLedger).toISOString())
    .where('stage', 'in', ['close', 'done'])
    .where('cancelled_at', 'is', null)
    .execute();
  const until = isoDay(visit.startsAt);
  const atHome = (
    await listTicks(db, visit.client.id, isoDay(subDays(new Date(visit.startsAt), daysOfLedger - 1).toISOString()))
  )
    .filter(({ day }) => day <= until)
    .map(({ modality }) => modality);
  const times = new Map<string, number>();
  for (const modality of [...rows.flatMap(modalitiesOf), ...atHome])
    times.set(modality, (times.get(modality) ?? 0) + 1);
  return times;
}
