import { z } from 'zod';
import { StoneUseKindShape } from './stones';
import { StepLayerShape } from './library';
import { stepFields } from './drainage';
import { markKinds } from '../../core/table/mark-kinds';
import type { TableStep, Taught, ToldStep } from '../../core/table/table-step';
import type { TableChange, TableEvent } from '../../core/table/table-event';
import type { MarkSide } from '../../core/table/mark-kinds';

export const ToldStepShape: z.ZodType<ToldStep> = z.object({
  technique: z.string().optional(),
  title: z.string(),
  how: z.string(),
  howInShort: z.string().optional(),
  cue: z.string(),
  note: z.string(),
  block: z.string(),
  modality: z.string().optional(),
  twin: z.string().optional(),
  count: z.enum(['repetitions', 'breaths', 'hold']),
  places: z.array(z.string()).readonly(),
  rounds: z.array(z.string()).readonly().optional(),
  isOpening: z.boolean().optional(),
  breath: z.enum(['follow', 'recoil']).optional(),
  tool: z.string().optional(),
  layer: StepLayerShape.optional(),
  dropped: z.object({ oil: z.string(), name: z.string(), drops: z.number() }).optional(),
  stones: StoneUseKindShape.optional(),
  lines: z.array(z.string()).readonly().optional(),
});
const TaughtShape: z.ZodType<Taught> = z.object({
  why: z.string().optional(),
  never: z.string().optional(),
  feel: z.string().optional(),
});
export const TableStepShape: z.ZodType<TableStep> = z.object({
  ...stepFields,
  told: ToldStepShape.optional(),
  taught: TaughtShape.optional(),
  asksAgain: z.array(z.string()).readonly().optional(),
  changes: z.array(z.string()).readonly().optional(),
  setupSeconds: z.number().optional(),
  fit: z
    .object({
      min: z.number(),
      max: z.number(),
      secondsPerRepetition: z.number(),
      isStretchable: z.boolean(),
    })
    .optional(),
});
export const TableChangeShape: z.ZodType<TableChange> = z.object({
  repetitions: z.record(z.string(), z.number()),
  leftOut: z.array(z.string()).readonly(),
  overSeconds: z.number(),
});
export const MarkSideShape: z.ZodType<MarkSide> = z.enum(['left', 'right', 'both']);
export const TableEventShape: z.ZodType<TableEvent> = z.object({
  id: z.string(),
  kind: z.enum(['start', 'end', 'skip', 'back', 'pause', 'resume', 'refit', 'mark', 'drops', 'finish']),
  stepId: z.string().nullable(),
  at: z.string(),
  planVersion: z.number(),
  number: z.number().optional(),
  change: TableChangeShape.optional(),
  mark: z.enum(markKinds).optional(),
  oil: z.string().optional(),
  drops: z.number().optional(),
  side: MarkSideShape.optional(),
});
