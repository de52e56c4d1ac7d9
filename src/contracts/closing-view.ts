import { z } from 'zod';
import { ClosingInput } from './closing';

/** The end of a visit as it is on record, with the version that a change is based on. */
export const ClosingView = ClosingInput.omit({ basedOn: true }).extend({ version: z.number() });
export type ClosingView = z.infer<typeof ClosingView>;
