import { z } from 'zod';
import { LimitsShape } from './shapes/screening';
import type { ScreeningRequest as Request } from '../core/screening/read-request';
import { decisions } from '../core/screening/tables';

const id = z.string().min(1).max(80);
const date = z.string().max(10);

const ClearanceSchema = z.object({ date, modalities: z.union([z.literal('all'), z.array(id).max(50)]) });

export const PresentConditionSchema = z.object({
  id,
  side: z.enum(['left', 'right', 'both'], 'A side is left, right or both.').optional(),
  regions: z.array(id).max(200).optional(),
  /** YYYY, YYYY-MM or YYYY-MM-DD. */
  date: date.optional(),
  clearance: ClearanceSchema.optional(),
  answers: z.record(id, z.union([z.string().max(400), z.number(), z.boolean()])).optional(),
});

export const ScreeningRequest = z.object({
  visitDate: date,
  age: z.number().optional(),
  conditions: z.array(PresentConditionSchema).max(300),
  qualifications: z.array(id).max(50).optional(),
  modalities: z.array(id).max(50).optional(),
}) satisfies z.ZodType<Request>;

const reason = z.object({
  condition: z.string(),
  decision: z.enum(decisions),
  text: z.string(),
  code: z.enum(['finding', 'rule', 'scope']),
  confidence: z.enum(['high', 'medium', 'low']).optional(),
  local: z.literal(true).optional(),
});
const row = {
  modality: z.string(),
  decision: z.enum(decisions),
  limits: LimitsShape,
  reasons: z.array(reason),
};

export const ScreeningResponse = z.object({
  overall: z.enum(decisions),
  byModality: z.array(z.object(row)),
  regions: z.array(z.object({ region: z.string(), ...row })),
  questions: z.array(
    z.object({
      id: z.string(),
      condition: z.string().optional(),
      kind: z.enum(['age', 'date', 'side', 'place', 'follow-up', 'clearance']),
      text: z.string(),
    }),
  ),
});
