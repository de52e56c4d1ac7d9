import { z } from 'zod';
import type { Freshness, ReorderLine } from '../../core/oils/stock';
import type { OilClient } from '../../core/oils/client';
import type { PatchState } from '../../core/oils/patch-test';
import type { DropsOnSkin, Layers } from '../../core/oils/layers';
import { useIds } from '../../core/oils/book';

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
export const LayersShape = z.object({
  areaCm2: z.number(),
  layers: z
    .array(
      z.object({
        step: z.string(),
        purposes: z.array(z.enum([...useIds, 'cooling'])).readonly(),
        oil: z.string().nullable(),
        drops: z.number(),
        dropsPerMl: z.number().optional(),
        strengthPercent: z.number(),
        inBottle: z.number(),
        mostDrops: z.number().nullable(),
        mayBe: z.array(z.string()).readonly(),
        why: z.string(),
      }),
    )
    .readonly(),
  balance: z.object({
    filmMl: z.number(),
    lines: z
      .array(
        z.object({
          of: z.string(),
          limitPercent: z.number(),
          usedPercent: z.number(),
          perDrop: z.record(z.string(), z.number()),
        }),
      )
      .readonly(),
  }),
}) satisfies z.ZodType<Layers>;
export const DropsOnSkinShape: z.ZodType<DropsOnSkin> = z.object({
  filmMl: z.number(),
  parts: z.array(z.object({ oil: z.string(), drops: z.number(), dropsPerMl: z.number().optional() })).readonly(),
});
