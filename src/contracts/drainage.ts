import { z } from 'zod';
import {
  defaultSchool,
  type DrainageCase,
  longestVisitMinutes,
  purposes,
  qualificationIds,
} from '../core/drainage/case';
import { findingIds } from '../core/drainage/finding';
import { lyings, stepKinds, turnPlace } from '../core/drainage/step';
import { decisions, pressures } from '../core/screening/tables';

const placeId = z.string().min(1).max(60);

const FindingSchema = z.object({
  id: z.enum(findingIds),
  side: z.enum(['left', 'right', 'both']).optional(),
  regions: z.array(placeId).max(200).optional(),
  crosses: z.array(z.array(placeId)).max(100).optional(),
});

export const SchoolSchema = z.object({
  start: z.enum(['neck-first', 'breath-first']).default(defaultSchool.start),
  hand: z.enum(['stretch', 'sweep', 'roller']).default(defaultSchool.hand),
  removedSide: z.enum(['reroute-only', 'reroute-and-stimulate']).default(defaultSchool.removedSide),
  exits: z.union([z.literal(1), z.literal(2)]).default(defaultSchool.exits),
});

/** A drainage case; what is left out takes the house's defaults. */
export const DrainagePlanRequest = z.object({
  focus: z.array(placeId).min(1, 'Choose at least one area to drain, such as leg.left.').max(200),
  purpose: z.enum(purposes).default('swelling'),
  findings: z.array(FindingSchema).max(200).default([]),
  school: SchoolSchema.default(defaultSchool),
  minutes: z
    .number()
    .min(1, 'A visit lasts at least 1 minute.')
    .max(longestVisitMinutes, `A visit lasts at most ${longestVisitMinutes} minutes.`)
    .default(60),
  fill: z.boolean().default(false),
  qualifications: z.array(z.enum(qualificationIds)).max(50).default([]),
  /** Groups that closed ways shall go to, or not go to; lawful ones only. */
  use: z.array(placeId).max(6).default([]),
  refuse: z.array(placeId).max(6).default([]),
}) satisfies z.ZodType<DrainageCase>;

const ArrangedStepSchema = z.object({
  id: z.string().min(1).max(60),
  kind: z.enum(stepKinds),
  /** null for a turn. */
  place: placeId.nullable().transform((place) => place ?? turnPlace),
  toward: placeId.nullable().default(null),
  via: z.array(placeId).max(50).default([]),
  pressure: z.enum(pressures).optional(),
});

export const DrainageCheckRequest = DrainagePlanRequest.extend({ steps: z.array(ArrangedStepSchema).max(1000) });

const StepSchema = z.object({
  id: z.string(),
  kind: z.enum(stepKinds),
  position: z.enum(lyings),
  place: z.string().nullable(),
  toward: z.string().nullable(),
  via: z.array(z.string()),
  pressure: z.enum(pressures),
  repetitions: z.number(),
  placements: z.number(),
  seconds: z.number(),
  rules: z.array(z.string()),
  why: z.string(),
  cautions: z.array(z.string()),
  pair: z.string().optional(),
});

export const DrainagePlanResponse = z.object({
  decision: z.enum(decisions),
  reasons: z.array(z.object({ rule: z.string(), text: z.string() })),
  exits: z.array(
    z.object({ to: z.string(), cost: z.number(), share: z.number(), path: z.array(z.string()), why: z.string() }),
  ),
  rejected: z.array(z.object({ to: z.string(), why: z.string() })),
  candidates: z.array(
    z.object({
      to: z.string(),
      cost: z.number(),
      crosses: z.array(z.array(z.string())),
      minutes: z.number(),
      chosen: z.boolean(),
      why: z.string(),
    }),
  ),
  steps: z.array(StepSchema),
  turns: z.number(),
  totalSeconds: z.number(),
  fits: z.boolean(),
  waiting: z.array(z.string()),
});

export const DrainageCheckResponse = z.object({
  violations: z.array(
    z.object({
      step: z.string(),
      rule: z.string(),
      severity: z.enum(['error', 'warning']),
      text: z.string(),
      fix: z
        .union([z.object({ move: z.string(), after: z.string().nullable() }), z.object({ remove: z.string() })])
        .optional(),
    }),
  ),
});
