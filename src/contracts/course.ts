import { z } from 'zod';

const mostMl = 100_000;
const volume = (what: string) =>
  z.number(`Give ${what} in mL.`).min(0, 'Not below 0 mL.').max(mostMl, `At most ${mostMl} mL.`);
const days = z.number('Give days as a number.').min(1, 'At least 1 day.').max(365, 'At most a year.');

const usualIntervals = [3, 4, 7, 10, 14, 21, 28];

export const CourseRequest = z.object({
  visits: z
    .array(
      z.object({
        day: z.iso.date('Write a real date as year-month-day.'),
        beforeMl: volume('the excess before the work'),
        afterMl: volume('the excess after the work').nullable().default(null),
      }),
    )
    .min(2, 'A course needs at least two visits.')
    .max(400, 'At most 400 visits.')
    .superRefine((visits, context) => {
      const seen = new Set<string>();
      visits.forEach(({ day }, i) => {
        if (seen.has(day))
          context.addIssue({
            code: 'custom',
            path: [i, 'day'],
            message: 'There are two visits on this day: keep one.',
          });
        seen.add(day);
      });
    }),
  /** What one measure can err by (mL). */
  errorMl: volume('the measuring limit'),
  intervals: z.array(days).max(30, 'At most 30 intervals.').default(usualIntervals),
  horizonDays: z.number('Give days as a number.').min(1, 'At least 1 day.').max(730, 'At most two years.').default(84),
  /** `[[3, 5], [14, null]]`: five visits every three days, then every fourteen. */
  phases: z
    .array(
      z.tuple([days, z.number().int('Give whole visits.').min(1, 'At least 1 visit.').max(365).nullable()], {
        error: 'Give each phase as days and visits, or null for as many as there are.',
      }),
    )
    .max(10, 'At most ten phases.')
    .nullable()
    .default(null),
  goalMl: volume('the goal').nullable().default(null),
  seed: z.number().int('Give a whole number.').min(0).max(4_294_967_295).default(1),
});

const ForecastShape = z.object({
  everyDays: z.number(),
  visits: z.number(),
  endMl: z.number(),
  lowMl: z.number(),
  highMl: z.number(),
  reachesGoal: z.boolean().nullable(),
  beyondSeen: z.boolean(),
});

export const CourseResponse = z.object({
  enough: z.boolean(),
  response: z.object({ median: z.number(), low: z.number(), high: z.number(), visits: z.number() }).nullable(),
  held: z.object({ tauDays: z.number(), low: z.number(), high: z.number(), gaps: z.number() }).nullable(),
  forecast: z.array(ForecastShape).readonly(),
  phased: ForecastShape.nullable(),
  plateau: z.boolean(),
});
