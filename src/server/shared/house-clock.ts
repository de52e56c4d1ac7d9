import { type LanguageId, localeOf } from '../../core/language';
import { addDays, format, startOfDay, startOfWeek } from 'date-fns';

/** A record of years names the same days again and again: what was written of a moment is kept for the next time. */
function kept(write: (iso: string) => string): (iso: string) => string {
  const known = new Map<string, string>();
  return (iso) => {
    const before = known.get(iso);
    if (before !== undefined) return before;
    if (known.size >= mostKept) known.clear();
    const text = write(iso);
    known.set(iso, text);
    return text;
  };
}

const mostKept = 4000;

/** The house's clock is the server's: pages get finished texts, so that browser and server never disagree. */
export const clockTime = (iso: string) => format(new Date(iso), 'H:mm');
/** `25 Nov 2026, 9:30`. */
export const dayAndTime = (iso: string) => format(new Date(iso), 'd MMM yyyy, H:mm');
export const longDay = (iso: string) => format(new Date(iso), 'EEEE d MMMM');
export const shortDay = kept((iso) => format(new Date(iso), 'd MMM yyyy'));
export const isoDay = kept((iso) => format(new Date(iso), 'yyyy-MM-dd'));

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
