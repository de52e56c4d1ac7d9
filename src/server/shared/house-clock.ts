import { type LanguageId, localeOf } from '../../core/language';
import { addDays, format, startOfDay, startOfWeek } from 'date-fns';

/** The house's clock is the server's: pages get finished texts, so that browser and server never disagree. */
export const clockTime = (iso: string) => format(new Date(iso), 'H:mm');
/** `25 Nov 2026, 9:30`. */
export const dayAndTime = (iso: string) => format(new Date(iso), 'd MMM yyyy, H:mm');
export const longDay = (iso: string) => format(new Date(iso), 'EEEE d MMMM');
export const shortDay = (iso: string) => format(new Date(iso), 'd MMM yyyy');
export const isoDay = (iso: string) => format(new Date(iso), 'yyyy-MM-dd');

/** Start and end (exclusive) of a local day, as ISO UTC text. */
export function dayBounds(date: Date): readonly [string, string] {
  const start = startOfDay(date);
  return [start.toISOString(), addDays(start, 1).toISOString()];
}

/** Monday to Sunday of the week of a day: whichever day it is, it is among them. */
export function weekOf(date: Date): readonly Date[] {
  const monday = startOfWeek(date, { weekStartsOn: 1 });
  return Array.from({ length: 7 }, (_, i) => addDays(monday, i));
}

/** `Tuesday 1 December`, `Dienstag, 1. Dezember`: the day of a moment as a client reads it. */
export const longDayIn = (language: LanguageId, iso: string): string =>
  new Intl.DateTimeFormat(localeOf[language], { weekday: 'long', day: 'numeric', month: 'long' }).format(new Date(iso));

/** `1 Dec 2026`, `1. Dez. 2026`. */
export const shortDateIn = (language: LanguageId, iso: string): string =>
  new Intl.DateTimeFormat(localeOf[language], { day: 'numeric', month: 'short', year: 'numeric' }).format(
    new Date(iso),
  );

/** `14:00`. */
export const clockTimeIn = (language: LanguageId, iso: string): string =>
  new Intl.DateTimeFormat(localeOf[language], { hour: 'numeric', minute: '2-digit' }).format(new Date(iso));
