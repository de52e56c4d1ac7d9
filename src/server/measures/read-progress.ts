import type { ClientId } from '../../core/ids';
import type { CourseVisit, FeedbackLine, ProgressView } from '../../contracts/progress-views';
import type { ObservationView } from '../../contracts/measure-views';
import type { ClosingView } from '../../contracts/closing-view';
import { relaxationGain, summariseFeedback } from '../../core/skin/feedback';
import { judgeRedness } from '../../core/skin/redness';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { listFindings } from '../screening/findings.repository';
import { findHouse, listTherapists } from '../people/people.repository';
import { listTapingsOfClient } from './tapings.repository';
import { countStepsOfClient } from '../visits/visits.repository';
import { listTicks } from '../home/home.repository';
import { readEarned } from './read-earned';
import { readMeasured } from './read-measured';
import { readPictures } from '../pictures/read-pictures';
import { homeBetween, homeCourses } from '../home/home-course';
import { readSheets } from '../home/home-sheets';
import { isoDay, shortDay } from '../shared/house-clock';
import { seenTable } from './read-seen';
import { readRemembered } from '../visits/read-remembered';
import { briefOf, therapistOf } from '../visits/read-visit';
import { workOf } from '../visits/visit-holds';

/** How a client's swelling, skin and liking have gone over the visits. @returns undefined for an unknown client */
export async function readProgress(db: Db, clientId: ClientId, now: Date): Promise<ProgressView | undefined> {
  const client = await findClient(db, clientId);
  if (!client) return undefined;
  const [house, findings, measuredOf, rows, therapists, steps, ticks, sheets, pictures] = await Promise.all([
    findHouse(db),
    listFindings(db, clientId),
    readMeasured(db, clientId),
    listTapingsOfClient(db, clientId),
    listTherapists(db),
    countStepsOfClient(db, clientId),
    listTicks(db, clientId),
    readSheets(db, clientId, now),
    readPictures(db, clientId),
  ]);
  const { visits, observations, closings, courses, changes } = measuredOf;
  const measured = new Set([...rows.map((row) => row.visit_id), ...observations.map((one) => one.visitId)]);
  const shown = visits
    .filter((visit) => visit.stage === 'done' || visit.closed_at !== null || measured.has(visit.id))
    .toReversed();
  const course = shown.map((visit): CourseVisit => ({
    visitId: visit.id,
    date: isoDay(visit.starts_at),
    day: shortDay(visit.starts_at),
    work: workOf(visit),
    therapist: therapistOf(therapists, visit.therapist_id).name,
    steps: steps.get(visit.id) ?? null,
    homeTimes: homeBetween(ticks, sheets, visits, visit),
    ...ofClosing(closings.get(visit.id)),
    ...ofScores(observations.findLast((one) => one.visitId === visit.id && one.kind === 'scores')),
  }));
  const today = isoDay(now.toISOString());
  return {
    client: briefOf(client, findings, today),
    house: house?.name ?? '',
    today: shortDay(now.toISOString()),
    courses,
    visits: course,
    seen: seenTable(course, observations),
    remembered: await readRemembered(db, clientId, now.toISOString()),
    changes,
    pictures,
    earned: await readEarned(db, clientId, { courses, changes }),
    feedback: feedbackOf(course),
    home: homeCourses(sheets, today),
  };
}

const notYet = -1;

function ofClosing(closing: ClosingView | undefined) {
  const [before, after] = [closing?.rednessBefore ?? null, closing?.redness ?? null];
  const fade = closing?.fadeMinutes ?? null;
  return {
    comfort: closing?.comfort ?? null,
    pressure: closing?.pressure ?? null,
    warmth: closing?.warmth ?? null,
    relaxationGain: relaxationGain(closing?.relaxationBefore ?? null, closing?.relaxationAfter ?? null),
    rednessRise: after === null ? null : Math.max(0, after - (before ?? 0)),
    fadeMinutes: fade,
    rednessVerdict: judgeRedness({ before, after, fadedAfterMinutes: fade === notYet ? 'not-yet' : fade }),
  };
}

function ofScores(scores: ObservationView | undefined) {
  const value = scores?.kind === 'scores' ? scores.value : undefined;
  return {
    tightness: value?.tightness ?? null,
    heaviness: value?.heaviness ?? null,
    pain: value?.pain ?? null,
  };
}

function feedbackOf(visits: readonly CourseVisit[]): readonly FeedbackLine[] {
  const line = (what: FeedbackLine['what'], pick: (visit: CourseVisit) => number | null): FeedbackLine => ({
    what,
    ...summariseFeedback(visits.map(pick)),
  });
  return [
    line('comfort', (visit) => visit.comfort),
    line('pressure', (visit) => visit.pressure),
    line('warmth', (visit) => visit.warmth),
    line('relaxation gain', (visit) => visit.relaxationGain),
  ].filter(({ count }) => count > 0);
}
