import type { Anatomy } from '../anatomy/place';
import type { ReadCase } from './case';
import type { DraftStep } from './course';
import { type Range, stepSeconds, type Step } from './step';
import { cautionsFor, whyInWords } from './why';

/** How far repetitions lie between their limits: −1 the least, 0 the usual, 1 the most (draining and carrying only). */
export type Effort = number;

export function repetitionsAt(range: Range, kind: Step['kind'], effort: Effort): number {
  if (effort >= 0) {
    const mayGrow = kind === 'drain' || kind === 'carry';
    return mayGrow ? Math.floor(range.usual + effort * (range.max - range.usual) + 1e-9) : range.usual;
  }
  return Math.floor(range.usual + effort * (range.usual - range.min) + 1e-9);
}

/** Total of a course at an effort (s). */
export function courseSeconds(steps: readonly DraftStep[], effort: Effort): number {
  return steps.reduce(
    (sum, step) =>
      sum + stepSeconds(step.kind, repetitionsAt(step.range, step.kind, effort), step.placements, step.stretches),
    0,
  );
}

/**
 * The greatest effort at which a course takes at most `budgetSeconds`.
 * @param ceiling 0 ends early rather than go beyond the usual repetitions; 1 fills the time
 * @returns undefined when not even the least repetitions fit
 */
export function fitEffort(steps: readonly DraftStep[], budgetSeconds: number, ceiling: 0 | 1): Effort | undefined {
  if (courseSeconds(steps, ceiling) <= budgetSeconds) return ceiling;
  if (courseSeconds(steps, -1) > budgetSeconds) return undefined;
  let fits = -1;
  let tooLong: number = ceiling;
  for (let i = 0; i < 40; i += 1) {
    const middle = (fits + tooLong) / 2;
    if (courseSeconds(steps, middle) <= budgetSeconds) fits = middle;
    else tooLong = middle;
  }
  return fits;
}

/** Gives every step its number, repetitions, seconds and words. */
export function settle(
  anatomy: Anatomy,
  read: ReadCase,
  drafts: readonly DraftStep[],
  effort: Effort,
): readonly Step[] {
  return drafts.map(({ range, stretches, because, ...draft }, index) => {
    const repetitions = repetitionsAt(range, draft.kind, effort);
    return {
      id: `s${index + 1}`,
      ...draft,
      repetitions,
      seconds: stepSeconds(draft.kind, repetitions, draft.placements, stretches),
      why: whyInWords(anatomy, draft.place, draft.toward, because),
      cautions: cautionsFor(anatomy, read, draft.kind, [draft.place, ...draft.via], draft.toward),
    };
  });
}
