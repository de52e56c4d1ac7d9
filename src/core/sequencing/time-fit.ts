import type { Seconds } from '../quantities';
import type { Option } from './option';
import { cheapestWay, fullestWay, roundsOf, type Stretch } from './ways';

/** A step whose repetitions may grow or shrink; seconds at any repetitions above none are overhead plus r times one. */
export interface FitStep {
  readonly id: string;
  readonly secondsPerRepetition: number;
  readonly overheadSeconds: Seconds;
  readonly min: number;
  readonly usual: number;
  readonly max: number;
  readonly weight: number;
  readonly optional: boolean;
  /** Takes up time that is left over, when that is wished. */
  readonly stretchable?: boolean | undefined;
}

export interface TimeFit {
  readonly fits: boolean;
  /** What even the least lacks; 0 when it fits. */
  readonly shortBySeconds: Seconds;
  readonly penalty: number;
  readonly usedSeconds: Seconds;
  readonly repetitions: readonly { readonly id: string; readonly repetitions: number }[];
  readonly leftOut: readonly string[];
}

const leftOutPenalty = 1.5;
const longerPenalty = 0.25;

/** What a choice of repetitions costs in quality: nothing at the usual, more the farther from it; 0 leaves it out. */
export function penaltyOf({ usual, weight }: Pick<FitStep, 'usual' | 'weight'>, repetitions: number): number {
  if (repetitions === 0) return leftOutPenalty * weight;
  const share = (repetitions - usual) / usual;
  return (repetitions > usual ? longerPenalty : 1) * weight * share * share;
}

export function secondsAt(step: FitStep, repetitions: number): number {
  return repetitions === 0 ? 0 : step.overheadSeconds + repetitions * step.secondsPerRepetition;
}

/**
 * Whole repetitions with the least total penalty within the time, exactly. Equal penalties: the shorter one.
 * @param fill spends what is left over on the stretchable steps, up to their most repetitions
 */
export function fitTime(steps: readonly FitStep[], availableSeconds: Seconds, fill = false): TimeFit {
  const least = steps.map((step) => (step.optional ? 0 : step.min));
  const leastSeconds = totalSeconds(steps, least);
  if (leastSeconds > availableSeconds + tolerance)
    return { ...toFit(steps, least), fits: false, shortBySeconds: leastSeconds - availableSeconds };
  const options = steps.map((step) => [
    ...(step.optional ? [optionOf(step, 0)] : []),
    // More than usual costs quality and time: it is only taken to fill what is left over.
    ...Array.from({ length: Math.min(step.usual, step.max) - step.min + 1 }, (_, i) => optionOf(step, step.min + i)),
  ]);
  const best = cheapestWay(options, availableSeconds);
  return toFit(steps, fill ? stretch(steps, best, availableSeconds) : best);
}

const tolerance = 1e-9;

const optionOf = (step: FitStep, repetitions: number): Option => ({
  repetitions,
  seconds: secondsAt(step, repetitions),
  penalty: penaltyOf(step, repetitions),
});

const totalSeconds = (steps: readonly FitStep[], repetitions: readonly number[]) =>
  steps.reduce((sum, step, i) => sum + secondsAt(step, repetitions[i] ?? 0), 0);

/** What may be added to each step once its repetitions stand; nothing to one that was left out. */
const stretchesOf = (steps: readonly FitStep[], fitted: readonly number[]): readonly Stretch[] =>
  steps.map((step, i) => {
    const now = fitted[i] ?? 0;
    return {
      most: step.stretchable && now > 0 ? step.max - now : 0,
      secondsEach: step.secondsPerRepetition,
      penaltyOf: (more) => penaltyOf(step, now + more) - penaltyOf(step, now),
    };
  });

/** As much of what is left over as whole repetitions of the stretchable steps can take, with the least penalty. */
function stretch(steps: readonly FitStep[], fitted: readonly number[], availableSeconds: Seconds): readonly number[] {
  const left = availableSeconds - totalSeconds(steps, fitted);
  return fullestWay(stretchesOf(steps, fitted), left).map((more, i) => more + (fitted[i] ?? 0));
}

/** How much work filling may be, before it is begun: rounds of time to be looked at, at worst. */
export const fillRounds = (steps: readonly FitStep[], availableSeconds: Seconds): number =>
  roundsOf(
    stretchesOf(
      steps,
      steps.map(({ min }) => min),
    ),
    availableSeconds,
  );

function toFit(steps: readonly FitStep[], repetitions: readonly number[]): TimeFit {
  return {
    fits: true,
    shortBySeconds: 0,
    penalty: steps.reduce((sum, step, i) => sum + penaltyOf(step, repetitions[i] ?? 0), 0),
    usedSeconds: totalSeconds(steps, repetitions),
    repetitions: steps.flatMap(({ id }, i) => (repetitions[i] ? [{ id, repetitions: repetitions[i] }] : [])),
    leftOut: steps.filter((_, i) => repetitions[i] === 0).map(({ id }) => id),
  };
}
