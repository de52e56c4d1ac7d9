import { z } from 'zod';
import { CautionShape, LimitKeyShape, LocatableShape, OverrideWayShape, QuestionShape } from './shapes/screening';
import { decisions } from '../core/screening/tables';

export const ClearanceView = z.object({
  date: z.string(),
  modalities: z.union([z.array(z.string()).readonly(), z.literal('all')]),
  writtenBy: z.string(),
  words: z.string(),
  /** What the note itself limits, in words; empty when nothing. */
  limitWords: z.string(),
  isValid: z.boolean(),
  /** Last day on which it counts. */
  until: z.string(),
});
export type ClearanceView = z.infer<typeof ClearanceView>;

/** A condition as it is asked and chosen. */
export const ConditionView = z.object({
  id: z.string(),
  group: z.string(),
  label: z.string(),
  ask: z.string(),
  locatable: LocatableShape,
  dated: z.boolean(),
  atIntake: z.boolean(),
});
export type ConditionView = z.infer<typeof ConditionView>;

export const LimitView = z.object({
  key: LimitKeyShape,
  words: z.string(),
  /** What it may be loosened to with a written reason; empty: never. */
  looser: z
    .array(
      z.object({
        value: z.union([z.string(), z.number()]).nullable(),
        words: z.string(),
      }),
    )
    .readonly(),
});
export type LimitView = z.infer<typeof LimitView>;

export const ReasonView = z.object({
  what: z.string(),
  text: z.string(),
  decision: z.enum(decisions),
  isLocal: z.boolean(),
});
export type ReasonView = z.infer<typeof ReasonView>;

export const DecisionView = z.object({
  modality: z.string(),
  label: z.string(),
  decision: z.enum(decisions),
  /** The line under the name. */
  line: z.string(),
  limits: z.array(LimitView).readonly(),
  reasons: z.array(ReasonView).readonly(),
  way: OverrideWayShape,
  /** Places with a decision of their own, alike ones together. */
  places: z
    .array(
      z.object({
        decision: z.enum(decisions),
        regions: z.array(z.string()).readonly(),
        words: z.string(),
        limits: z.array(z.string()).readonly(),
        reasons: z.array(ReasonView).readonly(),
      }),
    )
    .readonly(),
});
export type DecisionView = z.infer<typeof DecisionView>;

export const OverrideView = z.object({
  key: z.number(),
  modality: z.string(),
  words: z.string(),
  reason: z.string(),
  by: z.string(),
  at: z.string(),
});
export type OverrideView = z.infer<typeof OverrideView>;

/** What may be done on this body by this person on this day. */
export const ScreeningView = z.object({
  overall: z.enum(decisions),
  decisions: z.array(DecisionView).readonly(),
  cautions: z.array(CautionShape).readonly(),
  questions: z.array(QuestionShape).readonly(),
  overrides: z.array(OverrideView).readonly(),
});
export type ScreeningView = z.infer<typeof ScreeningView>;
