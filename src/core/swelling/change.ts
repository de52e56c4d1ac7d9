import type { Millilitres } from '../quantities';
export interface ChangeJudgement {
  readonly limit: number;
  readonly beyond: boolean;
}

/**
 * Whether a change between two measurements is beyond measuring error: |change| > max(1.96·√(SD1²+SD2²), MDC).
 * Within one visit with the marks left on, give 0 as `mdcMl`: start, marks and person are shared.
 */
export function judgeChange(changeMl: Millilitres, sd1Ml: number, sd2Ml: number, mdcMl: Millilitres): ChangeJudgement {
  const limit = Math.max(1.96 * Math.hypot(sd1Ml, sd2Ml), mdcMl);
  return { limit, beyond: Math.abs(changeMl) > limit };
}
