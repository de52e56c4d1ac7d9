import type { Percent } from '../quantities';
import { addDays, daysBetween } from '../calendar/days';

/** A routine that was done at home. `day` as YYYY-MM-DD. */
export interface HomeDone {
  readonly day: string;
  readonly modality: string;
}

const weekDays = 7;

/** How often a kind of work was done in the seven days that end with a day. */
const doneInWeek = (done: readonly HomeDone[], modality: string, day: string): number =>
  done.filter((one) => one.modality === modality && one.day <= day && one.day > addDays(day, -weekDays)).length;

/**
 * Whether it may be done on a day, and if not, from when on.
 * @param mostPerWeek times in any seven days
 */
export function mayDo(
  done: readonly HomeDone[],
  modality: string,
  day: string,
  mostPerWeek: number,
): { readonly may: true } | { readonly may: false; readonly from: string } {
  for (let wait = 0; wait < weekDays; wait += 1) {
    const then = addDays(day, wait);
    if (doneInWeek(done, modality, then) < mostPerWeek) return wait === 0 ? { may: true } : { may: false, from: then };
  }
  return { may: false, from: addDays(day, weekDays) };
}

export interface HomeLog {
  /** Times that it was to be done in the days so far, and times that it was; of one day no more than was asked. */
  readonly asked: number;
  readonly done: number;
  readonly percent: Percent | null;
}

/** How well a sheet was kept to, from the day it was given. @param days days on which it was done, in any order */
export function keptTo(
  from: string,
  until: string,
  days: readonly string[],
  { daysPerWeek, timesPerDay }: { readonly daysPerWeek: number; readonly timesPerDay: number },
): HomeLog {
  const length = Math.max(0, daysBetween(from, until)) + 1;
  const asked = Math.round((length * daysPerWeek) / weekDays) * timesPerDay;
  const perDay = new Map<string, number>();
  for (const day of days) if (day >= from && day <= until) perDay.set(day, (perDay.get(day) ?? 0) + 1);
  const done = [...perDay.values()].reduce((sum, times) => sum + Math.min(times, timesPerDay), 0);
  return { asked, done, percent: asked === 0 ? null : Math.min(100, Math.round((done / asked) * 100)) };
}
