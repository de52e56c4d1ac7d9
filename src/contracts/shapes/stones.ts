import { z } from 'zod';
import { sizeIds, skinIds } from '../../core/stones/book';
import type { StoneUseKind } from '../../core/stones/use';
import type { Rotation, Shortage, StoneUse } from '../../core/stones/rotation';
import type { Blocked } from '../../core/stones/step-times';
import type { FirstTouch, StoneClient } from '../../core/stones/first-touch';
import type { StoneHabits } from '../../core/stones/habits';
import type { BathReading, BathState } from '../../core/stones/thermometer';
import type { StoneCue } from '../../core/stones/cues';

export const StoneUseKindShape: z.ZodType<StoneUseKind> = z.object({
  size: z.enum(sizeIds),
  isCold: z.boolean(),
  mode: z.enum(['moving', 'still']),
  count: z.number(),
  towelLayers: z.number(),
  keep: z.boolean().optional(),
});
export const StoneUseShape: z.ZodType<StoneUse> = z.object({
  step: z.string(),
  slot: z.number(),
  run: z.number(),
  stone: z.string(),
  missing: z.boolean(),
  outS: z.number(),
  fromS: z.number(),
  toS: z.number(),
  readyS: z.number(),
});
export const ShortageShape: z.ZodType<Shortage> = z.object({
  class: z.string(),
  short: z.number(),
  fromS: z.number(),
  toS: z.number(),
});
export const BlockedShape: z.ZodType<Blocked> = z.enum(['no-stock', 'window', 'rest', 'short-lived']);
export const RotationShape: z.ZodType<Rotation> = z.object({
  feasible: z.boolean(),
  stonesInPlay: z.record(z.string(), z.number()),
  swaps: z.number(),
  timing: z
    .array(
      z.object({
        takeC: z.number(),
        usefulS: z.number(),
        reheatS: z.number(),
        restS: z.number(),
        step: z.string(),
        runs: z.number(),
      }),
    )
    .readonly(),
  uses: z.array(StoneUseShape).readonly(),
  shortages: z.array(ShortageShape).readonly(),
  blocked: z
    .array(
      z.object({
        step: z.string(),
        reason: BlockedShape,
      }),
    )
    .readonly(),
});
export const StoneClientShape: z.ZodType<StoneClient> = z.object({
  skin: z.enum(skinIds),
  mostC: z.number().nullable(),
  likes: z.enum(['', 'cooler', 'usual', 'warmer']),
  lastRemark: z.number().nullable(),
});
export const FirstTouchShape: z.ZodType<FirstTouch> = z.object({
  firstC: z.number(),
  why: z.array(z.string()).readonly(),
});
export const BathStateShape: z.ZodType<BathState> = z.enum([
  'ready',
  'warming',
  'cooling',
  'off',
  'too-hot',
  'drifting',
  'unreadable',
  'silent',
]);
export const BathReadingShape: z.ZodType<BathReading> = z.object({
  state: BathStateShape,
  bathC: z.number().nullable(),
  perMinuteC: z.number().nullable(),
  words: z.string(),
});
export const StoneHabitsShape: z.ZodType<StoneHabits> = z.object({
  hotBathC: z.number(),
  coldBathC: z.number(),
  toleranceC: z.number(),
  waterLitres: z.number(),
  heaterW: z.number(),
  usefulHotC: z.number(),
  usefulColdC: z.number(),
  coldBodyC: z.number(),
  coldFaceC: z.number(),
});
export const StoneCueShape: z.ZodType<StoneCue> = z.object({
  atS: z.number(),
  words: z.string(),
});
