import { courseSays } from './course.says';
import { countOf } from '../wording/count';
import type { Course, Forecast, Phase } from './course';

const weekDays = 7;

/** What a visit takes and how long that holds, with their ranges; empty where neither is known. */
export function responseInWords({ response, held }: Course): string {
  if (!response || !held) return '';
  const percent = (part: number) => String(Math.round(100 * part));
  const days = (count: number) => (count < 10 ? count.toFixed(1) : count.toFixed(0));
  return courseSays.takesAndHolds(
    percent(response.median),
    courseSays.range(percent(response.low), percent(response.high)),
    days(held.tauDays),
    courseSays.range(days(held.low), days(held.high)),
  );
}

/** `week`, `2 weeks`, `10 days` */
export function intervalInWords(days: number): string {
  if (days % weekDays !== 0) return courseSays.days(days);
  return days === weekDays ? courseSays.week : courseSays.weeks(days / weekDays);
}

/** `5 visits every 3 days, then every 2 weeks` */
export const phasesInWords = (phases: readonly Phase[]): string =>
  phases
    .map(([days, visits]) => {
      const every = courseSays.every(intervalInWords(days));
      return visits === null ? every : courseSays.soMany(countOf(visits, 'visit'), every);
    })
    .join(courseSays.then);

/** The excess that an interval would come to, never without its range. @param text writes a volume */
export const forecastInWords = (
  { beyondSeen, endMl, lowMl, highMl }: Forecast,
  text: (ml: number) => string,
): string =>
  beyondSeen ? courseSays.lowerThanAnythingMeasured : courseSays.about(text(endMl), text(lowMl), text(highMl));

/** How many more visits are needed, in words. */
export const wantedInWords = (more: number): string =>
  courseSays.notEnoughVisits(
    more === 1 ? courseSays.oneMore : courseSays.moreOfThem(['two', 'three', 'four'][more - 2] ?? String(more)),
  );
