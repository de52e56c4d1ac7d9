import { addDays, dayNumber } from '../calendar/days';

/** A row of visits: so many times, so many days apart. */
export interface SeriesWish {
  /** YYYY-MM-DD */
  readonly firstDay: string;
  readonly everyDays: number;
  readonly times: number;
  /** Days of the week on which the therapist does not work: 1 Monday … 7 Sunday. */
  readonly daysOff: readonly number[];
  /** The last day on which the work may be done; undefined: no end is known. */
  readonly lastDay: string | undefined;
}

export interface SeriesDays {
  readonly days: readonly string[];
  /** How many lie later than their turn, because nobody works then. */
  readonly shifted: number;
  /** How many would lie after the last day, and are none. */
  readonly leftOut: number;
}

const week = 7;

/** 1 Monday … 7 Sunday; day 0 of the count was a Thursday. */
const weekdayOf = (day: string): number => ((((dayNumber(day) + 3) % week) + week) % week) + 1;

/**
 * The days of a series: each at its own turn from the first one on, a closed one on the next open day, two never on one.
 * The first was chosen by somebody and stays, also on a day off; where it is one, the others stay with it.
 */
export function seriesDays({ firstDay, everyDays, times, daysOff, lastDay }: SeriesWish): SeriesDays {
  const off = new Set(daysOff);
  const mayShift = off.size < week && !off.has(weekdayOf(firstDay));
  const days: string[] = [firstDay];
  let shifted = 0;
  for (let turn = 1; turn < times; turn += 1) {
    const meant = addDays(firstDay, turn * everyDays);
    const isFree = (day: string) => (!mayShift || !off.has(weekdayOf(day))) && day > (days.at(-1) ?? '');
    let day = meant;
    while (!isFree(day)) day = addDays(day, 1);
    if (lastDay !== undefined && day > lastDay) return { days, shifted, leftOut: times - days.length };
    if (day !== meant) shifted += 1;
    days.push(day);
  }
  return { days, shifted, leftOut: 0 };
}
