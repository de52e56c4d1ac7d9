import type { Millilitres } from '../quantities';
import { dayNumber } from '../calendar/days';
import { median } from '../statistics';
import { seededRandom } from '../random';
import { trendOf } from '../swelling/trend';

/** What one visit found: excess before the work, and after it where that was measured. */
export interface CourseVisit {
  /** A real calendar date, YYYY-MM-DD. */
  readonly day: string;
  readonly beforeMl: Millilitres;
  readonly afterMl: Millilitres | null;
}

/** So many visits every so many days; null: up to the horizon. */
export type Phase = readonly [everyDays: number, visits: number | null];

export interface CourseCase {
  /** In any order, one for a day. */
  readonly visits: readonly CourseVisit[];
  readonly errorMl: Millilitres;
  readonly intervals: readonly number[];
  readonly horizonDays: number;
  readonly phases: readonly Phase[] | null;
  readonly goalMl: Millilitres | null;
  readonly seed: number;
}

export interface Forecast {
  readonly everyDays: number;
  readonly visits: number;
  /** Just before the visit after the last one. */
  readonly endMl: Millilitres;
  readonly lowMl: Millilitres;
  readonly highMl: Millilitres;
  readonly reachesGoal: boolean | null;
  /** Lower than anything measured so far: not to be shown as a number. */
  readonly beyondSeen: boolean;
}

export interface Course {
  readonly enough: boolean;
  /** What one visit takes, in parts of what is there. */
  readonly response: {
    readonly median: number;
    readonly low: number;
    readonly high: number;
    readonly visits: number;
  } | null;
  /** How long it is held: days until 1/e of it is left. */
  readonly held: {
    readonly tauDays: number;
    readonly low: number;
    readonly high: number;
    readonly gaps: number;
  } | null;
  readonly forecast: readonly Forecast[];
  readonly phased: Forecast | null;
  /** Visits as now no longer change it. */
  readonly plateau: boolean;
}

const responseBounds = [-0.5, 0.95] as const;
const heldBounds = [0.02, 0.98] as const;
const enoughResponses = 4;
const enoughGaps = 3;
const draws = 2000;
const [lowShare, highShare] = [0.1, 0.9];
const plateauVisits = 4;
const plateauConfidence = 0.8;

const clamp = (value: number, [least, most]: readonly [number, number]) => Math.min(most, Math.max(least, value));

/** Response of each visit that has both measures, where there was more than measuring can err. */
export const responsesOf = (visits: readonly CourseVisit[], errorMl: Millilitres): readonly number[] =>
  visits.flatMap(({ beforeMl, afterMl }) =>
    afterMl === null || beforeMl <= errorMl ? [] : [clamp((beforeMl - afterMl) / beforeMl, responseBounds)],
  );

/** Days until 1/e of what a visit took is left, for each gap behind a visit that took more than measuring can err. */
export const tausOf = (visits: readonly CourseVisit[], errorMl: Millilitres): readonly number[] =>
  visits.flatMap(({ day, beforeMl, afterMl }, k) => {
    const next = visits[k + 1];
    if (!next || afterMl === null || beforeMl - afterMl <= errorMl) return [];
    const held = clamp((beforeMl - next.beforeMl) / (beforeMl - afterMl), heldBounds);
    return [-(dayNumber(next.day) - dayNumber(day)) / Math.log(held)];
  });

/**
 * What a client's own visits say of the next ones: what a visit takes, how long it is held, and where intervals lead.
 * @param input volumes in mL, intervals in days
 * @returns no forecast with fewer than four responses and three gaps
 * Errors: none; days and volumes have been read before.
 */
export function courseOf(input: CourseCase): Course {
  const visits = input.visits.toSorted((a, b) => dayNumber(a.day) - dayNumber(b.day));
  const responses = responsesOf(visits, input.errorMl);
  const taus = tausOf(visits, input.errorMl);
  const drawn = bootstrap(responses, taus, input.seed);
  const enough = responses.length >= enoughResponses && taus.length >= enoughGaps;
  const middle = { response: medianOr(responses), tau: medianOr(taus) };
  const forecastOf = (phases: readonly Phase[]) => forecast(input, visits, phases, middle, drawn);
  return {
    enough,
    response:
      responses.length === 0
        ? null
        : { median: middle.response, ...rangeOf(drawn.map(({ response }) => response)), visits: responses.length },
    held:
      taus.length === 0 ? null : { tauDays: middle.tau, ...rangeOf(drawn.map(({ tau }) => tau)), gaps: taus.length },
    forecast: enough ? input.intervals.map((days) => forecastOf([[days, null]])) : [],
    phased: enough && input.phases && input.phases.length > 0 ? forecastOf(input.phases) : null,
    plateau: isPlateau(visits, input.errorMl),
  };
}

const medianOr = (values: readonly number[]) => (values.length === 0 ? 0 : median(values));

/** What visits and gaps do: the shares that a visit takes, and how long they are held. */
interface Habit {
  readonly response: number;
  readonly tau: number;
}

/** Each list drawn with replacement to its own length, responses first; the medians of each draw. */
function bootstrap(responses: readonly number[], taus: readonly number[], seed: number): readonly Habit[] {
  const random = seededRandom(seed);
  const resampled = (values: readonly number[]) =>
    medianOr(values.map(() => values[Math.floor(random() * values.length)] ?? 0));
  return Array.from({ length: draws }, () => {
    const response = resampled(responses);
    return { response, tau: resampled(taus) };
  });
}

/** The p-th part of a list by nearest rank. */
const rank = (sorted: readonly number[], share: number) => sorted[Math.ceil(share * sorted.length - 1e-9) - 1] ?? 0;

function rangeOf(values: readonly number[]): { readonly low: number; readonly high: number } {
  const sorted = values.toSorted((a, b) => a - b);
  return { low: rank(sorted, lowShare), high: rank(sorted, highShare) };
}

function forecast(
  { horizonDays, goalMl }: CourseCase,
  visits: readonly CourseVisit[],
  phases: readonly Phase[],
  middle: Habit,
  drawn: readonly Habit[],
): Forecast {
  const gaps = gapsOf(phases, horizonDays);
  const last = visits.at(-1);
  const endMl = endOf(last, gaps, middle);
  const { low, high } = rangeOf(drawn.map((habit) => endOf(last, gaps, habit)));
  const least = Math.min(...visits.map(({ beforeMl }) => beforeMl));
  return {
    ...{ everyDays: phases.at(-1)?.[0] ?? 0, visits: gaps.length - 1, endMl, lowMl: low, highMl: high },
    reachesGoal: goalMl === null ? null : endMl <= goalMl,
    beyondSeen: endMl < least / 2,
  };
}

/** Days before each visit within the horizon, and before the one behind them. */
function gapsOf(phases: readonly Phase[], horizonDays: number): readonly number[] {
  const gaps: number[] = [];
  let day = 0;
  for (const [everyDays, visits] of phases) {
    for (let k = 0; visits === null || k < visits; k += 1) {
      if (day + everyDays > horizonDays) return [...gaps, everyDays];
      gaps.push(everyDays);
      day += everyDays;
    }
  }
  return [...gaps, phases.at(-1)?.[0] ?? horizonDays];
}

/** The excess before the visit that comes after all gaps. */
function endOf(last: CourseVisit | undefined, gaps: readonly number[], { response, tau }: Habit): Millilitres {
  if (!last) return 0;
  const held = (days: number) => Math.exp(-days / tau);
  const afterMl = last.afterMl ?? last.beforeMl * (1 - response);
  const [first = 0, ...rest] = gaps;
  const next = last.beforeMl - (last.beforeMl - afterMl) * held(first);
  return rest.reduce((ml, days) => ml * (1 - response * held(days)), next);
}

/** The last four before-values have no slope that one could be sure of, and there is still something to be done. */
function isPlateau(visits: readonly CourseVisit[], errorMl: Millilitres): boolean {
  const recent = visits.slice(-plateauVisits);
  if (recent.length < plateauVisits) return false;
  const trend = trendOf(
    recent.map(({ day, beforeMl }) => ({ date: day, value: beforeMl })),
    plateauConfidence,
  );
  const { lowPerWeek, highPerWeek } = trend ?? { lowPerWeek: null, highPerWeek: null };
  const isOpen = lowPerWeek === null || highPerWeek === null || (lowPerWeek <= 0 && highPerWeek >= 0);
  return isOpen && (recent.at(-1)?.beforeMl ?? 0) > errorMl;
}
