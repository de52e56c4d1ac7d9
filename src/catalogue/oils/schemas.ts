import { z } from 'zod';
import {
  type Carrier,
  type Constituent,
  type EssentialOil,
  type GuideRow,
  noteIds,
  useIds,
} from '../../core/oils/book';

const id = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/);
const words = z.string().min(1);
const percent = z.number().min(0).max(100);
const certainty = z.enum(['established', 'typical', 'uncertain']);
const otherNames = z.strictObject({ de: words });
const strength = z.enum(['none', 'low', 'moderate', 'high']);

export const EssentialOilRow: z.ZodType<EssentialOil> = z.strictObject({
  ...{ id, name: words, latin: words, part: words, odourFamily: words, otherNames },
  note: z.enum(noteIds),
  odourIntensity: z.number().int().min(1).max(10),
  densityGPerMl: z.number().min(0.8).max(1.3),
  dropsPerMl: z.number().int().min(15).max(40),
  shelfLifeMonthsOpened: z.number().int().min(6).max(120),
  constituents: z.array(
    z
      .strictObject({ id, minPercent: percent, typicalPercent: percent, maxPercent: percent })
      .refine((c) => c.minPercent <= c.typicalPercent && c.typicalPercent <= c.maxPercent),
  ),
  dermalMaxPercent: percent.nullable(),
  dermalMaxReason: words.nullable(),
  phototoxic: z.strictObject({ maxLeaveOnPercent: percent.gt(0), hoursOutOfSun: z.number().int().gt(0) }).nullable(),
  ...{ sensitiser: strength, irritant: strength, confidence: certainty },
  uses: z.array(z.enum(useIds)).min(1),
  skinTypes: z.array(words),
  avoid: z.array(z.strictObject({ condition: id, scope: z.enum(['all', 'face']), reason: words })),
});

export const ConstituentRow: z.ZodType<Constituent> = z.strictObject({
  ...{ id, name: words, reason: words, source: words, confidence: certainty },
  dermalMaxPercent: percent.nullable(),
  dermalMaxFacePercent: percent.nullable(),
});

export const CarrierRow: z.ZodType<Carrier> = z.strictObject({
  ...{ id, name: words, otherNames, confidence: certainty },
  latin: words.nullable(),
  densityGPerMl: z.number().min(0.8).max(1.3),
  viscosity: z.enum(['light', 'medium', 'rich']),
  absorption: z.enum(['fast', 'medium', 'slow']),
  glideMinutes: z.number().min(0).max(120),
  comedogenicity: z.number().min(0).max(5),
  skinTypes: z.array(words),
  allergens: z.array(words),
  shelfLifeMonthsOpened: z.number().int().min(1).max(120),
  faceSuitable: z.boolean(),
  launders: z.enum(['easy', 'hard']),
  waterBased: z.boolean(),
});

export const GuideRowRow: z.ZodType<GuideRow> = z.strictObject({
  ...{ id, audience: words, area: words },
  usualMinPercent: percent,
  usualMaxPercent: percent,
  note: z.string(),
});
