import { z } from 'zod';

/** Visits with more of a kind of work beside those with less of it, and how differently they went. */
export const EarnedRow = z.object({
  /** `Draining: left leg` */
  work: z.string(),
  /** `Excess volume of the left leg` */
  figure: z.string(),
  unit: z.string(),
  visits: z.number(),
  more: z.object({ visits: z.number(), meanSeconds: z.number() }),
  less: z.object({ visits: z.number(), meanSeconds: z.number() }),
  /** How much better visits with more of it went (below 0: worse), with its 95 % interval. */
  difference: z.number(),
  low: z.number(),
  high: z.number(),
  isApart: z.boolean(),
});
export type EarnedRow = z.infer<typeof EarnedRow>;

export const EarnedView = z.object({
  /** Visits with presses of the table. */
  visits: z.number(),
  /** So many are needed. */
  leastVisits: z.number(),
  /** So many pairs of work and figure were looked at; one in twenty stands out by chance. */
  looked: z.number(),
  /** The surest first. */
  rows: z.array(EarnedRow).readonly(),
});
export type EarnedView = z.infer<typeof EarnedView>;

/** The same over the clients of a house, each of whom counts once. */
export const TogetherView = z.object({
  /** Clients with visits enough. */
  clients: z.number(),
  leastClients: z.number(),
  leastVisits: z.number(),
  looked: z.number(),
  rows: z
    .array(
      z.object({
        work: z.string(),
        figure: z.string(),
        unit: z.string(),
        clients: z.number(),
        difference: z.number(),
        low: z.number(),
        high: z.number(),
        isApart: z.boolean(),
      }),
    )
    .readonly(),
});
export type TogetherView = z.infer<typeof TogetherView>;
