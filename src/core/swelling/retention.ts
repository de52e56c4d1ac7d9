import type { Millilitres, Percent } from '../quantities';
import { daysBetween } from '../calendar/days';

/** Volumes (mL) before and after the work of one visit; null: not taped. */
export interface TreatedVisit {
  readonly date: string;
  readonly before: number | null;
  readonly after: number | null;
  /** What a response has to exceed (mL) before its retention means anything; of the taping error alone. */
  readonly limitMl: Millilitres;
}

export interface VisitResponse {
  readonly date: string;
  /** Positive: smaller after the work. */
  readonly responseMl: Millilitres;
  readonly responsePercent: Percent;
  readonly isBeyondError: boolean;
}

export interface Retention extends VisitResponse {
  /** Calendar days to the next visit with a taping before the work. */
  readonly days: number;
  /** 100: all held; 0: all back; null: the response lay within measuring error. */
  readonly retentionPercent: Percent | null;
  readonly reboundMlPerDay: number;
}

const inOrder = (visits: readonly TreatedVisit[]) =>
  [...visits].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));

function responseOf({ date, before, after, limitMl }: TreatedVisit): VisitResponse | undefined {
  if (before === null || after === null) return undefined;
  const responseMl = before - after;
  return {
    date,
    responseMl,
    responsePercent: (100 * responseMl) / before,
    isBeyondError: responseMl > limitMl,
  };
}

/** What each visit took away, for those taped before and after. */
export function responsesOf(visits: readonly TreatedVisit[]): readonly VisitResponse[] {
  return inOrder(visits).flatMap((visit) => responseOf(visit) ?? []);
}

/** What of each response was still there at the next taping on a later date; visits without one are left out. */
export function retentionOf(visits: readonly TreatedVisit[]): readonly Retention[] {
  const ordered = inOrder(visits);
  return ordered.flatMap((visit, k) => {
    const response = responseOf(visit);
    const next = ordered.slice(k + 1).find((later) => later.date > visit.date && later.before !== null);
    if (!response || visit.after === null || visit.before === null || next?.before == null) return [];
    const days = daysBetween(visit.date, next.date);
    return [
      {
        ...response,
        days,
        retentionPercent: response.isBeyondError ? (100 * (visit.before - next.before)) / response.responseMl : null,
        reboundMlPerDay: (next.before - visit.after) / days,
      },
    ];
  });
}
