import { z } from 'zod';
import { sizeIds } from '../core/stones/book';
import { SchoolSchema } from './drainage';

/** What a treatment is made of, apart from how long it may take and in which order. */
export const TreatmentHolds = z.object({
  choices: z
    .array(
      z.object({
        id: z.string().min(1).max(20),
        protocol: z.string().min(1).max(80),
        /** Only these parts of it; all when left out. */
        blocks: z.array(z.string().min(1).max(80)).min(1, 'Keep at least one part.').max(40).readonly().optional(),
      }),
    )
    .min(1, 'Choose at least one thing to do.')
    .max(8, 'At most eight protocols in one visit.')
    .readonly(),
  isShort: z.boolean().default(false),
  fill: z.boolean().default(false),
  /** Both hands alike where nothing asks for one side after the other. */
  bothSides: z.boolean().default(false),
  /** The order of a protocol's parts is not kept: the fastest one that the rules allow. */
  isFree: z.boolean().optional(),
  /** How often each step of a part is given, by the part's id. */
  times: z
    .record(
      z.string().min(1).max(160),
      z.number().int('A whole number.').min(1, 'At least once.').max(30, 'At most 30 times.'),
    )
    .optional(),
  /** Stones that the therapist takes for a step instead of what its technique asks for, by the step's id. */
  stones: z
    .record(
      z.string().min(1).max(160),
      z.object({
        size: z.enum(sizeIds, `One of ${sizeIds.join(', ')}.`),
        count: z
          .number()
          .int('A whole number of stones.')
          .min(1, 'At least one stone.')
          .max(8, 'At most eight at once.'),
        keep: z.boolean().default(false),
      }),
    )
    .optional(),
  /** Oils that the therapist takes for drops straight onto the skin, by the step's id. */
  layers: z
    .record(
      z.string().min(1).max(160),
      z.object({
        oil: z.string().min(1, 'Name the oil.').max(80),
        drops: z
          .number()
          .int('Drops are whole.')
          .min(1, 'At least one drop; leave the part out for none.')
          .max(30, 'At most 30 drops.'),
      }),
    )
    .optional(),
  /** Another school of drainage than the house's. */
  school: SchoolSchema.optional(),
});
export type TreatmentHolds = z.infer<typeof TreatmentHolds>;

/** Of a wish what is kept: not its minutes, and not an order that was arranged by hand. */
export const holdsOf = ({
  choices,
  isShort,
  fill,
  bothSides,
  school,
  isFree,
  stones,
  times,
  layers,
}: TreatmentHolds): TreatmentHolds => ({
  ...{ choices, isShort, fill, bothSides },
  ...(school ? { school } : {}),
  ...(isFree ? { isFree } : {}),
  ...(stones ? { stones } : {}),
  ...(times ? { times } : {}),
  ...(layers ? { layers } : {}),
});

/** What a visit is to hold; the planner finds the order and the repetitions. */
export const TreatmentInput = TreatmentHolds.extend({
  minutes: z.number('Give minutes.').min(1, 'A visit lasts at least 1 minute.').max(480, 'At most eight hours.'),
  /** Blocks in the therapist's own order; the best order when left out. */
  order: z.array(z.string().min(1).max(120)).max(120).optional(),
  /** Whose seconds a repetition takes; what the therapist usually plans by when left out. */
  pace: z.enum(['library', 'own'], 'One of library, own.').optional(),
  /** The side that was tighter begins, and gets more; `neither` where that was offered and is not wished. */
  leanTo: z.enum(['left', 'right', 'neither'], 'One of left, right, neither.').optional(),
  /** Why a broken rule is kept. */
  reason: z.string().trim().max(400, 'Keep the reason within 400 characters.').default(''),
  basedOn: z.number().int().min(0),
});
export type TreatmentInput = z.infer<typeof TreatmentInput>;

/** A treatment kept to be taken again: for the house, or as what is usual for one client. */
export const TemplateInput = z.object({
  name: z.string().trim().min(1, 'Give it a name.').max(80, 'Keep the name within 80 characters.'),
  clientId: z.number().int().positive().nullable().default(null),
  minutes: z.number('Give minutes.').min(1, 'At least 1 minute.').max(480, 'At most eight hours.'),
  holds: TreatmentHolds,
});
export type TemplateInput = z.infer<typeof TemplateInput>;

/** What of the room list is ready, by its keys. */
export const ReadyInput = z.object({ ready: z.array(z.string().min(1).max(300)).max(60) });
export type ReadyInput = z.infer<typeof ReadyInput>;
