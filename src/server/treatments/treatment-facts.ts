import { endOfDay, parseISO, subDays } from 'date-fns';
import type { ObservationView } from '../../contracts/measure-views';
import type { FaceLine } from '../../core/facial/line';
import type { TherapistId } from '../../core/ids';
import type { Library } from '../../core/library/protocol';
import type { Choice } from '../../core/treatment/expand';
import type { Ledger } from '../../core/judgement/judgement';
import type { Db } from '../db/connection';
import { listTicks } from '../home/home.repository';
import { listObservationsOfClient } from '../measures/measures.repository';
import { listLedgerVisits } from '../visits/visits.repository';
import { tighterSide } from '../../core/change/tighter';
import { readRemembered } from '../visits/read-remembered';
import type { TreatmentFacts } from './compose-treatment';
import { lastTreatment } from './given-treatment';
import { isoDay } from '../shared/house-clock';
import { findBodyFacts } from '../oils/oil-client';
import { readLayerFacts } from '../oils/layer-facts';
import type { VisitRecord } from '../visits/visit-record';
import { readPace } from './read-pace';
import { readTray } from '../stones/rotate-stones';
import { givenStages, modalitiesOf } from '../visits/visit-holds';

const daysOfLedger = 7;

/** All that a treatment of this visit is composed from. */
export async function readTreatmentFacts(
  db: Db,
  visit: VisitRecord,
  library: Library,
  choices: readonly Pick<Choice, 'protocol'>[],
): Promise<TreatmentFacts> {
  const [observations, ledger, last, tray, body, pace, remembered] = await Promise.all([
    listObservationsOfClient(db, visit.client.id),
    readLedger(db, visit),
    lastTreatment(db, visit.client.id, visit.startsAt),
    readTray(db, visit),
    findBodyFacts(db, visit.client.id),
    readPace(db, visit.therapist.id as TherapistId, library),
    readRemembered(db, visit.client.id, visit.startsAt, visit.startsAt),
  ]);
  const surfaceM2 = body.surfaceM2 ?? undefined;
  return {
    visit,
    lines: linesFrom(observations, visit),
    ledger,
    last: last && { date: last.date, given: last.given },
    tray,
    pace,
    tighter: tighterSide(remembered),
    surfaceM2,
    ...(asksForLayers(library, choices) ? { oils: await readLayerFacts(db, visit, surfaceM2) } : {}),
  };
}

/** Whether anything of it drops straight onto the skin: only then the shelf and the skin are looked at. */
const asksForLayers = ({ protocols }: Library, choices: readonly Pick<Choice, 'protocol'>[]): boolean =>
  choices.some(({ protocol }) =>
    protocols.get(protocol)?.blocks.some(({ steps }) => steps.some(({ layer }) => layer !== undefined)),
  );

/** The client's lines as they were drawn last, at this visit or before. */
function linesFrom(observations: readonly ObservationView[], visit: VisitRecord): readonly FaceLine[] {
  const drawn = observations.findLast(
    (one) => one.kind === 'lines' && (one.visitId === visit.id || one.takenAt <= visit.startsAt),
  );
  return drawn?.kind === 'lines' ? drawn.value.lines : [];
}

const hourMs = 3_600_000;

/**
 * What was given before a visit, by kind of work: how often in seven days, and how long ago last. Counted are visits
 * that were given, earlier ones of the same day as soon as they are booked, and what was done at home.
 */
export async function readLedger(db: Db, visit: Pick<VisitRecord, 'id' | 'client' | 'startsAt'>): Promise<Ledger> {
  const start = new Date(visit.startsAt);
  const asked = { id: visit.id, clientId: visit.client.id, startsAt: visit.startsAt };
  const rows = await listLedgerVisits(db, asked, subDays(start, daysOfLedger).toISOString());
  const today = isoDay(visit.startsAt);
  const input = rows
    .filter(({ stage, starts_at }) => givenStages.has(stage) || isoDay(starts_at) === today)
    .flatMap((row) => modalitiesOf(row).map((modality) => ({ modality, at: Date.parse(row.starts_at) })));
  const since = isoDay(subDays(start, daysOfLedger - 1).toISOString());
  const atHome = (await listTicks(db, visit.client.id, since))
    .filter(({ day }) => day <= today)
    // Of a day at home no hour is known: the latest that it can have been.
    .map(({ modality, day }) => ({ modality, at: Math.min(start.getTime(), endOfDay(parseISO(day)).getTime()) }));
  const timesThisWeek = new Map<string, number>();
  const hoursSince = new Map<string, number>();
  for (const { modality, at } of [...input, ...atHome]) {
    timesThisWeek.set(modality, (timesThisWeek.get(modality) ?? 0) + 1);
    const hours = (start.getTime() - at) / hourMs;
    hoursSince.set(modality, Math.min(hoursSince.get(modality) ?? Infinity, hours));
  }
  return { timesThisWeek, hoursSince };
}
