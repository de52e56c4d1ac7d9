import type { VisitId } from '../../core/ids';
import { useRef, useState } from 'react';
import type { PlanView } from '../../contracts/visit-views';
import type { TreatmentView } from '../../contracts/treatment-views';
import { mendOrder } from '../../core/treatment/order';
import { send, sentenceOf } from '../api';
import { useRefresh } from '../plan/refresh';
import { usePlanSaves } from '../plan/usePlanSaves';

type Wish = TreatmentView['wish'];

/** A treatment while it is put together: every change is planned and stored at once, the last ones can be undone. */
export function useTreatment(visitId: VisitId, first: PlanView, firstTreatment: TreatmentView) {
  const [plan, setPlan] = useState(first);
  const refresh = useRefresh();
  const [past, setPast] = useState<readonly Wish[]>([]);
  const treatment = plan.treatment ?? firstTreatment;
  const latest = useRef(treatment.wish);
  /** The order as the hand has it, while the server still plans. */
  const [ahead, setAhead] = useState<readonly string[]>();
  const saves = usePlanSaves(visitId, first.version);
  const { status, setStatus } = saves;
  const post = (wish: Wish, reason = '') => {
    latest.current = wish;
    saves.post(
      ({ params, basedOn }) => send('POST /api/visits/{id}/treatment', { params, body: { ...wish, reason, basedOn } }),
      (saved, isLast) => {
        setPlan(saved);
        if (isLast) setAhead(undefined);
      },
    );
  };
  const change = (wish: Wish) => {
    if (!wish.order) setAhead(undefined);
    setPast((all) => [...all.slice(-30), latest.current]);
    post(wish);
  };
  const blocks = ahead
    ? treatment.blocks.toSorted((a, b) => ahead.indexOf(a.id) - ahead.indexOf(b.id))
    : treatment.blocks;
  const ids = blocks.map(({ id }) => id);
  return {
    plan,
    treatment,
    /** In the order as the hand has it. */
    blocks,
    status,
    canUndo: past.length > 0,
    undo: () => {
      const previous = past.at(-1);
      if (!previous) return;
      setAhead(undefined);
      setPast((all) => all.slice(0, -1));
      post(previous);
    },
    /** Other choices, minutes or form: the best order is found anew. */
    set: (part: Partial<Wish>) => {
      const { order: _, ...wish } = { ...latest.current, ...part };
      change(wish);
    },
    /** Puts the block at `from` to position `to`. */
    move: (from: number, to: number) => {
      const id = ids[from];
      if (id === undefined || from === to || to < 0 || to >= ids.length) return;
      const others = ids.filter((_, i) => i !== from);
      const order = [...others.slice(0, to), id, ...others.slice(to)];
      setAhead(order);
      change({ ...latest.current, order });
    },
    /** Moves what waits behind what it waits for; a turn too many, or gloves twice, only go away with the best order. */
    mendAll: () => {
      if (treatment.faults.some(({ rule }) => rule === 'one-turn' || rule === 'gloves-on-off')) {
        const { order: _, ...wish } = latest.current;
        change(wish);
        return;
      }
      const mended = mendOrder(blocks, treatment.rules);
      setAhead(mended.map(({ id }) => id));
      change({ ...latest.current, order: mended.map(({ id }) => id) });
    },
    bestOrder: () => {
      const { order: _, ...wish } = latest.current;
      change(wish);
    },
    /** Goes back to the plan of a drainage by itself, which shows every step of the course. */
    asDrainage: async () => {
      const { minutes, fill, school } = latest.current;
      try {
        const wish = { school: school ?? plan.drainageCase.school, minutes, fill };
        await saves.replace(({ params, basedOn }) =>
          send('POST /api/visits/{id}/plan', { params, body: { ...wish, basedOn } }),
        );
        await refresh();
      } catch (error) {
        setStatus({ kind: 'trouble', text: sentenceOf(error) });
      }
    },
    keepWithReason: (reason: string) => post(latest.current, reason),
    retry: () => post(latest.current, plan.reason),
  };
}

export type TreatmentHandle = ReturnType<typeof useTreatment>;
