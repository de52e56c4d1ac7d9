import { z } from 'zod';
import { purposes } from '../core/drainage/case';
import { TreatmentHolds } from './treatment';

/** What a client had last, to be booked again. */
export const LastWork = z.object({
  words: z.string(),
  focus: z.array(z.string()).readonly(),
  purpose: z.enum(purposes),
  minutes: z.number(),
  /** What it held beside or instead of drainage. */
  holds: TreatmentHolds.nullable(),
});
export type LastWork = z.infer<typeof LastWork>;
