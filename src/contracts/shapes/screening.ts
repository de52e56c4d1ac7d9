import { z } from 'zod';
import { pressures } from '../../core/screening/tables';
import type { LimitKey, Limits, Locatable, RedFlag } from '../../core/screening/tables';
import type { OverrideWay } from '../../core/screening/override';
import type { Caution } from '../../core/screening/cautions';
import type { Question } from '../../core/screening/questions';

export const LocatableShape: z.ZodType<Locatable> = z.enum(['no', 'side', 'region', 'line', 'point']);
const limits = z.object({
  maxPressure: z.enum(pressures).optional(),
  ...optional(['maxMinutes', 'maxStoneC', 'maxPerWeek', 'dilutionMaxPercent', 'keepAwayCm'], z.number()),
  ...optional(
    [
      ...(['noHeat', 'noCold', 'noOil', 'noScent', 'gloves', 'workAround', 'slowRise', 'patchTest'] as const),
      ...(['guardian', 'askEachStep'] as const),
    ],
    z.boolean(),
  ),
  ...optional(['avoidPosition', 'skipTechniques', 'avoidOils', 'avoidMaterials'], z.array(z.string()).readonly()),
  ...optional(['stoneSkin', 'spineDirection', 'waitUntil'], z.string()),
});
export const LimitsShape: z.ZodType<Limits> = limits;
export const LimitKeyShape: z.ZodType<LimitKey> = limits.keyof();

function optional<const Name extends string, S extends z.ZodType>(names: readonly Name[], schema: S) {
  return Object.fromEntries(names.map((name) => [name, schema.optional()])) as Record<Name, z.ZodOptional<S>>;
}
export const OverrideWayShape: z.ZodType<OverrideWay> = z.enum(['free', 'written-reason', 'note', 'never']);
export const CautionShape: z.ZodType<Caution> = z.object({
  kind: z.enum(['keep-off', 'no-heat', 'touch', 'position', 'oils', 'care']),
  words: z.string(),
});
export const QuestionShape: z.ZodType<Question> = z.object({
  id: z.string(),
  condition: z.string().optional(),
  kind: z.enum(['age', 'date', 'side', 'place', 'follow-up', 'clearance']),
  text: z.string(),
});
export const RedFlagShape: z.ZodType<RedFlag> = z.object({
  id: z.string(),
  ask: z.string(),
  action: z.enum(['stop-urgent', 'refer-same-day', 'postpone']),
  condition: z.string(),
  say: z.string(),
});
