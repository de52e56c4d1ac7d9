import type { Minutes } from '../../core/quantities';
import { useMemo, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { type DrainageCase, readCase, type School } from '../../core/drainage/case';
import { applyFix, checkCourse, type Fix, mendCourse, type Violation } from '../../core/drainage/check';
import type { Step } from '../../core/drainage/step';
import type { Chosen } from '../treatment/Chooser';
import { usePlanSaves } from './usePlanSaves';
import { send } from '../api';

export interface PlanWish {
  readonly school: School;
  readonly minutes: Minutes;
  readonly fill: boolean;
  /** Ways that were chosen, or are not to be taken. */
  readonly use?: readonly PlaceId[];
  readonly refuse?: readonly PlaceId[];
}

const mostSteps = 31;

/** The plan of a visit as it is being arranged: checked at every change, stored as it happens. */
export function usePlan(visit: VisitView, first: PlanView) {
  const [view, setView] = useState(first);
  const [steps, setSteps] = useState<readonly Step[]>(first.steps);
  const [movedId, setMovedId] = useState<string>();
  const [past, setPast] = useState<readonly (readonly Step[])[]>([]);
  const { status, post, replace } = usePlanSaves(visit.id, first.version);

  const read = useMemo(() => readCase(anatomy, view.drainageCase), [view.drainageCase]);
  const violations = useMemo<readonly Violation[]>(
    () => (read.ok ? checkCourse(anatomy, read.value, steps) : []),
    [read, steps],
  );

  /** Stores an order; what shaped the plan and what was left out stays as it was planned. */
  const storeOrder = (ordered: readonly Step[], reason = '') =>
    post(
      ({ params, basedOn }) =>
        send('POST /api/visits/{id}/course', { params, body: { order: ordered.map(({ id }) => id), reason, basedOn } }),
      (plan) => setView((old) => ({ ...plan, plan: old.plan })),
    );
  const show = (next: readonly Step[], moved?: string) => {
    setSteps(next);
    setMovedId(moved);
    storeOrder(next);
  };
  const arrange = (next: readonly Step[], moved?: string) => {
    setPast((all) => [...all, steps].slice(-mostSteps));
    show(next, moved);
  };

  return {
    ...{ view, steps, violations, status, movedId },
    canUndo: past.length > 0,
    undo: () => {
      const previous = past.at(-1);
      if (!previous) return;
      setPast((all) => all.slice(0, -1));
      show(previous);
    },
    /** Puts the step at `from` to position `to`. */
    move: (from: number, to: number) => {
      const step = steps[from];
      if (!step || from === to || to < 0 || to >= steps.length) return;
      const rest = steps.filter((_, i) => i !== from);
      arrange([...rest.slice(0, to), step, ...rest.slice(to)], step.id);
    },
    mend: (fix: Fix) => arrange(applyFix(steps, fix)),
    mendAll: () => read.ok && arrange(mendCourse(anatomy, read.value, steps)),
    keepWithReason: (reason: string) => storeOrder(steps, reason),
    replan: (wish: PlanWish) =>
      post(
        ({ params, basedOn }) => send('POST /api/visits/{id}/plan', { params, body: { ...wish, basedOn } }),
        (plan) => {
          setView(plan);
          setSteps(plan.steps);
          setMovedId(undefined);
          setPast([]);
        },
      ),
    /** Plans more than this drainage, or something else; the page then shows the whole treatment. */
    combine: ({ holds, minutes }: Chosen) =>
      replace(({ params, basedOn }) => {
        const body = { ...holds, minutes: minutes ?? view.drainageCase.minutes, basedOn };
        return send('POST /api/visits/{id}/treatment', { params, body });
      }),
    retry: () => storeOrder(steps, view.reason),
  };
}

export type PlanHandle = ReturnType<typeof usePlan>;

export function wishOf(drainageCase: DrainageCase): PlanWish {
  const { school, minutes, fill, use = [], refuse = [] } = drainageCase;
  return { school, minutes, fill, use, refuse };
}
