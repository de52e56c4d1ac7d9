import { z } from 'zod';
import { ruleIds } from '../../core/drainage/rules';
import { findingIds } from '../../core/drainage/finding';
import { decisions, pressures } from '../../core/screening/tables';
import { purposes, qualificationIds } from '../../core/drainage/case';
import { lyings, stepKinds } from '../../core/drainage/step';
import type { Finding } from '../../core/drainage/finding';
import type { DrainageCase, School } from '../../core/drainage/case';
import type { ScreenedDecision, ScreenedDrainage } from '../../core/drainage/screened';
import type { PlanRuleId, RuleId } from '../../core/drainage/rules';
import type { Reason } from '../../core/drainage/reasons';
import type { DrainagePlan, PlannedExit } from '../../core/drainage/plan';
import type { Candidate } from '../../core/drainage/candidates';
import type { Step } from '../../core/drainage/step';

export const FindingShape: z.ZodType<Finding> = z.object({
  id: z.enum(findingIds),
  side: z.enum(['left', 'right', 'both']).optional(),
  regions: z.array(z.string()).readonly().optional(),
  crosses: z.array(z.array(z.string()).readonly()).readonly().optional(),
});
export const SchoolShape: z.ZodType<School> = z.object({
  start: z.enum(['neck-first', 'breath-first']),
  hand: z.enum(['stretch', 'sweep', 'roller']),
  removedSide: z.enum(['reroute-only', 'reroute-and-stimulate']),
  exits: z.union([z.literal(1), z.literal(2)]),
});
export const ScreenedDecisionShape: z.ZodType<ScreenedDecision> = z.object({
  decision: z.enum(decisions),
  reasons: z.array(z.string()).readonly(),
});
export const ScreenedDrainageShape: z.ZodType<ScreenedDrainage> = z.object({
  drainage: ScreenedDecisionShape,
  rerouting: ScreenedDecisionShape,
  keptOff: z.array(z.string()).readonly(),
  maxPressure: z.enum(pressures).optional(),
  lighterAt: z.record(z.string(), z.enum(pressures)),
  maxMinutes: z.number().optional(),
  avoidPosition: z.array(z.string()).readonly().optional(),
});
export const DrainageCaseShape: z.ZodType<DrainageCase> = z.object({
  focus: z.array(z.string()).readonly(),
  purpose: z.enum(purposes),
  findings: z.array(FindingShape).readonly(),
  school: SchoolShape,
  minutes: z.number(),
  fill: z.boolean(),
  qualifications: z.array(z.enum(qualificationIds)).readonly(),
  use: z.array(z.string()).readonly().optional(),
  refuse: z.array(z.string()).readonly().optional(),
  screened: ScreenedDrainageShape.optional(),
});
export const RuleIdShape: z.ZodType<RuleId> = z.enum(ruleIds);
export const PlanRuleIdShape: z.ZodType<PlanRuleId> = z.union([
  RuleIdShape,
  z.enum(['qualification', 'no-exit', 'time', 'cancer-history', 'nodes-tender', 'natural', 'screening']),
]);
export const ReasonShape: z.ZodType<Reason> = z.object({
  rule: PlanRuleIdShape,
  text: z.string(),
});
export const PlannedExitShape: z.ZodType<PlannedExit> = z.object({
  to: z.string(),
  cost: z.number(),
  share: z.number(),
  path: z.array(z.string()).readonly(),
  why: z.string(),
});
export const CandidateShape: z.ZodType<Candidate> = z.object({
  to: z.string(),
  cost: z.number(),
  crosses: z.array(z.array(z.string()).readonly()).readonly(),
  minutes: z.number(),
  chosen: z.boolean(),
  why: z.string(),
});
/** What every step has, at the table too. */
export const stepFields = {
  id: z.string(),
  kind: z.enum(stepKinds),
  position: z.enum(lyings).optional(),
  place: z.string(),
  toward: z.string().nullable(),
  via: z.array(z.string()).readonly(),
  pressure: z.enum(pressures),
  repetitions: z.number(),
  placements: z.number(),
  seconds: z.number(),
  rules: z.array(RuleIdShape).readonly(),
  why: z.string(),
  cautions: z.array(z.string()).readonly(),
  pair: z.string().optional(),
} as const;
export const StepShape: z.ZodType<Step> = z.object(stepFields);
export const DrainagePlanShape: z.ZodType<DrainagePlan> = z.object({
  decision: z.enum(decisions),
  reasons: z.array(ReasonShape).readonly(),
  exits: z.array(PlannedExitShape).readonly(),
  rejected: z
    .array(
      z.object({
        to: z.string(),
        why: z.string(),
      }),
    )
    .readonly(),
  candidates: z.array(CandidateShape).readonly(),
  steps: z.array(StepShape).readonly(),
  turns: z.number(),
  totalSeconds: z.number(),
  fits: z.boolean(),
  waiting: z.array(z.string()).readonly(),
});
