import { addDays, format, parseISO } from 'date-fns';
import type { KeptSheet } from '../../contracts/home-views';
import type { HomeCourse } from '../../contracts/progress-views';
import type { HomeDone } from '../../core/homecare/rhythm';
import type { VisitRow } from '../db/schema';
import { isoDay } from '../shared/house-clock';

const shownDays = 56;

/** Sheets day by day over the last eight weeks. */
export function homeCourses(sheets: readonly KeptSheet[], today: string): readonly HomeCourse[] {
  const days = Array.from({ length: shownDays }, (_, i) =>
    format(addDays(parseISO(today), i + 1 - shownDays), 'yyyy-MM-dd'),
  );
  return sheets.map(({ title, madeOn, isEnded, log, days: done }) => ({
    ...{ title, since: madeOn, isEnded, asked: log.asked, done: log.done, percent: log.percent },
    days: days.map((day) => ({
      day,
      times: day < madeOn ? null : done.filter((one) => one === day).length,
    })),
  }));
}

/** Times that something was done at home after the visit before and up to this one; null where nothing was given before it. */
export function homeBetween(
  ticks: readonly HomeDone[],
  sheets: readonly KeptSheet[],
  visits: readonly VisitRow[],
  visit: VisitRow,
): number | null {
  const until = isoDay(visit.starts_at);
  if (!sheets.some(({ madeOn }) => madeOn < until)) return null;
  const earlier = visits.filter(({ starts_at }) => starts_at < visit.starts_at).map(({ starts_at }) => starts_at);
  const from = earlier.length === 0 ? '' : isoDay(earlier.toSorted().at(-1) ?? '');
  return ticks.filter(({ day }) => day >= from && day < until).length;
}
