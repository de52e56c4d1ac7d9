import type { Seconds } from '../quantities';
import { type FitStep, fitTime, secondsAt, type TimeFit } from '../sequencing/time-fit';
import { overheadSecondsOf, repetitionSecondsOf, type TreatmentBlock, type TreatmentStep } from './block';
import { isDrainageCourse } from './drainage-block';

/** What the steps of a treatment weigh against each other when time is short. */
const weights = { short: 2, usual: 1, optional: 0.5 } as const;

const weightOf = ({ isShortForm, isOptional }: TreatmentBlock) =>
  isOptional ? weights.optional : isShortForm ? weights.short : weights.usual;

/** Whether a step can take up time that is left over: what soothes, and what is breathed. */
export const isStretchable = ({ technique }: TreatmentStep) =>
  technique.traits.includes('soothing') || technique.family === 'breath' || technique.family === 'stone-rest';

/** A step as the time fit sees it; the protocol's own repetitions are the usual ones. */
export function toFitStep(block: TreatmentBlock, step: TreatmentStep): FitStep {
  const { min, max } = step.technique.repetitions;
  return {
    id: step.id,
    secondsPerRepetition: repetitionSecondsOf(step),
    overheadSeconds: overheadSecondsOf(step),
    min: Math.min(min, step.repetitions),
    usual: step.repetitions,
    max: step.isSet ? step.repetitions : Math.max(max, step.repetitions),
    weight: weightOf(block),
    optional: false,
    stretchable: isStretchable(step),
  };
}

const fitStepsOf = (blocks: readonly TreatmentBlock[]) =>
  blocks.flatMap((block) => block.steps.map((step) => toFitStep(block, step)));

export const leastSecondsOf = (blocks: readonly TreatmentBlock[]) =>
  fitStepsOf(blocks).reduce((sum, step) => sum + secondsAt(step, step.min), 0);
export const usualSecondsOf = (blocks: readonly TreatmentBlock[]) =>
  fitStepsOf(blocks).reduce((sum, step) => sum + secondsAt(step, step.usual), 0);

/**
 * Repetitions of all steps within the time, exactly the best; work that may only take so long is held to that first.
 * @param mostSeconds by kind of work
 */
export function fitBlocks(
  blocks: readonly TreatmentBlock[],
  availableSeconds: Seconds,
  mostSeconds: ReadonlyMap<string, number>,
  fill: boolean,
): TimeFit {
  const capped = new Map<string, number>();
  for (const [modality, most] of mostSeconds) {
    const steps = fitStepsOf(blocks.filter((block) => block.modality === modality));
    const within = fitTime(steps, most);
    for (const { id, repetitions } of within.repetitions) capped.set(id, repetitions);
  }
  const steps = fitStepsOf(blocks).map((step) => {
    const most = capped.get(step.id);
    return most === undefined ? step : { ...step, max: most, stretchable: false };
  });
  return fitTime(steps, availableSeconds, fill);
}

/**
 * A block cut down to so many seconds: steps are left out where even the least repetitions of all do not fit. What
 * soothes stays longest.
 */
export function trimSteps(block: TreatmentBlock, mostSeconds: Seconds): TreatmentBlock {
  const steps = block.steps.map((step) => ({
    ...toFitStep(block, step),
    weight: isStretchable(step) ? 3 : 1,
    optional: true,
  }));
  const { leftOut } = fitTime(steps, mostSeconds);
  return { ...block, steps: block.steps.filter(({ id }) => !leftOut.includes(id)) };
}

/** Twin blocks of the left and the right stay or go together. */
const groupOf = ({ choice, twin, id }: TreatmentBlock) => (twin === undefined ? id : `${choice} ${twin}`);

const isOpening = ({ steps }: TreatmentBlock) =>
  steps.some(({ technique, regions }) => technique.id === 'node-clear' && regions.includes('terminus'));

/** What a block is worth keeping for: its usual minutes; far more if it opens the way, or is drainage for the case. */
function worthOf(block: TreatmentBlock): number {
  const seconds = usualSecondsOf([block]);
  return seconds * (isOpening(block) || block.steps.some(isDrainageCourse) ? 10 : weightOf(block));
}

/**
 * The blocks worth most whose least repetitions fit in the time, and for each kind of work in its own limit; twins
 * together. Exact over whole seconds.
 */
export function keepMostWorth(blocks: readonly TreatmentBlock[], availableSeconds: Seconds): readonly TreatmentBlock[] {
  const groups = new Map<string, TreatmentBlock[]>();
  for (const block of blocks) groups.set(groupOf(block), [...(groups.get(groupOf(block)) ?? []), block]);
  const room = Math.max(0, Math.floor(availableSeconds));
  let best: { readonly worth: number; readonly kept: readonly string[] }[] = Array.from({ length: room + 1 }, () => ({
    worth: 0,
    kept: [],
  }));
  for (const [key, members] of groups) {
    const seconds = Math.ceil(leastSecondsOf(members));
    const worth = members.reduce((sum, block) => sum + worthOf(block), 0);
    best = best.map((now, used) => {
      const without = used >= seconds ? best[used - seconds] : undefined;
      return without && without.worth + worth > now.worth
        ? { worth: without.worth + worth, kept: [...without.kept, key] }
        : now;
    });
  }
  const kept = new Set(best[room]?.kept ?? []);
  return blocks.filter((block) => kept.has(groupOf(block)));
}
