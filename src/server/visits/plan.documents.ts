import { z } from 'zod';
import { DrainageCaseShape, DrainagePlanShape } from '../../contracts/shapes/drainage';
import { TableStepShape } from '../../contracts/shapes/table';
import { TreatmentView } from '../../contracts/treatment-views';
import { ruleIds } from '../../core/drainage/rules';
import { jsonColumn, type Upgrade } from '../db/json-column';

/** The case that a plan was made for. */
export const caseColumn = jsonColumn('plan.case_json', DrainageCaseShape);

const knownRules: ReadonlySet<unknown> = new Set(ruleIds);

interface OlderStep {
  readonly position?: string;
  readonly told?: object;
  readonly rules: readonly unknown[];
}

/** A course of before turns were counted lies on the back; rules that are no longer told apart are forgotten. */
const stepsOfToday: Upgrade = (older) =>
  (older as readonly OlderStep[]).map((step) => ({
    ...step,
    ...(step.told || step.position ? {} : { position: 'supine' }),
    rules: step.rules.filter((rule) => knownRules.has(rule)),
  }));

/** The course, in the order in which it was last left. */
export const stepsColumn = jsonColumn('plan.steps_json', z.array(TableStepShape).readonly(), [stepsOfToday]);

/** What was planned: the drainage, and the treatment that it is a part of. */
const PlanDocument = z.intersection(
  DrainagePlanShape,
  z.object({
    treatment: TreatmentView.optional(),
    /** Fingerprint of what a drainage was planned of; plans of before it was kept are compared by their case. */
    facts: z.string().optional(),
  }),
);
export const planColumn = jsonColumn('plan.plan_json', PlanDocument, [
  (older) => {
    const { steps, ...plan } = older as { readonly steps: unknown };
    return { candidates: [], turns: 0, ...plan, steps: stepsOfToday(steps) };
  },
]);
