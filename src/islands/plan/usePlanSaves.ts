import type { VisitId } from '../../core/ids';
import { useCallback, useRef, useState } from 'react';
import type { PlanView } from '../../contracts/visit-views';
import { RequestError, sentenceOf } from '../api';

export type PlanStatus =
  | { readonly kind: 'kept' | 'saving' }
  | { readonly kind: 'trouble'; readonly text: string }
  | { readonly kind: 'conflict' };

/** Sends a change of the plan of a visit, based on the version that is on record. */
export type MakePlan = (of: {
  readonly params: { readonly id: number };
  readonly basedOn: number;
}) => Promise<{ readonly plan: PlanView }>;

/**
 * Stores changes of a plan one after the other, each based on the version that the one before it made.
 * @param firstVersion the version that the page was made with
 */
export function usePlanSaves(visitId: VisitId, firstVersion: number) {
  const [status, setStatus] = useState<PlanStatus>({ kind: 'kept' });
  const version = useRef(firstVersion);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const pending = useRef(0);

  /** `onSaved` gets the plan as it is stored, and whether nothing else waits to be stored. */
  const post = useCallback(
    (make: MakePlan, onSaved: (plan: PlanView, isLast: boolean) => void) => {
      setStatus({ kind: 'saving' });
      pending.current += 1;
      queue.current = queue.current.then(async () => {
        try {
          const { plan } = await make({ params: { id: visitId }, basedOn: version.current });
          version.current = plan.version;
          pending.current -= 1;
          const isLast = pending.current === 0;
          if (isLast) setStatus({ kind: 'kept' });
          onSaved(plan, isLast);
        } catch (error) {
          pending.current -= 1;
          const isConflict = error instanceof RequestError && error.status === 409;
          setStatus(isConflict ? { kind: 'conflict' } : { kind: 'trouble', text: sentenceOf(error) });
        }
      });
    },
    [visitId],
  );

  /** Stores something that replaces the plan, after all that waits. @throws RequestError when it is refused */
  const replace = useCallback(
    async (make: MakePlan): Promise<void> => {
      await queue.current;
      await make({ params: { id: visitId }, basedOn: version.current });
    },
    [visitId],
  );

  return { status, setStatus, post, replace };
}
