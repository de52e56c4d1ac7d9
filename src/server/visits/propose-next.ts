import type { VisitId } from '../../core/ids';
import { differenceInCalendarDays } from 'date-fns';
import { screeningBook } from '../../catalogue/screening/screening';
import type { NextVisitView } from '../../contracts/visit-views';
import { median } from '../../core/statistics';
import { nextVisit } from '../../core/visit/next-visit';
import type { Db } from '../db/connection';
import type { VisitRow } from '../db/schema';
import { findStaff, listBookable } from '../people/people.repository';
import { latestClosing } from './closings.repository';
import { findVisit, listVisitsOfClient } from './visits.repository';
import { daysOffOf } from '../booking/booking';
import { clockTime, isoDay, longDay } from '../shared/house-clock';
import { lastWorkOf } from '../clients/read-client';
import { readCourses } from '../measures/read-courses';
import { readVisitFrame } from './read-visit';
import { readLedger } from '../treatments/treatment-facts';
import { visitsAnswers } from './visits.answers';

const gapsLookedAt = 4;

/** When the client of a visit had best come again, with the reasons. @returns null when there is no such visit */
export async function proposeNext(db: Db, visitId: VisitId): Promise<NextVisitView | null> {
  const [visit, row] = await Promise.all([readVisitFrame(db, visitId), findVisit(db, visitId)]);
  if (!visit || !row) return null;
  const [{ courses }, visits, { timesThisWeek: times }, closing, therapists, staff] = await Promise.all([
    readCourses(db, visit.client.id),
    listVisitsOfClient(db, visit.client.id),
    readLedger(db, visit),
    latestClosing(db, visitId),
    listBookable(db),
    findStaff(db, row.therapist_id),
  ]);
  const today = isoDay(visit.startsAt);
  const [course] = courses;
  const isSwelling = visit.purpose === 'swelling';
  const next = nextVisit({
    today,
    purpose: visit.purpose,
    modalities: visit.modalities,
    trend: isSwelling ? (course?.trends.excess?.direction ?? null) : null,
    retentionPercent: isSwelling ? (course?.medianRetentionPercent ?? null) : null,
    usualDays: usualDaysOf(visits, row),
    perWeek: visit.modalities.flatMap((id) => {
      const modality = screeningBook.modalities.get(id);
      const most = modality?.baseline.maxPerWeek;
      return most === undefined ? [] : [{ label: modality?.label ?? id, times: (times.get(id) ?? 0) + 1, most }];
    }),
    fadeMinutes: closing?.fadeMinutes ?? null,
    wantedLighter: closing?.pressure === -1,
    therapist: { name: staff?.name ?? '', daysOff: staff && !staff.leftAt ? daysOffOf(staff) : [] },
  });
  const booked = visits
    .filter(
      ({ starts_at, stage, cancelled_at }) => starts_at > row.starts_at && stage === 'ask' && cancelled_at === null,
    )
    .map(({ starts_at }) => starts_at)
    .sort()[0];
  return {
    date: next.date,
    words: `${longDay(`${next.date}T12:00:00`)}, ${inDays(next.days)}`,
    why: next.why,
    booked: booked === undefined ? null : `${longDay(booked)}, ${clockTime(booked)}`,
    lastWork: lastWorkOf(row),
    therapists,
  };
}

/** Median of the days between the last visits that were given; null with fewer than two gaps. */
function usualDaysOf(visits: readonly VisitRow[], now: VisitRow): number | null {
  const input = visits
    .filter(({ stage, starts_at }) => stage === 'done' || starts_at === now.starts_at)
    .map(({ starts_at }) => starts_at)
    .filter((at) => at <= now.starts_at)
    .sort();
  const gaps = input.slice(1).map((at, i) => differenceInCalendarDays(new Date(at), new Date(input[i] ?? at)));
  return gaps.length < 2 ? null : Math.max(1, Math.round(median(gaps.slice(-gapsLookedAt))));
}

const inDays = (days: number) =>
  days === 7 ? visitsAnswers.inAWeek : days % 7 === 0 ? visitsAnswers.inWeeks(days / 7) : visitsAnswers.inDays(days);
