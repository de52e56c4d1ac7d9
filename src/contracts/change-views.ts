import { z } from 'zod';

/** What became of one thing that is measured before the work and after it, visit by visit. */
export const ChangeView = z.object({
  key: z.string(),
  name: z.string(),
  unit: z.enum(['cm', '°', '°C', 'mm', '%', 'of 10', 'grade']),
  limit: z.number(),
  steps: z.array(z.string()).readonly().optional(),
  /** One of many of its kind: told beneath the others. */
  isDetail: z.literal(true).optional(),
  /** The oldest first. */
  visits: z
    .array(
      z.object({
        visitId: z.number(),
        /** As the house writes it. */
        day: z.string(),
        before: z.number().nullable(),
        after: z.number().nullable(),
        change: z.number().nullable(),
        isBeyond: z.boolean().nullable(),
        isBetter: z.boolean().nullable(),
        /** Of what was gained, what was still there before the next work (%). */
        heldPercent: z.number().nullable(),
      }),
    )
    .readonly(),
});
export type ChangeView = z.infer<typeof ChangeView>;
