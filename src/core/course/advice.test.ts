import { describe, expect, it } from 'vitest';
import { longestThatReaches, visitErrorMl, visitsWanted } from './advice';
import { courseOf, type Forecast } from './course';

const visit = (day: number, beforeMl: number, afterMl: number | null) => ({
  day: `2026-03-${String(day).padStart(2, '0')}`,
  beforeMl,
  afterMl,
});
const line = (everyDays: number, endMl: number, highMl: number, beyondSeen = false): Forecast => ({
  ...{ everyDays, endMl, highMl, beyondSeen, visits: 5, lowMl: endMl - 20, reachesGoal: null },
});

describe('visits that a forecast still needs', () => {
  it('are four with both measures, and three gaps between them', () => {
    expect(visitsWanted([visit(1, 640, 560)])).toBe(3);
    expect(visitsWanted([visit(1, 640, 560), visit(8, 600, 540)])).toBe(2);
    expect(visitsWanted([visit(1, 640, 560), visit(8, 600, null), visit(15, 590, 530)])).toBe(2);
  });

  it('are none where the course itself has enough', () => {
    const visits = [visit(1, 640, 560), visit(8, 610, 540), visit(15, 590, 520), visit(22, 570, 500)];
    expect(visitsWanted(visits)).toBe(0);
    const course = courseOf({
      ...{ visits, errorMl: 20, intervals: [7], horizonDays: 84, phases: null, goalMl: null, seed: 1 },
    });
    expect(course.enough).toBe(true);
  });
});

describe('what a visit has to take to be told', () => {
  it('is the 95 % of two tapings by the least sure one', () => {
    expect(visitErrorMl([31, 20])).toBeCloseTo(1.96 * Math.SQRT2 * 31);
    expect(visitErrorMl([])).toBe(0);
  });
});

describe('the interval to choose', () => {
  it('is the longest that reaches the goal, and says whether its cautious end does', () => {
    const forecast = [line(7, 280, 320), line(14, 295, 360), line(21, 340, 400)];
    expect(longestThatReaches(forecast, 300)).toEqual({ everyDays: 14, isSafe: false });
    expect(longestThatReaches(forecast, 370)).toEqual({ everyDays: 21, isSafe: false });
    expect(longestThatReaches(forecast, 400)).toEqual({ everyDays: 21, isSafe: true });
  });

  it('is none where nothing reaches it, or only beyond what was ever measured', () => {
    expect(longestThatReaches([line(7, 280, 320)], 200)).toBeUndefined();
    expect(longestThatReaches([line(3, 100, 120, true)], 200)).toBeUndefined();
  });
});
