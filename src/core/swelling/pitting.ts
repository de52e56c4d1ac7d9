import type { Seconds } from '../quantities';
import { exceeds, isBelow } from '../statistics';

export interface Pit {
  readonly depthMm: number;
  /** Seconds until the dent cannot be seen; null: not timed. */
  readonly reboundSeconds: Seconds | null;
}

export type PittingGrade = 0 | 1 | 2 | 3 | 4;

const depthUpperMm = [2, 4, 6] as const;
const reboundUpperSeconds = [2, 15, 60] as const;

const gradeBy = (value: number, uppers: readonly number[]) =>
  (1 + uppers.filter((upper) => exceeds(value, upper)).length) as PittingGrade;

/**
 * Grade of a pit pressed for 10 s over bone: the higher of depth and rebound, at most one above depth; none below 1 mm.
 * Source: Brodovicz and others (2009), Clin Med Res 7:21–31; agreement between observers is moderate.
 */
export function pittingGrade({ depthMm, reboundSeconds }: Pit): PittingGrade {
  if (isBelow(depthMm, 1)) return 0;
  const byDepth = gradeBy(depthMm, depthUpperMm);
  if (reboundSeconds === null) return byDepth;
  const byRebound = gradeBy(reboundSeconds, reboundUpperSeconds);
  return Math.max(byDepth, Math.min(byRebound, byDepth + 1)) as PittingGrade;
}

/** Whether depth and rebound differ by two grades or more: measure again. */
export function isPitDoubtful({ depthMm, reboundSeconds }: Pit): boolean {
  if (reboundSeconds === null || isBelow(depthMm, 1)) return false;
  return Math.abs(gradeBy(depthMm, depthUpperMm) - gradeBy(reboundSeconds, reboundUpperSeconds)) >= 2;
}
