import { z } from 'zod';
import type { Freshness, ReorderLine } from '../../core/oils/stock';
import type { OilClient } from '../../core/oils/client';
import type { PatchState } from '../../core/oils/patch-test';

export const FreshnessShape: z.ZodType<Freshness> = z.enum(['closed', 'fresh', 'turning', 'old']);
export const OilClientShape: z.ZodType<OilClient> = z.object({
  age: z.number().nullable(),
  conditions: z.array(z.string()).readonly(),
  skin: z.enum(['normal', 'sensitive']),
  avoids: z
    .array(
      z.object({
        id: z.string(),
        reason: z.string(),
      }),
    )
    .readonly()
    .optional(),
  mostPercent: z.number().optional(),
  mostPercentOnFace: z.number().optional(),
  bodyTouchesFace: z.boolean().optional(),
});
export const PatchStateShape: z.ZodType<PatchState> = z.enum(['waiting', 'due', 'clear', 'reacted']);
export const ReorderLineShape: z.ZodType<ReorderLine> = z.object({
  kind: z.enum(['essential', 'carrier']),
  oil: z.string(),
  why: z.string(),
});
