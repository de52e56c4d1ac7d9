import type { PlanView } from '../../contracts/visit-views';
import { stepTitle } from '../../core/drainage/step-words';
import { anatomy } from '../../catalogue/anatomy';
import type { VisitId } from '../../core/ids';
import { RequestError, send, sentenceOf } from '../api';
import type { Comparison, Facts } from '../saving/SaveLine';
import type { Sending } from '../saving/sending';
import { useSaving } from '../saving/use-saving';

interface Saved {
  readonly kind: 'saved';
  readonly plan: PlanView;
}

/**
 * Changes of a plan on their way to the house, each based on the version that the one before it made.
 * @param first the plan that the page was made with
 * @param onSaved gets the plan as it is stored, by which change, and whether nothing else waits
 * @param onTheirs what somebody else made of it counts
 */
export function usePlanSaves(
  visitId: VisitId,
  first: PlanView,
  onSaved: (plan: PlanView, sent: Sending<Facts>, isLast: boolean) => void,
  onTheirs: () => Promise<void>,
) {
  const saving = useSaving<Facts, Saved>(`visit ${visitId} plan`, {
    version: first.version,
    versionOf: ({ plan }) => plan.version,
    // An answer that got lost, or two who have put the same steps in the same order.
    recognise: async ({ body: { address, body } }) => {
      if (address !== 'POST /api/visits/{id}/course') return undefined;
      const { plan } = await send('GET /api/visits/{id}', { params: { id: visitId } });
      const { order } = body as { readonly order: readonly string[] };
      return plan && order.join() === plan.steps.map(({ id }) => id).join() ? { kind: 'saved', plan } : undefined;
    },
    onSaved: ([draft], { plan }, isLast) => draft && onSaved(plan, draft.body, isLast),
  });
  const { queue } = saving;
  const compare: Comparison<Facts> = {
    mine: ({ shown = {} }) => shown,
    theirs: async () => {
      const { plan } = await send('GET /api/visits/{id}', { params: { id: visitId } });
      return { version: plan?.version ?? 0, facts: plan ? planFacts(plan) : {}, take: () => void onTheirs() };
    },
  };

  return {
    saving,
    compare,
    post: (slot: 'order' | 'wish', change: Sending<Facts>) => void queue.add(slot, change),
    /**
     * Stores something that replaces the plan, after all that waits.
     * @returns why it was not stored; undefined when it was
     */
    replace: async (change: Sending): Promise<string | undefined> => {
      const verdict = await queue.submit('whole', change as Sending<Facts>);
      if (verdict.kind === 'saved' || verdict.kind === 'unreachable') return undefined;
      return sentenceOf(new RequestError(verdict.problem.status, verdict.problem));
    },
  };
}

export type PlanSaves = ReturnType<typeof usePlanSaves>;

/** A plan, step by step or part by part, for two versions to be set side by side. */
export function planFacts({
  steps,
  treatment,
  drainageCase,
}: Pick<PlanView, 'steps' | 'treatment' | 'drainageCase'>): Facts {
  const parts = treatment ? treatment.blocks.map(({ name }) => name) : steps.map((step) => stepTitle(anatomy, step));
  return {
    minutes: String(treatment?.wish.minutes ?? drainageCase.minutes),
    ...Object.fromEntries(parts.map((part, i) => [String(i + 1), part])),
  };
}
