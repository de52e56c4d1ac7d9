import { daysBetween } from '../calendar/days';

const termDays = 280;
const secondFromDay = 14 * 7;
const thirdFromDay = 28 * 7;
const longestOverdueDays = 21;

export interface Pregnancy {
  readonly weeks: number;
  readonly days: number;
  readonly condition: 'pregnancy-1' | 'pregnancy-2' | 'pregnancy-3';
}

/**
 * How far a pregnancy is on a day, counted back from the due date (280 days; Naegele). Second trimester from 14 weeks,
 * third from 28. @returns undefined when the date cannot belong to a pregnancy on that day
 */
export function pregnancyOn(dueOn: string, day: string): Pregnancy | undefined {
  const passed = termDays - daysBetween(day, dueOn);
  if (passed < 0 || passed > termDays + longestOverdueDays) return undefined;
  const condition = passed < secondFromDay ? 'pregnancy-1' : passed < thirdFromDay ? 'pregnancy-2' : 'pregnancy-3';
  return { weeks: Math.floor(passed / 7), days: passed % 7, condition };
}

export const trimesters: readonly string[] = ['pregnancy-1', 'pregnancy-2', 'pregnancy-3'];
