import { useRef, useState } from 'react';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { PlanView } from '../../contracts/visit-views';
import type { VisitId } from '../../core/ids';
import { mendOrder } from '../../core/treatment/order';
import { usePlanSaves } from '../plan/usePlanSaves';
import type { Facts } from '../saving/SaveLine';
import { versioned } from '../saving/sending';
import { useRefresh } from '../visit-head/refresh';
import { blocksInHand, draftAfter, firstDraft, moved, type TreatmentAction, type Wish } from './treatment-draft';

/** Rules that a part's place alone does not mend. */
const brokenByWhole: ReadonlySet<string> = new Set(['one-turn', 'gloves-on-off']);

/** A treatment while it is put together: every change is planned and stored at once, the last ones can be undone. */
export function useTreatment(visitId: VisitId, first: PlanView, firstTreatment: TreatmentView) {
  const [plan, setPlan] = useState(first);
  const refresh = useRefresh();
  const treatment = plan.treatment ?? firstTreatment;
  const [draft, setDraft] = useState(() => firstDraft(treatment.wish));
  /** Two presses in one breath: the second builds on the first. */
  const latest = useRef(draft);
  const take = (action: TreatmentAction) => {
    latest.current = draftAfter(latest.current, action);
    setDraft(latest.current);
  };
  const saves = usePlanSaves(
    visitId,
    first,
    (saved, { address }, isLast) => {
      if (address !== 'POST /api/visits/{id}/treatment') return;
      setPlan(saved);
      if (isLast) take({ kind: 'planned' });
    },
    refresh,
  );
  const { saving, compare } = saves;
  const post = (reason = '') => {
    const { wish } = latest.current;
    const facts = wishFacts(wish, treatment);
    saves.post('wish', versioned('POST /api/visits/{id}/treatment', { id: visitId }, { ...wish, reason }, facts));
  };
  const change = (action: TreatmentAction) => {
    const before = latest.current;
    take(action);
    if (latest.current !== before) post();
  };
  const blocks = blocksInHand(draft, treatment.blocks);
  const order = (ids: readonly string[] | undefined) => ids && change({ kind: 'order', ids });
  return {
    ...{ plan, treatment, blocks, saving, compare, change },
    canUndo: draft.past.length > 0,
    set: (part: Partial<Wish>) => change({ kind: 'set', part }),
    undo: () => change({ kind: 'undo' }),
    setFree: (isFree: boolean) => change({ kind: 'free', isFree }),
    leanTo: (leanTo: NonNullable<Wish['leanTo']>) => change({ kind: 'lean', leanTo }),
    setPace: (pace: NonNullable<Wish['pace']>) => change({ kind: 'pace', pace }),
    bestOrder: () => change({ kind: 'best-order' }),
    /** Puts the block at `from` to position `to`. */
    move: (from: number, to: number) => {
      const ids = blocks.map(({ id }) => id);
      order(moved(ids, from, to));
    },
    /** Moves what waits behind what it waits for; a turn too many, or gloves twice, only go away with the best order. */
    mendAll: () => {
      if (treatment.faults.some(({ rule }) => brokenByWhole.has(rule))) change({ kind: 'best-order' });
      else order(mendOrder(blocks, treatment.rules).map(({ id }) => id));
    },
    /** Goes back to the plan of a drainage by itself, which shows every step of the course. */
    asDrainage: async () => {
      const { minutes, fill, school } = latest.current.wish;
      const wish = { school: school ?? plan.drainageCase.school, minutes, fill };
      const trouble = await saves.replace(versioned('POST /api/visits/{id}/plan', { id: visitId }, wish));
      if (trouble === undefined) await refresh();
      return trouble;
    },
    keepWithReason: post,
  };
}

/** Minutes and parts of a wish, in the order that was asked for. */
function wishFacts(wish: Wish, { blocks }: TreatmentView): Facts {
  const order = wish.order ?? blocks.map(({ id }) => id);
  const label = (id: string) => blocks.find((block) => block.id === id)?.name ?? id;
  return {
    minutes: String(wish.minutes),
    ...Object.fromEntries(order.map((id, i) => [String(i + 1), label(id)])),
  };
}

export type TreatmentHandle = ReturnType<typeof useTreatment>;
