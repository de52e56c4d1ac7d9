import { z } from 'zod';

/** Problem details (RFC 9457) as every endpoint of ours answers them. */
export const ProblemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  /** With a conflict: what the other one saved, and its version. */
  theirs: z.unknown().optional(),
  version: z.number().optional(),
});
export type Problem = z.infer<typeof ProblemSchema>;
