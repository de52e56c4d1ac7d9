import { format, getISOWeek, getISOWeekYear, subDays, subMonths, subWeeks } from 'date-fns';

/** The newest of each of the last seven days, four weeks and twelve months is kept. */
const days = 7;
const weeks = 4;
const months = 12;

/**
 * Backups that are no longer kept, by the moments at which they were made; the newest always is.
 * @returns a part of `made`, in its order
 */
export function outlived(made: readonly Date[], now: Date): readonly Date[] {
  const newestFirst = [...made].sort((a, b) => b.getTime() - a.getTime());
  const kept = new Set<number>(newestFirst.slice(0, 1).map((one) => one.getTime()));
  const keepNewestOf = (since: Date, nameOf: (one: Date) => string) => {
    const seen = new Set<string>();
    for (const one of newestFirst) {
      const name = nameOf(one);
      if (one < since || seen.has(name)) continue;
      seen.add(name);
      kept.add(one.getTime());
    }
  };
  keepNewestOf(subDays(now, days), (one) => format(one, 'yyyy-MM-dd'));
  keepNewestOf(subWeeks(now, weeks), (one) => `${getISOWeekYear(one)} ${getISOWeek(one)}`);
  keepNewestOf(subMonths(now, months), (one) => format(one, 'yyyy-MM'));
  return made.filter((one) => !kept.has(one.getTime()));
}
