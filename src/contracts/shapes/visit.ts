import { z } from 'zod';
import { RedFlagShape } from './screening';
import type { GateId, MissingGate } from '../../core/visit/gates';
import { type CheckGate, gateIds } from '../../core/visit/check-gates';
import type { CheckQuestion, TodayGroup } from '../../core/visit/check-question';
import type { CheckAnswer, CheckAnswers, VisitCheck } from '../../core/visit/visit-check';

const GateIdShape: z.ZodType<GateId> = z.enum(['intake', 'consent', 'check']);
export const MissingGateShape: z.ZodType<MissingGate> = z.object({
  gate: GateIdShape,
  open: z.number(),
});
const CheckAnswerShape: z.ZodType<CheckAnswer> = z.enum(['yes', 'no']);
export const CheckAnswersShape: z.ZodType<CheckAnswers> = z.record(z.string(), CheckAnswerShape);
const CheckQuestionShape: z.ZodType<CheckQuestion> = z.object({
  id: z.string(),
  text: z.string(),
  hint: z.string().optional(),
  flag: RedFlagShape.optional(),
});
const TodayGroupShape: z.ZodType<TodayGroup> = z.object({
  id: z.string(),
  group: z.string(),
  conditions: z
    .array(
      z.object({
        id: z.string(),
        label: z.string(),
        ask: z.string(),
      }),
    )
    .readonly(),
});
const CheckGateShape: z.ZodType<CheckGate> = z.object({
  id: z.enum(gateIds),
  text: z.string(),
  hint: z.string(),
  onRecord: z.array(z.string()).readonly(),
  still: z.array(z.string()).readonly(),
  questions: z.array(z.string()).readonly(),
});
export const VisitCheckShape: z.ZodType<VisitCheck> = z.object({
  still: z.array(CheckQuestionShape).readonly(),
  flags: z.array(CheckQuestionShape).readonly(),
  today: z.array(TodayGroupShape).readonly(),
  others: z.array(CheckQuestionShape).readonly(),
  gates: z.array(CheckGateShape).readonly(),
});
