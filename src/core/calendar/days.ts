/** Calendar arithmetic on dates written as text. Days are whole and know no clock. */

const dayMs = 86_400_000;

/** Whole days from one date to a later one (YYYY-MM-DD); negative when `to` lies before. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / dayMs);
}

/** @returns the date `days` later, YYYY-MM-DD */
export function addDays(date: string, days: number): string {
  return new Date(Date.parse(date) + days * dayMs).toISOString().slice(0, 10);
}

/** Days since 1970-01-01 of a date written YYYY-MM-DD. */
export const dayNumber = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / dayMs);
