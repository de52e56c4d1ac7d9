import { z } from 'zod';
import { stepKinds, turnPlace } from '../core/drainage/step';
import { DrainagePlanRequest } from './drainage';

const longestSeconds = 14_400;
/** Every place is told at each entry. */
const mostEntries = 3600;
const mostStartMl = 500;
const placeId = z.string().min(1).max(60);
const seconds = z
  .number('Give seconds.')
  .int('Give whole seconds.')
  .min(1, 'At least 1 second.')
  .max(longestSeconds, `At most ${longestSeconds} seconds.`);

const FlowStepSchema = z.object({
  id: z.string().min(1).max(60).optional(),
  kind: z.enum(stepKinds),
  /** null for a turn. */
  place: placeId.nullable().transform((place) => place ?? turnPlace),
  toward: placeId.nullable().default(null),
  via: z.array(placeId).max(50).default([]),
  repetitions: z.number('Give the repetitions.').min(0, 'Not below 0.').max(10_000, 'At most 10,000.'),
  placements: z.number('Give the placements.').min(0, 'Not below 0.').max(1000, 'At most 1,000.'),
  seconds: z
    .number('Give the seconds of the step.')
    .gt(0, 'More than 0 seconds.')
    .max(longestSeconds, `At most ${longestSeconds} seconds.`),
});

/** A case, a course in any order, and what lies where; without `start`, ten mL for each placement of the focus. */
export const FlowRequest = DrainagePlanRequest.extend({
  steps: z.array(FlowStepSchema).max(1000, 'At most 1,000 steps.'),
  start: z
    .record(
      placeId,
      z
        .number('Give the volume as a number.')
        .min(0, 'Not below 0 mL.')
        .max(mostStartMl, `At most ${mostStartMl} mL in one place.`),
    )
    .optional(),
  seconds,
  every: seconds.default(60),
}).refine(({ seconds: all, every }) => all / every <= mostEntries, {
  path: ['every'],
  message: `At most ${mostEntries} entries: make this larger, or follow it for less long.`,
});

export const FlowResponse = z.object({
  startMl: z.number(),
  series: z.array(z.object({ second: z.number(), drainedMl: z.number(), insideMl: z.number() })).readonly(),
  left: z.record(z.string(), z.number()),
  places: z.record(z.string(), z.array(z.number()).readonly()),
  peak: z.array(z.object({ place: z.string(), ml: z.number(), second: z.number() })).readonly(),
});
