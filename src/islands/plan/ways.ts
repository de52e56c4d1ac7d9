import type { PlaceId } from '../../core/anatomy/place';
import type { Candidate } from '../../core/drainage/candidates';
import type { PlanHandle } from './usePlan';
import { wishOf } from './usePlan';

/** What may be done about a way: use it as well, do without it, or nothing where it is the only one left. */
export interface WayChoice {
  readonly candidate: Candidate;
  readonly act: 'use' | 'leave' | 'none';
}

const without = (list: readonly PlaceId[], to: PlaceId) => list.filter((id) => id !== to);

/** The ways that the rules allow for this case, and how to choose among them. */
export function waysOf(plan: PlanHandle) {
  const { candidates = [] } = plan.view.plan;
  const wish = wishOf(plan.view.drainageCase);
  const { use = [], refuse = [] } = wish;
  const chosen = candidates.filter((one) => one.chosen);
  return {
    candidates,
    isChosenByHand: use.length > 0 || refuse.length > 0,
    /** The choice at a node group; undefined where no way leads there. */
    at: (to: PlaceId): WayChoice | undefined => {
      const candidate = candidates.find((one) => one.to === to);
      if (!candidate) return undefined;
      return { candidate, act: !candidate.chosen ? 'use' : chosen.length > 1 ? 'leave' : 'none' };
    },
    use: (to: PlaceId) =>
      plan.replan({
        ...wish,
        use: [...new Set([...(use.length > 0 ? use : chosen.map((one) => one.to)), to])],
        refuse: without(refuse, to),
      }),
    leave: (to: PlaceId) => plan.replan({ ...wish, use: without(use, to), refuse: [...new Set([...refuse, to])] }),
    back: () => plan.replan({ ...wish, use: [], refuse: [] }),
  };
}

export type Ways = ReturnType<typeof waysOf>;
