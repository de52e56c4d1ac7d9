import { z } from 'zod';
import { markKinds } from '../core/table/mark-kinds';

const tableEventKinds = [
  'start',
  'end',
  'skip',
  'back',
  'pause',
  'resume',
  'refit',
  'mark',
  'drops',
  'finish',
] as const;
const stepName = z.string().min(1).max(120);
const TableEventInput = z
  .object({
    /** Made by the device, so that sending twice stores once. */
    id: z.string().min(8).max(60),
    kind: z.enum(tableEventKinds),
    stepId: stepName.nullable(),
    at: z.iso.datetime(),
    planVersion: z.number().int().positive(),
    /** Counts the presses of one device, from 1. */
    number: z.number().int().positive().optional(),
    /** With a `mark`. */
    mark: z.enum(markKinds, `One of ${markKinds.join(', ')}.`).optional(),
    /** With a `mark`, where the step is on both sides. */
    side: z.enum(['left', 'right', 'both'], 'A side is left, right or both.').optional(),
    /** With `drops`: what fell straight onto the skin in this step until now. */
    oil: z.string().min(1).max(80).optional(),
    drops: z.number().int('Drops are whole.').min(0, 'Not less than none.').max(99, 'At most 99 drops.').optional(),
    /** With a `refit`: all that differs from the plan from then on. */
    change: z
      .object({
        repetitions: z.record(stepName, z.number().int().min(1, 'At least once.').max(400, 'At most 400 times.')),
        leftOut: z.array(stepName).max(1000),
        overSeconds: z.number().int().min(0).max(14_400, 'At most four hours over.'),
      })
      .optional(),
  })
  .refine(({ kind, mark, stepId }) => kind !== 'mark' || (mark !== undefined && stepId !== null), {
    path: ['mark'],
    message: 'Say what was marked, and in which step.',
  })
  .refine(({ kind, oil, drops, stepId }) => kind !== 'drops' || (oil && drops !== undefined && stepId !== null), {
    path: ['drops'],
    message: 'Say how many drops of which oil fell, and in which step.',
  });
type TableEventInput = z.infer<typeof TableEventInput>;
/** Made up by a browser once, and kept by it. */
const deviceId = z.string().min(8, 'Name the device with at least 8 characters.').max(60);
export const TableEventsInput = z.object({ deviceId, events: z.array(TableEventInput).min(1).max(500) });
export const TableLeadInput = z.object({ deviceId });
