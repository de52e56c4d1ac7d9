import type { CheckedStep } from '../judgement/violations';
import { secondsAt } from '../sequencing/time-fit';
import type { TreatmentBlock, TreatmentStep } from './block';
import { isDrainageCourse } from './drainage-block';
import { toFitStep } from './fit-blocks';

/** Blocks as the check looks at them; the planner's own course is checked by the rules of drainage. */
export const toChecked = (blocks: readonly TreatmentBlock[]): readonly CheckedStep[] =>
  blocks.flatMap((block) =>
    block.steps
      .filter((step) => !isDrainageCourse(step))
      .map((step): CheckedStep => ({
        ...{ id: step.id, modality: block.modality, technique: step.technique, places: step.places },
        ...{ toward: step.toward, pressure: step.pressure, isReversed: step.isReversed },
        ...{ position: block.position, hands: block.hands, seconds: secondsOf(block, step) },
      })),
  );

const secondsOf = (block: TreatmentBlock, step: TreatmentStep) =>
  'seconds' in step && typeof step.seconds === 'number'
    ? step.seconds
    : secondsAt(toFitStep(block, step), toFitStep(block, step).min);
