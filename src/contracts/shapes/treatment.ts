import { z } from 'zod';
import { treatmentRuleIds } from '../../core/treatment/rules';
import type { BlockRule, RuleSeverity, TreatmentRuleId } from '../../core/treatment/rules';
import type { OrderFault } from '../../core/treatment/order';
import type { StepFault } from '../../core/treatment/within-block';
import type { Proposal } from '../../core/treatment/shorten';
import type { TreatmentLoad } from '../../core/treatment/load';

export const TreatmentRuleIdShape: z.ZodType<TreatmentRuleId> = z.enum(treatmentRuleIds);
export const RuleSeverityShape: z.ZodType<RuleSeverity> = z.enum(['error', 'warning']);
export const OrderFaultShape: z.ZodType<OrderFault> = z.object({
  message: z.string(),
  first: z.string(),
  then: z.string(),
  rule: TreatmentRuleIdShape,
  severity: RuleSeverityShape,
});
export const StepFaultShape: z.ZodType<StepFault> = z.object({
  block: z.string(),
  step: z.string(),
  rule: TreatmentRuleIdShape,
  severity: RuleSeverityShape,
  message: z.string(),
});
export const BlockRuleShape: z.ZodType<BlockRule> = z.object({
  first: z.string(),
  then: z.string(),
  rule: TreatmentRuleIdShape,
  severity: RuleSeverityShape,
});
export const ProposalShape: z.ZodType<Proposal> = z.object({
  kind: z.enum(['evenly', 'short-form', 'both-hands', 'leave-out', 'open-once']),
  words: z.string(),
  savesSeconds: z.number(),
  blocks: z.array(z.string()).readonly(),
});
export const TreatmentLoadShape: z.ZodType<TreatmentLoad> = z.object({
  thumbSeconds: z.number(),
  standingSeconds: z.number(),
  firmSeconds: z.number(),
  byRegion: z
    .array(
      z.object({
        region: z.string(),
        seconds: z.number(),
      }),
    )
    .readonly(),
});
