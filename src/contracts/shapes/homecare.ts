import { z } from 'zod';
import { homePartIds, homeRoutineIds } from '../../core/homecare/sheet';
import { stepKinds } from '../../core/drainage/step';
import type { HomeAct, HomeLeftOut, HomePart, HomeRoutine, HomeSheet, HomeStep } from '../../core/homecare/sheet';
import type { HomeLog } from '../../core/homecare/rhythm';

export const HomeRoutineShape: z.ZodType<HomeRoutine> = z.object({
  id: z.enum(homeRoutineIds),
  from: z.union([
    z.object({
      protocol: z.string(),
      blocks: z.array(z.string()).readonly().optional(),
    }),
    z.literal('planner'),
  ]),
  modality: z.string(),
  minutes: z.object({
    least: z.number(),
    usual: z.number(),
    most: z.number(),
  }),
  daysPerWeek: z.number(),
  mostPerWeek: z.number(),
});
export const HomeLogShape: z.ZodType<HomeLog> = z.object({
  asked: z.number(),
  done: z.number(),
  percent: z.number().nullable(),
});
export const HomeActShape: z.ZodType<HomeAct> = z.union([
  z.enum(stepKinds),
  z.templateLiteral(['technique:', z.string()]),
]);
export const HomeStepShape: z.ZodType<HomeStep> = z.object({
  id: z.string(),
  act: HomeActShape,
  kind: z.enum(stepKinds),
  places: z.array(z.string()).readonly(),
  toward: z.string().nullable(),
  via: z.array(z.string()).readonly(),
  count: z.enum(['times', 'breaths', 'hold']),
  repetitions: z.number(),
  placements: z.number(),
  seconds: z.number(),
});
export const HomePartShape: z.ZodType<HomePart> = z.object({
  id: z.enum(homePartIds),
  steps: z.array(HomeStepShape).readonly(),
});
export const HomeLeftOutShape: z.ZodType<HomeLeftOut> = z.object({
  what: z.string(),
  why: z.string(),
  rule: z.string().optional(),
  technique: z.string().nullable().optional(),
  places: z.array(z.string()).readonly().optional(),
});
/** A sheet as the client follows it. */
export const FollowedSheet = z.object({
  routine: z.enum(homeRoutineIds),
  side: z.enum(['left', 'right', 'both']).nullable(),
  parts: z.array(HomePartShape).readonly(),
  seconds: z.number(),
});
export const HomeSheetShape: z.ZodType<HomeSheet> = FollowedSheet.extend({
  mostPerWeek: z.number().optional(),
  leftOut: z.array(HomeLeftOutShape).readonly(),
});
