import { z } from 'zod';

/** What a visit is to hold; the planner finds the order and the repetitions. */
export const TreatmentInput = z.object({
  choices: z
    .array(
      z.object({
        id: z.string().min(1).max(20),
        protocol: z.string().min(1).max(80),
        blocks: z.array(z.string().min(1).max(80)).min(1, 'Keep at least one part.').max(40).optional(),
      }),
    )
    .min(1, 'Choose at least one thing to do.')
    .max(8, 'At most eight protocols in one visit.'),
  minutes: z.number('Give minutes.').min(1, 'A visit lasts at least 1 minute.').max(480, 'At most eight hours.'),
  isShort: z.boolean().default(false),
  fill: z.boolean().default(false),
  /** Blocks in the therapist's own order; the best order when left out. */
  order: z.array(z.string().min(1).max(120)).max(120).optional(),
  /** Why a broken rule is kept. */
  reason: z.string().trim().max(400, 'Keep the reason within 400 characters.').default(''),
  basedOn: z.number().int().min(0),
});
export type TreatmentInput = z.infer<typeof TreatmentInput>;
