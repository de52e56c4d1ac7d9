import type { Seconds } from '../quantities';
import type { DrillKind } from './kinds';
import type { SkillId } from './skills';

/** How a skill went, as spaced repetition asks. */
export type Rating = 'again' | 'hard' | 'good' | 'easy';

const againBelow = 0.6;
export const hardBelow = 0.8;

/** Whoever answers rightly within these does not have to think any more. */
const quickSeconds: Readonly<Record<DrillKind, Seconds>> = {
  order: 60,
  route: 20,
  direction: 4,
  // A minute takes a minute, and a count as long as it is played.
  pace: 0,
  count: 0,
  heat: 12,
  drops: 15,
  screen: 15,
  change: 15,
};

/** What an answer showed: which skills its case asks for, and which of them were broken. */
export interface Shown {
  readonly kind: DrillKind;
  readonly score: number;
  readonly seconds: Seconds;
  readonly isGivenUp: boolean;
  readonly skills: readonly SkillId[];
  readonly broken: readonly SkillId[];
}

/**
 * A rating for each skill that a case asks for: one that was broken by the score of the answer (again below 0.6, hard
 * below 0.8 and at best), one that was kept is good, and easy when all was right and also quick. Given up: all again.
 */
export function ratingsOf(shown: Shown): ReadonlyMap<SkillId, Rating> {
  const { kind, score, seconds, isGivenUp, skills, broken } = shown;
  const isEasy = score >= 1 && seconds < quickSeconds[kind];
  return new Map(
    [...new Set([...skills, ...broken])].map((id): readonly [SkillId, Rating] => {
      if (isGivenUp) return [id, 'again'];
      if (broken.includes(id)) return [id, score < againBelow ? 'again' : 'hard'];
      return [id, isEasy ? 'easy' : 'good'];
    }),
  );
}
