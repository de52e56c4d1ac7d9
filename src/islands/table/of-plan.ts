import { tableWords } from './table.words';
import type { PlanAtWork } from '../../contracts/visit-views';
import type { Seconds } from '../../core/quantities';
import { spanOf, type TableStep } from '../../core/table/table-step';

/** Where the plan stands: stones are swapped by it, also when the clock has run away from it. */
export function planSeconds(steps: readonly TableStep[], step: TableStep, stepSeconds: Seconds): number {
  const at = steps.findIndex(({ id }) => id === step.id);
  const before = steps.slice(0, Math.max(0, at)).reduce((sum, one) => sum + spanOf(one), 0);
  return before + Math.min(stepSeconds, spanOf(steps[at] ?? step));
}

/** What is on the hands for a step: of the treatment’s part, or as drainage is given. */
export function handsOf(plan: PlanAtWork, step: TableStep): string {
  const block = plan.treatment?.blocks.find(({ steps }) => steps.includes(step.id));
  if (block)
    return block.hands === 'tool'
      ? 'tool'
      : block.hands === 'brush'
        ? tableWords.dryBrush
        : tableWords.hands(block.hands);
  return plan.drainageCase.school.hand === 'roller' ? tableWords.stoneRoller : tableWords.dryHands;
}
