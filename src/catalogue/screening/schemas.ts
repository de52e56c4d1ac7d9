import { z } from 'zod';
import { gateIds, type GateRow } from '../../core/visit/check-gates';
import { languageIds } from '../../core/language';
import {
  type CombinationRule,
  type Condition,
  decisions,
  type Effect,
  type Limits,
  type Modality,
  pressures,
  type RedFlag,
} from '../../core/screening/tables';

const id = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/);
const words = z.string().min(1);
const amount = z.number().positive();

const LimitsSchema: z.ZodType<Limits> = z.strictObject({
  maxPressure: z.enum(pressures).optional(),
  maxMinutes: amount.optional(),
  maxStoneC: amount.optional(),
  maxPerWeek: amount.optional(),
  dilutionMaxPercent: amount.optional(),
  keepAwayCm: amount.optional(),
  noHeat: z.boolean().optional(),
  noCold: z.boolean().optional(),
  noOil: z.boolean().optional(),
  noScent: z.boolean().optional(),
  gloves: z.boolean().optional(),
  workAround: z.boolean().optional(),
  slowRise: z.boolean().optional(),
  patchTest: z.boolean().optional(),
  guardian: z.boolean().optional(),
  askEachStep: z.boolean().optional(),
  avoidPosition: z.array(id).optional(),
  skipTechniques: z.array(id).optional(),
  avoidOils: z.array(id).optional(),
  avoidMaterials: z.array(id).optional(),
  stoneSkin: id.optional(),
  spineDirection: id.optional(),
});

const EffectSchema: z.ZodType<Effect> = z.strictObject({
  on: z.union([z.literal('all'), z.array(id).min(1)]),
  where: z.union([z.enum(['whole', 'marked', 'marked-limb', 'marked-quadrant']), z.array(id).min(1)]),
  decision: z.enum(decisions),
  confidence: z.enum(['high', 'medium', 'low']),
  why: words,
  holds: z.strictObject({ fromDay: amount.optional(), untilDay: amount.optional() }).optional(),
  limits: LimitsSchema.optional(),
  requires: z.array(z.union([id, z.array(id)])).optional(),
  onlyIfPlaced: z.boolean().optional(),
});

export const ConditionSchema: z.ZodType<Omit<Condition, 'group' | 'groupId'>> = z.strictObject({
  id,
  label: words,
  ask: words,
  otherAsks: z.partialRecord(z.enum(languageIds), words).optional(),
  askAt: z.array(z.enum(['intake', 'visit'])),
  locatable: z.enum(['no', 'side', 'region', 'line', 'point']),
  dated: z.boolean(),
  tags: z.array(id),
  effects: z.array(EffectSchema),
  defaultRegions: z.array(id).optional(),
  followUps: z.array(z.strictObject({ id, text: words, answeredBy: z.array(id) })).optional(),
  clearanceValidDays: amount.optional(),
  drainageFinding: id.optional(),
  oilConditions: z.array(id).optional(),
  impliedWhen: z.strictObject({ ageUnder: amount.optional(), ageFrom: amount.optional() }).optional(),
});

export const ModalitySchema: z.ZodType<Modality> = z.strictObject({
  id,
  label: words,
  description: words,
  requires: z.array(z.union([id, z.array(id)])),
  reach: z.union([z.literal('all'), z.array(id)]),
  baseline: LimitsSchema,
});

export const RuleSchema: z.ZodType<CombinationRule> = z.object({
  id,
  label: words,
  when: z.strictObject({
    allOf: z.array(id).optional(),
    anyOf: z.array(id).optional(),
    allTags: z.array(id).optional(),
    anyTag: z.array(id).optional(),
    ageFrom: amount.optional(),
    ageUnder: amount.optional(),
    modalitiesAll: z.array(id).optional(),
    lacks: id.optional(),
    sameLimb: z.boolean().optional(),
  }),
  effects: z.array(EffectSchema).min(1),
});

export const RedFlagSchema: z.ZodType<RedFlag> = z.strictObject({
  id,
  ask: words,
  action: z.enum(['stop-urgent', 'refer-same-day', 'postpone']),
  condition: id,
  say: words,
});

export const GateSchema: z.ZodType<GateRow> = z.strictObject({
  id: z.enum(gateIds),
  text: words,
  hint: words,
  askedWhen: words.optional(),
  redFlags: z.array(id),
  conditions: z.array(id),
});

export const VocabularySchema = z.strictObject({
  qualifications: z.array(z.strictObject({ id, label: words, implies: z.array(id) })),
  families: z.array(z.strictObject({ id, limb: z.array(id), quadrant: z.array(id) })),
  basinSkin: z.record(id, z.array(id)),
  limitKeys: z.record(
    z.string(),
    z.looseObject({ merge: z.enum(['lowest', 'min', 'max', 'or', 'union', 'last', 'latest']), label: words }),
  ),
  neverOverride: z.array(z.string()),
  practices: z.record(id, words),
  oilGroups: z.record(id, z.strictObject({ label: words, oils: z.array(id), carriers: z.array(id) })),
  tags: z.record(id, words),
  pressures: z.array(z.enum(pressures)),
});
