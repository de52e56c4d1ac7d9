import { useCallback, useMemo, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { type DrainageCase, readCase, type School } from '../../core/drainage/case';
import { applyFix, checkCourse, type Fix, mendCourse, type Violation } from '../../core/drainage/check';
import type { Step } from '../../core/drainage/step';
import { RequestError, send } from '../api';
import type { Chosen } from '../treatment/Chooser';

export interface PlanWish {
  readonly school: School;
  readonly minutes: number;
  readonly fill: boolean;
}

export type PlanStatus =
  | { readonly kind: 'kept' | 'saving' }
  | { readonly kind: 'trouble'; readonly text: string }
  | { readonly kind: 'conflict' };

/** The plan of a visit as it is being arranged: checked at every change, stored as it happens. */
export function usePlan(visit: VisitView, first: PlanView) {
  const [view, setView] = useState(first);
  const [steps, setSteps] = useState<readonly Step[]>(first.steps);
  const [status, setStatus] = useState<PlanStatus>({ kind: 'kept' });
  const [movedId, setMovedId] = useState<string>();
  const [past, setPast] = useState<readonly (readonly Step[])[]>([]);
  const version = useRef(first.version);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const pending = useRef(0);

  const read = useMemo(() => readCase(anatomy, view.drainageCase), [view.drainageCase]);
  const violations = useMemo<readonly Violation[]>(
    () => (read.ok ? checkCourse(anatomy, read.value, steps) : []),
    [read, steps],
  );

  const post = useCallback(
    (path: 'plan' | 'course', body: object, onSaved: (plan: PlanView) => void) => {
      setStatus({ kind: 'saving' });
      pending.current += 1;
      queue.current = queue.current.then(async () => {
        try {
          const { plan } = await send<{ plan: PlanView }>('POST', `/api/visits/${visit.id}/${path}`, {
            ...body,
            basedOn: version.current,
          });
          version.current = plan.version;
          pending.current -= 1;
          if (pending.current === 0) setStatus({ kind: 'kept' });
          onSaved(plan);
        } catch (error) {
          pending.current -= 1;
          const isConflict = error instanceof RequestError && error.status === 409;
          setStatus(
            isConflict
              ? { kind: 'conflict' }
              : { kind: 'trouble', text: error instanceof Error ? error.message : 'Not saved yet.' },
          );
        }
      });
    },
    [visit.id],
  );

  const arrange = useCallback(
    (next: readonly Step[], moved?: string) => {
      setPast((all) => [...all.slice(-30), steps]);
      setSteps(next);
      setMovedId(moved);
      post('course', { order: next.map((step) => step.id), reason: '' }, (plan) =>
        setView((old) => ({ ...plan, plan: old.plan })),
      );
    },
    [post, steps],
  );

  return {
    view,
    steps,
    violations,
    status,
    movedId,
    canUndo: past.length > 0,
    undo: () => {
      const previous = past.at(-1);
      if (!previous) return;
      setPast((all) => all.slice(0, -1));
      setSteps(previous);
      setMovedId(undefined);
      post('course', { order: previous.map((step) => step.id), reason: '' }, (plan) =>
        setView((old) => ({ ...plan, plan: old.plan })),
      );
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
    keepWithReason: (reason: string) =>
      post('course', { order: steps.map((step) => step.id), reason }, (plan) =>
        setView((old) => ({ ...plan, plan: old.plan })),
      ),
    replan: (wish: PlanWish) =>
      post('plan', wish, (plan) => {
        setView(plan);
        setSteps(plan.steps);
        setMovedId(undefined);
        setPast([]);
      }),
    /** Puts other work beside the drainage; the page then shows the whole treatment. */
    /** Plans more than this drainage, or something else. */
    combine: async ({ holds, minutes }: Chosen) => {
      await queue.current;
      await send('POST', `/api/visits/${visit.id}/treatment`, {
        ...holds,
        minutes: minutes ?? view.drainageCase.minutes,
        basedOn: version.current,
      });
    },
    retry: () =>
      post('course', { order: steps.map((step) => step.id), reason: view.reason }, (plan) =>
        setView((old) => ({ ...plan, plan: old.plan })),
      ),
  };
}

export type PlanHandle = ReturnType<typeof usePlan>;

export function wishOf(drainageCase: DrainageCase): PlanWish {
  return { school: drainageCase.school, minutes: drainageCase.minutes, fill: drainageCase.fill };
}
