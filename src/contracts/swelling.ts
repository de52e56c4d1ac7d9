import { z } from 'zod';
import { changeModes } from '../core/swelling/limb-change';
import { confidences } from '../core/swelling/trend';

const aboveZero = (what: string) => z.number(`Give ${what} as a number.`).gt(0, 'This is more than 0.');

const LimbState = z.object({
  affectedMl: aboveZero('the volume'),
  unaffectedMl: aboveZero('the volume').nullable().optional(),
  weightKg: aboveZero('the weight').nullable().optional(),
});

export const LimbChangeRequest = z.object({ before: LimbState, after: LimbState, mode: z.enum(changeModes) });
export const LimbChangeResponse = z.object({ changePercent: z.number(), changeMl: z.number() });

export const MeasurementErrorRequest = z.object({
  duplicates: z.array(z.tuple([z.number(), z.number()], 'Give two readings of one quantity.')).max(100_000),
});
export const MeasurementErrorResponse = z.object({
  tem: z.number(),
  relativeTemPercent: z.number().nullable(),
  sem: z.number(),
  mdc95: z.number(),
});

/** All pairs are looked at, so time and memory grow with the square. */
const mostTrendPoints = 2000;

export const TrendRequest = z.object({
  points: z
    .array(z.object({ date: z.iso.date('Write a real date as year-month-day.'), value: z.number() }))
    .max(mostTrendPoints, `A trend takes at most ${mostTrendPoints} values.`),
  confidence: z.literal(confidences, 'Choose 0.8, 0.9, 0.95 or 0.99.').default(0.95),
});
export const TrendResponse = z.object({
  slopePerWeek: z.number(),
  lowPerWeek: z.number().nullable(),
  highPerWeek: z.number().nullable(),
  first: z.number(),
  last: z.number(),
  changePercent: z.number().nullable(),
  n: z.number(),
  direction: z.enum(['falling', 'rising', 'steady', 'unclear']),
});
