import { z } from 'zod';
import { materialIds, sizeIds } from '../core/stones/book';
import {
  BathReadingShape,
  FirstTouchShape,
  RotationShape,
  StoneClientShape,
  StoneCueShape,
  StoneHabitsShape,
} from './shapes/stones';

export const StoneView = z.object({
  id: z.number(),
  size: z.enum(sizeIds),
  material: z.enum(materialIds),
  lengthMm: z.number(),
  widthMm: z.number(),
  thicknessMm: z.number(),
  massG: z.number().nullable(),
  state: z.enum(['in-use', 'chipped', 'retired']),
  note: z.string(),
  /** In words; null: never written down. */
  lastCleaned: z.string().nullable(),
  lastOiled: z.string().nullable(),
});
export type StoneView = z.infer<typeof StoneView>;

/** Hot or cold stones of one visit: what is asked, and which stone serves when. */
export const RotationView = z.object({
  isCold: z.boolean(),
  bathC: z.number(),
  rotation: RotationShape,
  /** Step → its part of the treatment, in words. */
  names: z.record(z.string(), z.string()),
  /** How often hands take other stones. */
  changes: z.number(),
  /** Step → the size of stone that it takes from this tray. */
  sizes: z.record(z.string(), z.enum(sizeIds)),
  /** Stones of a kind of which more would let hands change less often. */
  spared: z.array(z.string()).readonly(),
  waysOut: z
    .array(
      z.object({
        kind: z.string(),
        words: z.string(),
        /** Stones of steps that would do; none where something else is changed. */
        changes: z.array(z.object({ step: z.string(), size: z.enum(sizeIds), count: z.number() })).readonly(),
      }),
    )
    .readonly(),
});
export type RotationView = z.infer<typeof RotationView>;

export const StoneVisitView = z.object({
  id: z.number(),
  client: z.string(),
  time: z.string(),
  work: z.string(),
  minutes: z.number(),
  limits: StoneClientShape,
  moving: FirstTouchShape,
  resting: FirstTouchShape,
  /** Why no heat at all; empty where it may be given. */
  noHeat: z.string(),
  rotations: z.array(RotationView).readonly(),
});
export type StoneVisitView = z.infer<typeof StoneVisitView>;

export const BathView = z.object({
  reading: BathReadingShape,
  device: z.object({
    isOn: z.boolean(),
    setC: z.number(),
    stones: z.number(),
    fault: z.enum(['nan', 'text', 'none', 'drift', 'stops']),
  }),
});
export type BathView = z.infer<typeof BathView>;

export const StoneBenchView = z.object({
  habits: StoneHabitsShape,
  stones: z.array(StoneView).readonly(),
  lastWaterChange: z.string().nullable(),
  warmUpMinutes: z.number().nullable(),
  bath: BathView,
  visits: z
    .array(
      z.object({
        id: z.number(),
        client: z.string(),
        time: z.string(),
      }),
    )
    .readonly(),
  visit: StoneVisitView.nullable(),
  /** Where no visit is looked at: all planned ones of today out of the same baths. */
  day: z
    .object({
      from: z.string(),
      minutes: z.number(),
      rotations: z.array(RotationView).readonly(),
    })
    .nullable(),
});
export type StoneBenchView = z.infer<typeof StoneBenchView>;

/** Stones as the table leads through them. */
export const TableStones = z.object({
  cues: z.array(StoneCueShape).readonly(),
  /** What the hot bath is set to; null where nothing hot is taken. */
  hotBathC: z.number().nullable(),
});
export type TableStones = z.infer<typeof TableStones>;
