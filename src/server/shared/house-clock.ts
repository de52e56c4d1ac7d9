import { addDays, format, startOfDay, startOfWeek } from 'date-fns';

/** The house's clock is the server's: pages get finished texts, so that browser and server never disagree. */
export const clockTime = (iso: string) => format(new Date(iso), 'H:mm');
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
