import type { Minutes } from '../../core/quantities';
import { useMemo, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { type DrainageCase, readCase, type School } from '../../core/drainage/case';
import { applyFix, checkCourse, type Fix, mendCourse, type Violation } from '../../core/drainage/check';
import type { Chosen } from '../treatment/Chooser';
import { arrange, type ArrangementChange, arrangementOf } from './arrangement';
import { planFacts, usePlanSaves } from './usePlanSaves';
import { versioned } from '../saving/sending';
import { useRefresh } from '../visit-head/refresh';
import type { TableStep } from '../../core/table/table-step';

export interface PlanWish {
  readonly school: School;
  readonly minutes: Minutes;
  readonly fill: boolean;
  /** Ways that were chosen, or are not to be taken. */
  readonly use?: readonly PlaceId[];
  readonly refuse?: readonly PlaceId[];
}

/** The plan of a visit as it is being arranged: checked at every change, stored as it happens. */
export function usePlan(visit: VisitView, first: PlanView) {
  const [view, setView] = useState(first);
  const [arrangement, setArrangement] = useState(() => arrangementOf(first.steps));
  const { steps, movedId, past } = arrangement;
  const refresh = useRefresh();
  const { saving, compare, post, replace } = usePlanSaves(
    visit.id,
    first,
    (plan, { address }) => {
      // An order keeps what shaped the plan and what was left out.
      if (address === 'POST /api/visits/{id}/course') setView((old) => ({ ...plan, plan: old.plan }));
      else if (!plan.treatment) {
        setView(plan);
        setArrangement((now) => arrange(now, { kind: 'planned', steps: plan.steps }));
      }
    },
    refresh,
  );

  const params = { id: visit.id };
  const read = useMemo(() => readCase(anatomy, view.drainageCase), [view.drainageCase]);
  const violations = useMemo<readonly Violation[]>(
    () => (read.ok ? checkCourse(anatomy, read.value, steps) : []),
    [read, steps],
  );

  /** Stores an order; what shaped the plan and what was left out stays as it was planned. */
  const storeOrder = (ordered: readonly TableStep[], reason = '') => {
    const facts = planFacts({ ...view, steps: ordered });
    const body = { order: ordered.map(({ id }) => id), reason };
    post('order', versioned('POST /api/visits/{id}/course', params, body, facts));
  };
  const change = (what: ArrangementChange) => {
    const next = arrange(arrangement, what);
    if (next === arrangement) return;
    setArrangement(next);
    storeOrder(next.steps);
  };

  return {
    ...{ view, steps, violations, saving, compare, movedId },
    canUndo: past.length > 0,
    undo: () => change({ kind: 'undone' }),
    /** Puts the step at `from` to position `to`. */
    move: (from: number, to: number) => change({ kind: 'moved', from, to }),
    mend: (fix: Fix) => change({ kind: 'mended', steps: applyFix(steps, fix) }),
    mendAll: () => {
      if (read.ok) change({ kind: 'mended', steps: mendCourse(anatomy, read.value, steps) });
    },
    keepWithReason: (reason: string) => storeOrder(steps, reason),
    replan: (wish: PlanWish) =>
      post('wish', versioned('POST /api/visits/{id}/plan', params, wish, { minutes: String(wish.minutes) })),
    /** Plans more than this drainage, or something else; the page then shows the whole treatment. */
    combine: ({ holds, minutes }: Chosen) =>
      replace(
        versioned('POST /api/visits/{id}/treatment', params, {
          ...holds,
          minutes: minutes ?? view.drainageCase.minutes,
        }),
      ),
  };
}

export type PlanHandle = ReturnType<typeof usePlan>;

export function wishOf(drainageCase: DrainageCase): PlanWish {
  const { school, minutes, fill, use = [], refuse = [] } = drainageCase;
  return { school, minutes, fill, use, refuse };
}
