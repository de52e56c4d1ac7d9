import { z } from 'zod';
import type { LimbVolumeInput } from '../core/swelling/limb-volume';
import { volumeMethods } from '../core/swelling/volume';
import { lengthUnits } from '../core/units';

const girth = z.number('Give a number, or null where none was taken.').gt(0, 'A girth is more than 0.').nullable();

export const LimbVolumeRequest = z.object({
  limb: z.enum(['arm', 'leg']),
  unit: z.enum(lengthUnits).default('cm'),
  method: z.enum(volumeMethods).default('frustum'),
  positions: z.array(z.number()).max(200),
  affected: z.array(girth).max(200),
  reference: z.array(girth).max(200).nullable().default(null),
  dominant: z.enum(['affected', 'reference', 'none']).default('none'),
  dominanceCorrectionPercent: z.number().min(0).max(20).default(0),
  tapeSigmaCm: z.number().min(0).max(2).default(0.2),
}) satisfies z.ZodType<LimbVolumeInput>;

export const LimbVolumeResponse = z.object({
  affectedMl: z.number(),
  referenceMl: z.number().nullable(),
  excessMl: z.number().nullable(),
  excessPercent: z.number().nullable(),
  segments: z.array(
    z.object({
      from: z.number(),
      to: z.number(),
      affectedMl: z.number(),
      referenceMl: z.number().nullable(),
      excessMl: z.number().nullable(),
    }),
  ),
  affectedSdMl: z.number(),
  excessSdMl: z.number().nullable(),
  severity: z.enum(['none', 'early', 'minimal', 'moderate', 'severe']).nullable(),
  warnings: z.array(z.object({ code: z.string(), position: z.number().nullable(), message: z.string() })),
});
