import { z } from 'zod';
import type { FrequencyRule } from '../../core/judgement/judgement';
import rows from './data/plan-rules.json';
import { screeningBook } from './screening';

const Modality = z.string().refine((id) => screeningBook.modalities.has(id), 'no such kind of work');
const Condition = z.string().refine((id) => screeningBook.conditions.has(id), 'no such condition');

/** What each kind of check of a plan rule says; rules of order and neighbourhood are kept by the planner itself. */
const Check = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('frequency'),
    modality: Modality,
    maxCount: z.number().int().min(1),
    days: z.literal(7),
    minGapHours: z.number().min(0),
  }),
  z.object({
    type: z.literal('sinceMeal'),
    modalities: z.array(Modality),
    techniques: z.array(z.string()),
    minMinutes: z.number().min(1),
  }),
  z.object({ type: z.literal('askEachTime'), modality: Modality, conditions: z.array(Condition).min(1) }),
  z.looseObject({ type: z.enum(['order', 'exclude', 'handsState']) }),
]);

const Rule = z.object({
  id: z.string(),
  kind: z.literal('plan'),
  label: z.string(),
  severity: z.enum(['error', 'warning']),
  check: Check,
  why: z.string(),
  sequencingRule: z.string().optional(),
});
export type PlanRule = z.infer<typeof Rule>;

/** Rules on order, frequency and neighbourhood; a bad row stops the start. */
export const planRules: readonly PlanRule[] = z.array(Rule).parse(rows);

/** How often, and how far apart, a kind of work may be given. */
export const frequencyRules: readonly FrequencyRule[] = planRules.flatMap(({ id, check }) =>
  check.type === 'frequency'
    ? [{ id, modality: check.modality, mostInSevenDays: check.maxCount, minGapHours: check.minGapHours }]
    : [],
);

/** Of the mouth, moments before it is touched. */
const beforeGlovedWork = ['food-or-gum', 'cold-sore'];

/** Questions that are asked again at the table before such work begins, whatever was answered before. */
export function asksAgain(modality: string, techniques: readonly string[]): readonly string[] {
  const asked = planRules.flatMap(({ check }): readonly string[] => {
    if (check.type === 'askEachTime' && check.modality === modality)
      return check.conditions.map((id) => screeningBook.conditions.get(id)?.ask ?? id);
    if (check.type === 'handsState' && check['state'] === 'gloved' && check['modality'] === modality)
      return beforeGlovedWork.map((id) => screeningBook.conditions.get(id)?.ask ?? id);
    const isAfterMeal =
      check.type === 'sinceMeal' &&
      (check.modalities.includes(modality) || check.techniques.some((id) => techniques.includes(id)));
    return isAfterMeal ? [`Has anything been eaten in the last ${check.minMinutes / 60} hours?`] : [];
  });
  return [...new Set(asked)];
}
