import type { Millilitres } from '../quantities';
import { judgeChange } from '../swelling/change';
import type { CourseVisit, Forecast } from './course';

const fewestVisits = 4;
const fewestGaps = 3;

/**
 * What two tapings of one visit can differ by with the marks left on (mL, 95 %): by the least sure of them.
 * @param sdsMl standard deviations of the excess, one for each visit
 */
export const visitErrorMl = (sdsMl: readonly Millilitres[]): Millilitres => {
  const sdMl = Math.max(0, ...sdsMl);
  return judgeChange(0, sdMl, sdMl, 0).limit;
};

/** How many more visits with both measures a forecast needs; 0 when there are enough. */
export function visitsWanted(visits: readonly CourseVisit[]): number {
  const ordered = visits.toSorted((a, b) => a.day.localeCompare(b.day));
  const isWhole = ({ afterMl }: CourseVisit) => afterMl !== null;
  const whole = ordered.filter(isWhole).length;
  const gaps = ordered.slice(0, -1).filter(isWhole).length;
  // The newest visit ends a gap only when another one follows.
  return Math.max(0, fewestVisits - whole, fewestGaps - gaps);
}

/** What a course is told from: each visit's excess before and after the work. */
export interface MeasuredPoint {
  readonly date: string;
  readonly excessMl: Millilitres | null;
  readonly afterExcessMl: Millilitres | null;
}

/** Excess of each visit before and after the work; a limb smaller than the other one has none. */
export const courseVisits = (points: readonly MeasuredPoint[]): readonly CourseVisit[] =>
  points.flatMap(({ date, excessMl, afterExcessMl }) =>
    excessMl === null
      ? []
      : [
          {
            day: date,
            beforeMl: Math.max(0, excessMl),
            afterMl: afterExcessMl === null ? null : Math.max(0, afterExcessMl),
          },
        ],
  );

export interface Choice {
  /** The longest interval that reaches the goal in the middle case. */
  readonly everyDays: number;
  /** Whether the cautious end of its range reaches it, too. */
  readonly isSafe: boolean;
}

/** The longest interval that reaches a goal; undefined where none does. What lies beyond what was seen is no forecast. */
export function longestThatReaches(forecast: readonly Forecast[], goalMl: Millilitres): Choice | undefined {
  const reaching = forecast.filter(({ beyondSeen, endMl }) => !beyondSeen && endMl <= goalMl);
  const longest = reaching.toSorted((a, b) => b.everyDays - a.everyDays)[0];
  return longest && { everyDays: longest.everyDays, isSafe: longest.highMl <= goalMl };
}
