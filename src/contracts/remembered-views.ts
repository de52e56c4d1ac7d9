import { z } from 'zod';
import { foundKinds } from '../core/change/remembered';

/** What hands found at a place over earlier visits. */
export const RememberedView = z.object({
  kind: z.enum(foundKinds),
  place: z.string(),
  /** `Tender at the left calf` */
  what: z.string(),
  /** `4 of 5 visits, then 1 of 5` */
  words: z.string(),
  /** 0–1: fades with age. */
  presence: z.number(),
  wasLastTime: z.boolean(),
});
export type RememberedView = z.infer<typeof RememberedView>;
