import { z } from 'zod';
import type { RoomItem, RoomItemId } from '../../core/room/room-list';
import type { OilNeed, OilNeeds } from '../../core/room/oil-needs';

export const RoomItemIdShape: z.ZodType<RoomItemId> = z.enum([
  'stone-bath',
  'cool-stones',
  'body-oil',
  'face-oil',
  'layer-oils',
  'bed',
  'bed-heating',
  'air',
  'cloths',
  'gloves',
  'brush',
  'tools',
  'slip',
  'guardian',
  'chair',
  'hands',
  'water',
]);
export const RoomItemShape = z.object({
  id: RoomItemIdShape.optional(),
  kind: z.enum(['heat', 'cool', 'blend', 'lay-out', 'hands', 'water']),
  what: z.string(),
  minutesBefore: z.number(),
  why: z.string(),
  area: z.enum(['body', 'face']).optional(),
}) satisfies z.ZodType<RoomItem>;
export const OilNeedShape: z.ZodType<OilNeed> = z.object({
  ml: z.number(),
  cm2: z.number(),
  minutes: z.number(),
  cup: z.enum(['scalp', 'neck']).optional(),
});
export const OilNeedsShape: z.ZodType<OilNeeds> = z.object({
  body: OilNeedShape.nullable(),
  face: OilNeedShape.nullable(),
});
