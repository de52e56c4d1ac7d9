import type { ClientId } from '../../core/ids';
import type {
  CourseVisit,
  FeedbackLine,
  ProgressDetails,
  ProgressHead,
  ProgressView,
} from '../../contracts/progress-views';
import type { ClosingView } from '../../contracts/closing-view';
import { relaxationGain, summariseFeedback } from '../../core/skin/feedback';
import { judgeRedness } from '../../core/skin/redness';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { listFindings } from '../screening/findings.repository';
import { findHouse, listTherapists } from '../people/people.repository';
import { lastScoresByVisit, listObservedVisits } from './measures.repository';
import { listClosingsOfClient } from '../visits/closings.repository';
import { countStepsOfClient, listVisitsOfClient } from '../visits/visits.repository';
import { listTicks } from '../home/home.repository';
import { readCourses } from './read-courses';
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
export async function readProgressHead(db: Db, clientId: ClientId, now: Date): Promise<ProgressHead | undefined> {
  const client = await findClient(db, clientId);
  if (!client) return undefined;
  const [
    house,
    findings,
    { visits: taped, courses },
    observed,
    scores,
    visits,
    closings,
    therapists,
    steps,
    ticks,
    sheets,
  ] = await Promise.all([
    findHouse(db),
    listFindings(db, clientId),
    readCourses(db, clientId),
    listObservedVisits(db, clientId),
    lastScoresByVisit(db, clientId),
    listVisitsOfClient(db, clientId),
    listClosingsOfClient(db, clientId),
    listTherapists(db),
    countStepsOfClient(db, clientId),
    listTicks(db, clientId),
    readSheets(db, clientId, now),
  ]);
  const measured = new Set([...taped, ...observed]);
  const shown = visits
    .filter((visit) => visit.stage === 'done' || visit.closed_at !== null || measured.has(visit.id))
    .toReversed();
  const course = shown.map((visit): CourseVisit => {
    const felt = scores.get(visit.id);
    return {
      visitId: visit.id,
      date: isoDay(visit.starts_at),
      day: shortDay(visit.starts_at),
      work: workOf(visit),
      therapist: therapistOf(therapists, visit.therapist_id).name,
      steps: steps.get(visit.id) ?? null,
      homeTimes: homeBetween(ticks, sheets, visits, visit),
      ...ofClosing(closings.get(visit.id)),
      tightness: felt?.tightness ?? null,
      heaviness: felt?.heaviness ?? null,
      pain: felt?.pain ?? null,
    };
  });
  const today = isoDay(now.toISOString());
  return {
    client: briefOf(client, findings, today),
    house: house?.name ?? '',
    today: shortDay(now.toISOString()),
    courses,
    visits: course,
    feedback: feedbackOf(course),
    home: homeCourses(sheets, today),
  };
}

/** What stands beneath it. */
export async function readProgressDetails(db: Db, clientId: ClientId, now: Date): Promise<ProgressDetails> {
  const [{ visits, observations, courses, changes }, pictures, remembered] = await Promise.all([
    readMeasured(db, clientId),
    readPictures(db, clientId),
    readRemembered(db, clientId, now.toISOString()),
  ]);
  return {
    seen: seenTable(visits, observations),
    changes,
    pictures,
    earned: await readEarned(db, clientId, { courses, changes }),
    remembered,
  };
}

/** All of it, as a report takes it. @returns undefined for an unknown client */
export async function readProgress(db: Db, clientId: ClientId, now: Date): Promise<ProgressView | undefined> {
  const [head, details] = await Promise.all([
    readProgressHead(db, clientId, now),
    readProgressDetails(db, clientId, now),
  ]);
  return head && { ...head, ...details };
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
