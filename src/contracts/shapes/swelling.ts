import { z } from 'zod';
import { tapingTicks } from '../../core/swelling/taping-context';
import { volumeMethods } from '../../core/swelling/volume';
import { lengthUnits } from '../../core/units';
import { volumeUnits } from '../../core/volume-units';
import { definitionIds } from '../../core/swelling/definitions';
import { confidences } from '../../core/swelling/trend';
import { measuredQuantities } from '../../core/swelling/detectable';
import type { TapingContext } from '../../core/swelling/taping-context';
import type { LimbSegment, LimbVolume, SwellingGrade } from '../../core/swelling/limb-volume';
import type { Limb } from '../../core/swelling/entry-checks';
import type { Girth } from '../../core/swelling/gaps';
import type { Pass } from '../../core/swelling/taping';
import type { ClientMeasuring, Handedness, MeasuringSettings, VolumeSettings } from '../../core/swelling/settings';
import type { TapeProtocol } from '../../core/swelling/protocol';
import type { Trend, TrendDirection } from '../../core/swelling/trend';

export const TapingContextShape: z.ZodType<TapingContext> = z.object({
  eight: z.object({
    affected: z.number().nullable(),
    reference: z.number().nullable(),
  }),
  weightKg: z.number().nullable(),
  restMinutes: z.number().nullable(),
  marks: z.enum(['fresh', 'left-on']).nullable(),
  ticks: z.array(z.enum(tapingTicks)).readonly(),
  note: z.string(),
  confirmed: z.array(z.string()).readonly(),
});
export const LimbSegmentShape: z.ZodType<LimbSegment> = z.object({
  from: z.number(),
  to: z.number(),
  affectedMl: z.number(),
  referenceMl: z.number().nullable(),
  excessMl: z.number().nullable(),
});
export const SeverityShape: z.ZodType<SwellingGrade> = z.enum(['none', 'early', 'minimal', 'moderate', 'severe']);
export const LimbVolumeShape: z.ZodType<LimbVolume> = z.object({
  affectedMl: z.number(),
  referenceMl: z.number().nullable(),
  excessMl: z.number().nullable(),
  excessPercent: z.number().nullable(),
  segments: z.array(LimbSegmentShape).readonly(),
  affectedSdMl: z.number(),
  excessSdMl: z.number().nullable(),
  severity: SeverityShape.nullable(),
  warnings: z
    .array(
      z.object({
        code: z.string(),
        position: z.number().nullable(),
        message: z.string(),
      }),
    )
    .readonly(),
});
export const LimbShape: z.ZodType<Limb> = z.enum(['arm', 'leg']);
export const GirthShape: z.ZodType<Girth> = z.number().nullable();
export const PassShape: z.ZodType<Pass> = z.object({
  affected: z.array(GirthShape).readonly(),
  reference: z.array(GirthShape).readonly(),
});
export const HandednessShape: z.ZodType<Handedness> = z.enum(['left', 'right', 'none']);
export const VolumeSettingsShape: z.ZodType<VolumeSettings> = z.object({
  method: z.enum(volumeMethods),
  tapeSigmaCm: z.number(),
  dominanceCorrectionPercent: z.number(),
  hand: HandednessShape,
});
export const MeasuringSettingsShape: z.ZodType<MeasuringSettings> = z.object({
  unit: z.enum(lengthUnits),
  volumeUnit: z.enum(volumeUnits),
  method: z.enum(volumeMethods),
  tapeSigmaCm: z.number(),
  dominanceCorrectionPercent: z.number(),
  definition: z.enum(definitionIds),
  readingsPerPoint: z.union([z.literal(1), z.literal(2)]),
  confidence: z.literal(confidences),
  isImpedanceShown: z.boolean(),
  detectable: z.partialRecord(z.enum(measuredQuantities), z.number()),
});
export const ClientMeasuringShape: z.ZodType<ClientMeasuring> = z.object({
  protocols: z.partialRecord(z.enum(['arm', 'leg']), z.string()),
  limb: z.enum(['arm', 'leg']).nullable(),
  side: z.enum(['left', 'right']).nullable(),
  hand: HandednessShape,
  order: z.enum(['one-side', 'side-by-side']),
  unit: z.enum(lengthUnits).nullable(),
  method: z.enum(volumeMethods).nullable(),
  navelHeightCm: z.number().nullable(),
  baselineOn: z.string().nullable(),
  wasAssessed: z.boolean().nullable(),
});
export const TapeProtocolShape: z.ZodType<TapeProtocol> = z.object({
  id: z.string(),
  limb: z.enum(['arm', 'leg']),
  name: z.string(),
  zero: z.string(),
  posture: z.string(),
  stop: z.string(),
  restMinutes: z.number(),
  positionsCm: z.array(z.number()).readonly(),
  eight: z.enum(['hand', 'ankle']).nullable(),
});
export const TrendDirectionShape: z.ZodType<TrendDirection> = z.enum(['falling', 'rising', 'steady', 'unclear']);
export const TrendShape: z.ZodType<Trend> = z.object({
  slopePerWeek: z.number(),
  lowPerWeek: z.number().nullable(),
  highPerWeek: z.number().nullable(),
  first: z.number(),
  last: z.number(),
  changePercent: z.number().nullable(),
  n: z.number(),
  direction: TrendDirectionShape,
});
