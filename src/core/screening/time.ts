import { addDays, daysBetween } from '../calendar/days';

/** Dates as screening reads them: whole, or only a year or a month. */

/** Whether a text is a real date; with `isPartial` also a year or a year and month. */
export function isDate(text: string, isPartial = false): boolean {
  if (isPartial && /^\d{4}$/.test(text)) return true;
  if (isPartial && /^\d{4}-\d{2}$/.test(text)) return Number(text.slice(5)) >= 1 && Number(text.slice(5)) <= 12;
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const ms = Date.parse(text);
  return !Number.isNaN(ms) && new Date(ms).toISOString().slice(0, 10) === text;
}

/**
 * The day on which something counts as having happened. Of a year or a month its last day counts, or the day of the
 * visit if that lies within it.
 * @returns undefined when the date is unknown or lies after the visit
 */
export function eventDay(date: string | undefined, visitDate: string): string | undefined {
  if (date === undefined) return undefined;
  const isWithin = visitDate.startsWith(date);
  const day = isWithin ? visitDate : lastDayOf(date);
  return day <= visitDate ? day : undefined;
}

/** Days for which a written note counts when its condition says nothing else. */
export const usualNoteDays = 90;

/**
 * Whether a written note counts on the day of a visit: not written after it, not before the event, not too old.
 * @param eventOn the day of the event from `eventDay`; undefined when it is not known
 */
export function doesNoteCount(
  writtenOn: string,
  eventOn: string | undefined,
  visitDate: string,
  validDays: number = usualNoteDays,
): boolean {
  if (writtenOn > visitDate || (eventOn !== undefined && writtenOn < eventOn)) return false;
  return daysBetween(writtenOn, visitDate) <= validDays;
}

/** The last day on which a written note counts. */
export const lastDayOfNote = (writtenOn: string, validDays: number = usualNoteDays): string =>
  addDays(writtenOn, validDays);

function lastDayOf(date: string): string {
  if (date.length === 4) return `${date}-12-31`;
  if (date.length > 7) return date;
  const [year = 0, month = 1] = date.split('-').map(Number);
  return new Date(Date.UTC(year, month, 0)).toISOString().slice(0, 10);
}

/** Whether an effect holds so many days after the event; unknown: waiting times hold, later effects do not. */
export function holdsAfter(
  window: { readonly fromDay?: number; readonly untilDay?: number } | undefined,
  days: number | undefined,
): boolean {
  if (!window) return true;
  if (days === undefined) return window.fromDay === undefined;
  return days >= (window.fromDay ?? 0) && days < (window.untilDay ?? Infinity);
}
