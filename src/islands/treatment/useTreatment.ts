import type { VisitId } from '../../core/ids';
import { useRef, useState } from 'react';
import type { PlanView } from '../../contracts/visit-views';
import type { TreatmentView } from '../../contracts/treatment-views';
import { mendOrder } from '../../core/treatment/order';
import { versioned } from '../saving/sending';
import { useRefresh } from '../visit-head/refresh';
import { usePlanSaves } from '../plan/usePlanSaves';
import type { Facts } from '../saving/SaveLine';

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
  const saves = usePlanSaves(
    visitId,
    first,
    (saved, { address }, isLast) => {
      if (address !== 'POST /api/visits/{id}/treatment') return;
      setPlan(saved);
      if (isLast) setAhead(undefined);
    },
    refresh,
  );
  const { saving, compare } = saves;
  const post = (wish: Wish, reason = '') => {
    latest.current = wish;
    const facts = wishFacts(wish, treatment);
    saves.post('wish', versioned('POST /api/visits/{id}/treatment', { id: visitId }, { ...wish, reason }, facts));
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
    saving,
    compare,
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
    /** The fastest order that the rules allow, or the one that the protocols teach. */
    setOrder: (isFree: boolean) => {
      const { order: _, ...wish } = latest.current;
      setAhead(undefined);
      change({ ...wish, isFree });
    },
    /** Every step of a part so often; as taught again without a number. */
    setTimes: (block: string, number?: number) => {
      const { [block]: _, ...others } = latest.current.times ?? {};
      change({ ...latest.current, times: number === undefined ? others : { ...others, [block]: number } });
    },
    /** Takes a part of a protocol in that was not chosen. */
    addPart: (choice: string, part: string) => {
      const { order: _, ...wish } = latest.current;
      setAhead(undefined);
      change({
        ...wish,
        choices: wish.choices.map((one) =>
          one.id === choice && one.blocks ? { ...one, blocks: [...one.blocks, part] } : one,
        ),
      });
    },
    /** Other stones for steps; the order stays as it is. */
    takeStones: (stones: NonNullable<Wish['stones']>) =>
      change({ ...latest.current, stones: { ...latest.current.stones, ...stones } }),
    /** What the technique asks for again. */
    usualStones: (step: string) => {
      const { [step]: _, ...stones } = latest.current.stones ?? {};
      change({ ...latest.current, stones });
    },
    /** Other oils or drops for layers on the skin. */
    takeLayers: (layers: NonNullable<Wish['layers']>) =>
      change({ ...latest.current, layers: { ...latest.current.layers, ...layers } }),
    usualLayer: (step: string) => {
      const { [step]: _, ...layers } = latest.current.layers ?? {};
      change({ ...latest.current, layers });
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
      const wish = { school: school ?? plan.drainageCase.school, minutes, fill };
      const trouble = await saves.replace(versioned('POST /api/visits/{id}/plan', { id: visitId }, wish));
      if (trouble === undefined) await refresh();
      return trouble;
    },
    keepWithReason: (reason: string) => post(latest.current, reason),
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
