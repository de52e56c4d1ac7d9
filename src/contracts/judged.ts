import { z } from 'zod';
import { decisions } from '../core/screening/tables';
import { PresentConditionSchema } from './screening';

const id = z.string().min(1).max(80);
const placeId = z.string().min(1).max(60);

/** A client on a day, as for screening, with what the record says of scars besides. */
const judgedCase = {
  visitDate: z.string().max(10),
  age: z.number().optional(),
  conditions: z
    .array(PresentConditionSchema.extend({ crosses: z.array(z.array(placeId)).max(100).optional() }))
    .max(300)
    .default([]),
  qualifications: z.array(id).max(50).default([]),
  /** Kind of work → how often it was given in the seven days before. */
  thisWeek: z.record(id, z.number().int().min(0).max(100)).default({}),
};

export const TreatmentRequest = z.object({
  ...judgedCase,
  protocols: z.array(id).min(1, 'Choose at least one protocol.').max(8),
  focus: z.array(placeId).max(200).default([]),
  minutes: z
    .number()
    .min(1, 'A visit lasts at least 1 minute.')
    .max(480, 'A visit lasts at most 480 minutes.')
    .default(60),
  form: z.enum(['whole', 'short']).default('whole'),
  hands: z.enum(['one-side-first', 'both-alike']).default('one-side-first'),
  fill: z.boolean().default(false),
});
export type TreatmentRequest = z.infer<typeof TreatmentRequest>;

const leftOut = z.object({
  protocol: z.string(),
  block: z.string().nullable(),
  technique: z.string().nullable(),
  places: z.array(z.string()),
  rule: z.string(),
  text: z.string(),
  instead: z.string().nullable(),
});

export const TreatmentResponse = z.object({
  decision: z.enum(decisions),
  parts: z.array(
    z.object({
      protocol: z.string(),
      block: z.string(),
      modality: z.string(),
      position: z.string(),
      hands: z.string(),
      steps: z.array(
        z.object({
          technique: z.string(),
          places: z.array(z.string()),
          toward: z.string().nullable(),
          direction: z.enum(['as-written', 'reversed']),
          pressure: z.string(),
          repetitions: z.number(),
          seconds: z.number(),
          cautions: z.array(z.string()),
        }),
      ),
    }),
  ),
  leftOut: z.array(leftOut),
  minutesByModality: z.record(z.string(), z.number()),
  totalSeconds: z.number(),
  fits: z.boolean(),
});
export type TreatmentResponse = z.infer<typeof TreatmentResponse>;

export const HomeSheetRequest = z.object({
  ...judgedCase,
  routine: id,
  side: z.enum(['left', 'right', 'both'], 'A side is left, right or both.').optional(),
  minutes: z.number().min(1, 'At least one minute.').max(60, 'At most an hour.').optional(),
  reach: z.array(z.string().max(40)).max(40).optional(),
});
export type HomeSheetRequest = z.infer<typeof HomeSheetRequest>;

export const HomeSheetResponse = z.object({
  decision: z.enum(decisions),
  steps: z.array(
    z.object({
      technique: z.string(),
      places: z.array(z.string()),
      toward: z.string().nullable(),
      repetitions: z.number(),
      words: z.string(),
    }),
  ),
  leftOut: z.array(leftOut),
  perWeek: z.number(),
});
export type HomeSheetResponse = z.infer<typeof HomeSheetResponse>;
