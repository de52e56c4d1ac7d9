import { z } from 'zod';
import { changeKinds } from '../../core/sequencing/setup';
import type { SetupChange } from '../../core/sequencing/setup';

export const SetupChangeShape: z.ZodType<SetupChange> = z.object({
  before: z.string(),
  kind: z.enum(changeKinds),
  seconds: z.number(),
});
