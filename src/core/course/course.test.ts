import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CourseCase, courseOf, type CourseVisit, responsesOf, tausOf } from './course';

const day = (n: number) => new Date(Date.UTC(2026, 2, 2) + n * 86_400_000).toISOString().slice(0, 10);
const visit = (at: number, beforeMl: number, afterMl: number | null = null): CourseVisit => ({
  day: day(at),
  beforeMl,
  afterMl,
});
const ask = (visits: readonly CourseVisit[], change: Partial<CourseCase> = {}) =>
  courseOf({
    ...{ visits, errorMl: 20, intervals: [7], horizonDays: 84, phases: null, goalMl: null, seed: 1 },
    ...change,
  });

/** A client who loses a fifth at each visit and keeps half of it for a week. */
const [share, kept] = [0.2, 0.5];
const steady = (() => {
  const visits: CourseVisit[] = [];
  let before = 800;
  for (let k = 0; k < 6; k += 1) {
    visits.push(visit(7 * k, before, before * (1 - share)));
    before -= before * share * kept;
  }
  return visits;
})();

describe('what a visit takes', () => {
  it('is a share of what is there, where both were measured and there is more than measuring errs', () => {
    expect(responsesOf([visit(0, 500, 400), visit(7, 400, null), visit(14, 20, 10)], 20)).toEqual([0.2]);
  });

  it('is never taken for more than 95 %, nor for less than half as much again', () => {
    expect(responsesOf([visit(0, 500, 1), visit(7, 100, 400)], 20)).toEqual([0.95, -0.5]);
  });
});

describe('how long it is held', () => {
  it('is told by what is back at the next visit', () => {
    // 100 taken, 50 of them back after a week.
    const [tau = 0] = tausOf([visit(0, 500, 400), visit(7, 450, 400)], 20);
    expect(Math.exp(-7 / tau)).toBeCloseTo(0.5, 12);
  });

  it('is not asked of visits that took less than measuring errs, nor of the last one', () => {
    expect(tausOf([visit(0, 500, 490), visit(7, 450, 400)], 20)).toEqual([]);
    expect(tausOf([visit(0, 500, 400)], 20)).toEqual([]);
  });

  it('stays within days that can be, whatever the tape says', () => {
    const [all = 0] = tausOf([visit(0, 500, 400), visit(7, 300, 200)], 20);
    const [none = 0] = tausOf([visit(0, 500, 400), visit(7, 700, 600)], 20);
    expect(Math.exp(-7 / all)).toBeCloseTo(0.98, 12);
    expect(Math.exp(-7 / none)).toBeCloseTo(0.02, 12);
  });
});

describe('a forecast', () => {
  it('is not made of too few visits', () => {
    const few = ask(steady.slice(0, 3));
    expect(few).toMatchObject({ enough: false, forecast: [], phased: null });
    expect(few.response?.visits).toBe(3);
    expect(few.held?.gaps).toBe(2);
    expect(ask([visit(0, 500), visit(7, 480)])).toMatchObject({ enough: false, response: null, held: null });
  });

  it('of a steady client is what would happen, with no range', () => {
    const { enough, response, held, forecast } = ask(steady);
    expect(enough).toBe(true);
    expect(response).toEqual({
      median: expect.closeTo(share),
      low: expect.closeTo(share),
      high: expect.closeTo(share),
      visits: 6,
    });
    expect(held?.tauDays).toBeCloseTo(-7 / Math.log(kept), 9);
    const [week] = forecast;
    expect(week?.visits).toBe(12);
    // The last visit began at 800 · 0.9⁵; one gap, then twelve visits with a gap each.
    const next = 800 * 0.9 ** 5 * 0.9;
    expect(week?.endMl).toBeCloseTo(next * 0.9 ** 12, 6);
    expect(week?.lowMl).toBeCloseTo(week?.endMl ?? 0, 6);
    expect(week?.highMl).toBeCloseTo(week?.endMl ?? 0, 6);
  });

  it('counts whole visits within the horizon, and none where the interval is longer', () => {
    const visitsOf = (intervals: readonly number[], horizonDays: number) =>
      ask(steady, { intervals, horizonDays }).forecast.map(({ visits }) => visits);
    expect(visitsOf([3, 4, 7, 10, 14, 21, 28], 84)).toEqual([28, 21, 12, 8, 6, 4, 3]);
    expect(visitsOf([90], 84)).toEqual([0]);
    expect(visitsOf([84], 84)).toEqual([1]);
  });

  it('takes what a visit usually takes where the last one was not measured after', () => {
    const open = [...steady.slice(0, -1), { ...(steady.at(-1) as CourseVisit), afterMl: null }];
    expect(ask(open).forecast[0]?.endMl).toBeCloseTo(ask(steady).forecast[0]?.endMl ?? 0, 6);
  });

  it('does not mind the order in which visits come', () => {
    expect(ask(steady.toReversed())).toEqual(ask(steady));
  });

  it('says whether the goal is reached, and nothing without one', () => {
    const goal = (goalMl: number | null) =>
      ask(steady, { goalMl, intervals: [7, 28] }).forecast.map((one) => one.reachesGoal);
    expect(goal(null)).toEqual([null, null]);
    expect(goal(200)).toEqual([true, false]);
  });

  it('does not go below what was seen without saying so', () => {
    const [often, seldom] = ask(steady, { intervals: [3, 28] }).forecast;
    expect([often?.beyondSeen, seldom?.beyondSeen]).toEqual([true, false]);
  });

  it('has a range that is the same for the same seed, and holds the middle', () => {
    const uneven = [
      ...[visit(0, 640, 560), visit(6, 600, 500), visit(14, 585, 520)],
      ...[visit(20, 540, 470), visit(27, 525, 430), visit(35, 500, 440)],
    ];
    const [one, again, other] = [1, 1, 2].map((seed) => ask(uneven, { seed }).forecast[0]);
    expect(one).toEqual(again);
    expect(other?.endMl).toBe(one?.endMl);
    expect(one?.lowMl).toBeLessThanOrEqual(one?.endMl ?? 0);
    expect(one?.highMl).toBeGreaterThanOrEqual(one?.endMl ?? 0);
    expect(one?.highMl).toBeGreaterThan(one?.lowMl ?? 0);
  });
});

describe('phases', () => {
  it('of one interval are that interval', () => {
    const { forecast, phased } = ask(steady, { phases: [[7, null]] });
    expect(phased).toEqual(forecast[0]);
  });

  it('lead first closer, then wider, and count their visits', () => {
    const { phased } = ask(steady, {
      phases: [
        [3, 5],
        [14, null],
      ],
    });
    // Fifteen days, then four visits every fourteen.
    expect(phased?.visits).toBe(9);
    const often = ask(steady, { intervals: [3, 14] }).forecast;
    expect(phased?.endMl).toBeGreaterThan(often[0]?.endMl ?? 0);
    expect(phased?.endMl).toBeLessThan(often[1]?.endMl ?? 0);
  });

  it('end with their last visit where none is left open', () => {
    expect(ask(steady, { phases: [[3, 5]] }).phased?.visits).toBe(5);
    expect(ask(steady, { phases: [[60, 5]] }).phased?.visits).toBe(1);
  });
});

describe('a plateau', () => {
  it('is four visits without a slope, and something left', () => {
    const flat = [visit(0, 400, 380), visit(7, 405, 380), visit(14, 396, 380), visit(21, 402, 380)];
    expect(ask(flat).plateau).toBe(true);
    expect(ask(flat, { errorMl: 500 }).plateau).toBe(false);
    expect(ask(steady).plateau).toBe(false);
    expect(ask(flat.slice(0, 3)).plateau).toBe(false);
  });

  it('looks at the last ones only', () => {
    const settled = [0, 1, 2, 3].map((k) => visit(42 + 7 * k, 470 + (k % 2), 440));
    expect(ask([...steady, ...settled]).plateau).toBe(true);
  });
});

describe('any course', () => {
  const anyVisits = fc
    .array(
      fc.record({
        gap: fc.integer({ min: 1, max: 40 }),
        before: fc.double({ min: 0, max: 3000, noNaN: true }),
        after: fc.option(fc.double({ min: 0, max: 3000, noNaN: true })),
      }),
      { minLength: 2, maxLength: 15 },
    )
    .map((list) => {
      let at = 0;
      return list.map(({ gap, before, after }) => visit((at += gap), before, after));
    });

  it('is told in numbers that are numbers, the low end below the high one', () => {
    fc.assert(
      fc.property(anyVisits, (visits) => {
        const course = ask(visits, { intervals: [3, 14], goalMl: 100 });
        for (const one of course.forecast) {
          for (const ml of [one.endMl, one.lowMl, one.highMl]) expect(Number.isFinite(ml)).toBe(true);
          expect(one.lowMl).toBeLessThanOrEqual(one.highMl);
          expect(one.reachesGoal).toBe(one.endMl <= 100);
        }
        expect(course.forecast.length > 0).toBe(course.enough);
      }),
      { numRuns: 60 },
    );
  });

  it('lets closer visits never end with more, where each takes something', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (takes, holds) => {
          const visits: CourseVisit[] = [];
          let before = 900;
          for (let k = 0; k < 6; k += 1) {
            visits.push(visit(7 * k, before, before * (1 - takes)));
            before -= before * takes * holds;
          }
          const { forecast } = ask(visits, { errorMl: 0, intervals: [3, 7, 14, 28] });
          const ends = forecast.map(({ endMl }) => endMl);
          for (const [i, end] of ends.entries())
            if (i > 0) expect(end).toBeGreaterThanOrEqual((ends[i - 1] ?? 0) - 1e-9);
        },
      ),
    );
  });
});
