import { unflushed } from '../library/flush';
import { hasTrait, touches } from '../library/technique';
import type { TreatmentBlock } from './block';
import type { RuleSeverity, TreatmentRuleId } from './rules';

/** A rule that a block breaks within itself. */
export interface StepFault {
  readonly block: string;
  readonly step: string;
  readonly rule: TreatmentRuleId;
  readonly severity: RuleSeverity;
  readonly message: string;
}

/** The large bowel in the order in which it carries, as far as the body map tells it apart. */
const bowel = ['abdomen-lower.right', 'abdomen-upper.right', 'abdomen-upper.left', 'abdomen-lower.left'];

/** Every rule that the steps of a block break. */
export function faultsWithin(block: TreatmentBlock): readonly StepFault[] {
  return [...withoutFlush(block), ...againstTheClock(block), ...unlightEnd(block)];
}

function withoutFlush({ id, steps }: TreatmentBlock): readonly StepFault[] {
  return unflushed(steps, ({ technique }, trait) => hasTrait(technique, trait)).flatMap((i): StepFault[] => {
    const step = steps[i];
    if (!step) return [];
    return [
      {
        block: id,
        step: step.id,
        rule: 'flush-after-intense',
        severity: 'error',
        message: `${step.technique.name} is intense, and nothing soothing follows on the same region.`,
      },
    ];
  });
}

/** Single strokes along the bowel have to follow it. */
function againstTheClock({ id, steps }: TreatmentBlock): readonly StepFault[] {
  const strokes = steps.filter(
    ({ technique, places }) => technique.direction === 'bowel-clockwise' && places.length === 1,
  );
  const at = strokes.map(({ places }) => bowel.indexOf(places[0] ?? ''));
  const i = at.findIndex((now, k) => k > 0 && now >= 0 && now < (at[k - 1] ?? -1));
  const wrong = strokes[i];
  if (!wrong) return [];
  return [
    {
      block: id,
      step: wrong.id,
      rule: 'belly-clockwise',
      severity: 'error',
      message: 'This stroke runs against the bowel: up the client’s right, across, down the left.',
    },
  ];
}

function unlightEnd({ id, steps }: TreatmentBlock): readonly StepFault[] {
  const last = steps.at(-1);
  if (!last || touches.indexOf(last.pressure) < touches.indexOf('firm')) return [];
  return [
    {
      block: id,
      step: last.id,
      rule: 'hands-off-last',
      severity: 'warning',
      message: `${last.technique.name} is firm, and it ends the block: let something light come last.`,
    },
  ];
}
