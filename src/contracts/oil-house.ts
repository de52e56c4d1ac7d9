import { z } from 'zod';
import { areas, useIds } from '../core/oils/book';
import { patchReadings } from '../core/oils/patch-test';

/** What the house keeps of oils: bottles, blends, mixing, choosing by nose, patch tests. */

const day = z.iso.date('Write the day as in 2026-11-25.');
const id = z.string('Give an id.').min(1, 'Give an id.').max(80);
const ml = (most: number) => z.number('Give mL.').min(0, 'Not below 0 mL.').max(most, `At most ${most} mL.`);

export const BottleInput = z
  .object({
    kind: z.enum(['essential', 'carrier'], 'essential or carrier.'),
    oil: id,
    lot: z.string().trim().max(40, 'At most 40 characters.').default(''),
    openedOn: day.nullable().default(null),
    printedOn: day.nullable().default(null),
    sizeMl: z.number('Give mL.').gt(0, 'More than 0 mL.').max(5000, 'At most 5000 mL.'),
    leftMl: ml(5000),
    costCents: z.number('Give what it cost.').int('In whole cents.').min(0, 'Not below 0.').max(1_000_000).default(0),
    dropsPerMl: z
      .number('Give drops in a mL.')
      .min(5, 'At least 5 drops in a mL.')
      .max(80, 'At most 80 drops in a mL.')
      .nullable()
      .default(null),
    state: z.enum(['in-use', 'empty', 'discarded'], 'in-use, empty or discarded.').default('in-use'),
    note: z.string().trim().max(200, 'At most 200 characters.').default(''),
  })
  .refine(({ leftMl, sizeMl }) => leftMl <= sizeMl, {
    path: ['leftMl'],
    message: 'More is left than fits into the bottle.',
  });
export type BottleInput = z.infer<typeof BottleInput>;

/** What is counted at the shelf; `leftMl` of what there is. */
export const ShelfImportInput = z.object({
  csv: z.string('Give the text of a file.').max(1_000_000, 'At most one million characters.'),
  /** false: only say what would happen. */
  isSure: z.boolean().default(false),
});
export type ShelfImportInput = z.infer<typeof ShelfImportInput>;

const parts = z
  .array(
    z.object({
      oil: id,
      drops: z
        .number('Give whole drops.')
        .int('Drops are whole.')
        .min(1, 'At least one drop.')
        .max(2000, 'At most 2000 drops.'),
      dropsPerMl: z.number().gt(0).max(200).optional(),
    }),
  )
  .max(12, 'At most twelve oils.');

/** A blend by itself: what is in it, for where, and what it is for. */
export const BlendInput = z.object({
  name: z.string().trim().min(1, 'Give it a name.').max(60, 'Keep the name within 60 characters.'),
  area: z.enum(areas, `One of ${areas.join(', ')}.`),
  volumeMl: z.number('Give mL.').gt(0, 'More than 0 mL.').max(1000, 'At most 1000 mL.'),
  carrier: id,
  parts,
  uses: z.array(z.enum(useIds)).max(useIds.length).default([]),
});
export type BlendInput = z.infer<typeof BlendInput>;

/** Blends as they leave one house for another. */
export const BlendFile = z.object({
  kind: z.literal('velvet-stone-blends', 'This is no file of blends.'),
  version: z.literal(1, 'This file is of a version that cannot be read.'),
  blends: z.array(BlendInput).min(1, 'There is no blend in it.').max(200, 'At most 200 blends.'),
});
export type BlendFile = z.infer<typeof BlendFile>;

/** The blend that a visit carries for body or face; null takes it away. */
export const VisitBlendInput = z.object({
  area: z.enum(['body', 'face'], 'body or face.'),
  blend: BlendInput.nullable(),
  /** A bottle that is mixed already and poured from. */
  pouredFrom: z.number().int().positive().nullable().default(null),
});
export type VisitBlendInput = z.infer<typeof VisitBlendInput>;

export const MixInput = z.object({
  blend: BlendInput,
  visitId: z.number().int().positive().nullable().default(null),
  clientId: z.number().int().positive().nullable().default(null),
});
export type MixInput = z.infer<typeof MixInput>;

/** Drops that are in, by oil. */
export const MixCountInput = z.object({
  counted: z.record(
    id,
    z.number().int('Drops are whole.').min(0, 'Not fewer than none.').max(5000, 'At most 5000 drops.'),
  ),
});
export type MixCountInput = z.infer<typeof MixCountInput>;

export const SmellInput = z.object({
  visitId: z.number().int().positive(),
  strips: z
    .array(
      z.object({
        blend: BlendInput,
        liking: z.number().min(0, 'From 0.').max(10, 'To 10.').nullable(),
        word: z.string().trim().max(40, 'At most 40 characters.'),
      }),
    )
    .min(2, 'Two or three strips.')
    .max(3, 'Never more than three: the nose tires.'),
  /** Place of the strip that was chosen; null: none of them. */
  chosen: z.number().int().min(0).max(2).nullable(),
});
export type SmellInput = z.infer<typeof SmellInput>;

export const PatchTestInput = z.object({
  clientId: z.number().int().positive(),
  what: z.string().trim().min(1, 'Say what was put on.').max(120, 'At most 120 characters.'),
});
export type PatchTestInput = z.infer<typeof PatchTestInput>;

export const PatchReadingInput = z.object({
  reading: z.enum(patchReadings, `One of ${patchReadings.join(', ')}.`),
  note: z.string().trim().max(200, 'At most 200 characters.').default(''),
});
export type PatchReadingInput = z.infer<typeof PatchReadingInput>;

/** What is done to the simulated drop scale. */
export const DropScaleInput = z.object({
  drops: z.number().int().min(0).max(200, 'At most 200 drops at once.').optional(),
  densityGPerMl: z.number().gt(0).max(2).optional(),
  dropsPerMl: z.number().gt(0).max(200).optional(),
  isOn: z.boolean().optional(),
  tare: z.boolean().optional(),
});
export type DropScaleInput = z.infer<typeof DropScaleInput>;
