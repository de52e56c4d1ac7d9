import type { Seconds } from '../quantities';
import type { Anatomy } from '../anatomy/place';
import { fitTime, type FitStep } from '../sequencing/time-fit';
import type { ReadCase } from './case';
import { type Range, stepSeconds, type Step } from './step';
import type { PlacedStep } from './turns';
import { cautionsFor, whyInWords } from './why';

/** Seconds of a course when every step gets the repetitions that `of` takes from its range. */
export function courseSeconds(steps: readonly PlacedStep[], of: (range: Range) => number): number {
  return steps.reduce((sum, step) => sum + stepSeconds(step.kind, of(step.range), step.placements, step.stretches), 0);
}

/** What a repetition more of each kind is worth when there are not enough for all. */
const worth: Readonly<Record<Step['kind'], number>> = {
  breathe: 2,
  clear: 3,
  prepare: 2,
  soften: 2,
  drain: 4,
  carry: 3,
  return: 1,
  close: 1,
  turn: 1,
};

/** So little that it only decides between equals: the nearer place gets the repetition. */
const nearerBonus = 1e-6;

/**
 * Repetitions of every step within the time, exactly the best (`fitTime`): none that would still fit is left unused.
 * @param fill spends what is left over on draining and carrying, up to their most
 * @returns one number a step, or undefined when not even the least fit
 */
export function fitCourse(
  steps: readonly PlacedStep[],
  budgetSeconds: Seconds,
  fill: boolean,
): readonly number[] | undefined {
  if (courseSeconds(steps, ({ min }) => min) > budgetSeconds) return undefined;
  const isShort = courseSeconds(steps, ({ usual }) => usual) > budgetSeconds;
  if (!isShort && !fill) return steps.map(({ range }) => range.usual);
  const fit = fitTime(
    steps.map((step, i): FitStep => toFitStep(step, i, steps.length)),
    budgetSeconds,
    fill,
  );
  const repetitions = new Map(fit.repetitions.map((one) => [one.id, one.repetitions]));
  return steps.map(({ range }, i) => repetitions.get(String(i)) ?? range.min);
}

function toFitStep({ kind, range, placements, stretches }: PlacedStep, i: number, count: number): FitStep {
  const at = (repetitions: number) => stepSeconds(kind, repetitions, placements, stretches);
  const isFixed = range.min === range.max;
  const secondsPerRepetition = isFixed ? 0 : at(range.min + 1) - at(range.min);
  const mayGrow = kind === 'drain' || kind === 'carry';
  return {
    id: String(i),
    secondsPerRepetition,
    overheadSeconds: at(range.min) - range.min * secondsPerRepetition,
    min: range.min,
    usual: range.usual,
    max: mayGrow ? range.max : range.usual,
    weight: worth[kind] * (1 + (nearerBonus * (count - i)) / count),
    optional: false,
    stretchable: mayGrow,
  };
}

/** Gives every step its number, repetitions, seconds and words. */
export function settle(
  anatomy: Anatomy,
  read: ReadCase,
  drafts: readonly PlacedStep[],
  repetitions: readonly number[],
): readonly Step[] {
  return drafts.map(({ range, stretches, because, ...draft }, index) => {
    const times = repetitions[index] ?? range.min;
    return {
      id: `s${index + 1}`,
      ...draft,
      repetitions: times,
      seconds: stepSeconds(draft.kind, times, draft.placements, stretches),
      why: whyInWords(anatomy, draft.place, draft.toward, because),
      cautions:
        draft.kind === 'turn' ? [] : cautionsFor(anatomy, read, draft.kind, [draft.place, ...draft.via], draft.toward),
    };
  });
}
