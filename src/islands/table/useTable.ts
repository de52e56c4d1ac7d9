import type { OilId } from '../../core/ids';
import type { Drops, Seconds } from '../../core/quantities';
import { droppedOf } from '../../core/table/dropped';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { VisitAtWork } from '../../contracts/visit-views';
import { type Comparison, comparisonOf } from '../../core/table/compare';
import { askedBefore, asksForSide, longerStay, marksOf, withoutWork, withoutTechnique } from '../../core/table/marks';
import type { MarkKind, MarkSide } from '../../core/table/mark-kinds';
import { clocksAt, replay } from '../../core/table/progress';
import { noChange, type TableChange, type TableEvent } from '../../core/table/table-event';
import { overrunSeconds, stepsAfter } from '../../core/table/refit';
import { spanOf, type TableStep } from '../../core/table/table-step';
import { useCatchUp } from './useCatchUp';
import { useEvents } from './useEvents';
import { useTicks } from './useTicks';

const tickMs = 100;
const lookMs = 10_000;
/** How long the side of a mark is asked for (ms). */
const sideMs = 4000;
/** More than any layer has. */
const mostDrops = 99;

/** What an event brings along. */
interface Extra {
  readonly change?: TableChange;
  readonly mark?: MarkKind;
  readonly side?: MarkSide;
  readonly oil?: OilId;
  readonly drops?: Drops;
}

/** The running treatment: every press becomes an event that is kept here first and then sent; the state is replayed from them. */
export function useTable(
  visit: VisitAtWork,
  planned: readonly TableStep[],
  planVersion: number,
  availableSeconds: Seconds,
) {
  const { events, emit: emitEvents, keeping, role, takeOver, storeKind } = useEvents(visit, planVersion);
  // Until the first tick no time has passed since the last press, wherever that one is found.
  const [nowMs, setNowMs] = useState(() => Date.parse(visit.events.at(-1)?.at ?? '1970-01-01'));
  const state = useMemo(() => replay(events), [events]);
  const steps = useMemo(() => stepsAfter(planned, state.change), [planned, state.change]);

  useTicks(tickMs, () => setNowMs(Date.now()));

  const emit = useCallback(
    (...made: readonly (readonly [TableEvent['kind'], string | null, Extra?])[]) =>
      emitEvents(...made.map(([kind, stepId, extra]) => ({ kind, stepId, ...extra }))),
    [emitEvents],
  );

  const index = state.stepId === null ? -1 : steps.findIndex((step) => step.id === state.stepId);
  const goOn = useCallback(
    (leaving: 'end' | 'skip') => {
      if (state.status === 'finished') return;
      if (state.status === 'ready') {
        const [first] = steps;
        if (first) emit(['start', first.id]);
        return;
      }
      const next = steps[index + 1];
      const resume = state.status === 'paused' ? ([['resume', state.stepId]] as const) : [];
      if (next) emit(...resume, [leaving, state.stepId], ['start', next.id]);
      else emit(...resume, [leaving, state.stepId], ['finish', null]);
    },
    [emit, index, state.status, state.stepId, steps],
  );
  const goBack = useCallback(() => {
    const previous = steps[index - 1];
    if (previous && state.status !== 'finished') emit(['back', previous.id]);
  }, [emit, index, state.status, steps]);
  const pause = useCallback(() => {
    if (state.status === 'running') emit(['pause', state.stepId]);
    else if (state.status === 'paused') emit(['resume', state.stepId]);
  }, [emit, state.status, state.stepId]);

  const marks = useMemo(() => marksOf(events), [events]);
  const [asked, setAsked] = useState<{ readonly kind: MarkKind; readonly stepId: string } | null>(null);
  const mark = useCallback(
    (kind: MarkKind): readonly TableStep[] => {
      const here = steps[index];
      if (!here || (state.status !== 'running' && state.status !== 'paused')) return [];
      if (kind !== 'pain' && kind !== 'declined') {
        // Kept at once, whatever is said of the side afterwards.
        emit(['mark', here.id, { mark: kind }]);
        if (asksForSide(kind, here)) setAsked({ kind, stepId: here.id });
        return [];
      }
      const leave = kind === 'pain' ? withoutTechnique : withoutWork;
      const { change, out } = leave(steps, index, state.change);
      const next = steps.slice(index + 1).find((step) => !out.includes(step));
      const resume = state.status === 'paused' ? ([['resume', here.id]] as const) : [];
      emit(
        ...resume,
        ['mark', here.id, { mark: kind }],
        ['refit', here.id, { change }],
        ['skip', here.id],
        next ? ['start', next.id] : ['finish', null],
      );
      return [here, ...out];
    },
    [emit, index, state.change, state.status, steps],
  );
  const here = state.status === 'running' || state.status === 'paused' ? steps[index] : undefined;
  const again = askedBefore(here, marks);
  const answerSide = useCallback(
    (side: MarkSide) => {
      if (asked) emit(['mark', asked.stepId, { mark: asked.kind, side }]);
      setAsked(null);
    },
    [asked, emit],
  );
  useEffect(() => {
    if (!asked) return;
    const timer = setTimeout(() => setAsked(null), sideMs);
    return () => clearTimeout(timer);
  }, [asked]);
  /** Both halves of what is worked, while they are looked at. */
  const [looking, setLooking] = useState<Comparison & { readonly stepId: string }>();
  const comparison = useMemo(() => here && comparisonOf(anatomy, here), [here]);
  const compare =
    here && comparison ? () => setLooking((old) => (old ? undefined : { ...comparison, stepId: here.id })) : undefined;
  const seen = useCallback(
    (side: MarkSide) => {
      // The clock may have gone on meanwhile: what is seen belongs to the step at which it was looked.
      if (looking) emit(['mark', looking.stepId, { mark: side === 'both' ? 'alike' : looking.asks, side }]);
      setLooking(undefined);
    },
    [emit, looking],
  );
  const dropped = useMemo(() => droppedOf(events), [events]);
  /** One more drop fell in this step, or one was pressed too many; each press says all of the step. */
  const drop = useCallback(
    (by: 1 | -1) => {
      const wanted = here?.told?.dropped;
      if (!here || !wanted) return;
      const fell = dropped.find(({ stepId }) => stepId === here.id)?.drops ?? 0;
      const drops = Math.min(mostDrops, Math.max(0, fell + by));
      if (drops !== fell) emit(['drops', here.id, { oil: wanted.oil, drops }]);
    },
    [dropped, emit, here],
  );
  /** Half as long again at a tight place. */
  const stay = useCallback(() => {
    const here = steps[index];
    const usual = planned.find(({ id }) => id === here?.id)?.repetitions ?? 1;
    if (here && state.status === 'running') emit(['refit', here.id, { change: longerStay(here, usual, state.change) }]);
  }, [emit, index, planned, state.change, state.status, steps]);

  const clocks = clocksAt(state, nowMs);
  const plannedSeconds = useMemo(() => planned.reduce((sum, step) => sum + spanOf(step), 0), [planned]);
  const looked = (ms: number) => Math.floor(ms / lookMs) * (lookMs / 1000);
  const seconds = looked(clocks.visitMs);
  const stepSeconds = looked(clocks.stepMs);
  /** What may be done about a drift; looked at a few times a minute. */
  const ways = useCatchUp(
    planned,
    state.status === 'running' && index >= 0
      ? { index, stepSeconds, visitSeconds: seconds, availableSeconds, plannedSeconds }
      : null,
    state.change,
  );
  const isChanged = state.change !== noChange && JSON.stringify(state.change) !== JSON.stringify(noChange);
  const refit = useCallback(
    (change: TableChange) => {
      if (state.status === 'running') emit(['refit', state.stepId, { change }]);
    },
    [emit, state.status, state.stepId],
  );

  const overSeconds = isChanged
    ? overrunSeconds(
        steps,
        { index, stepSeconds: clocks.stepMs / 1000, visitSeconds: clocks.visitMs / 1000, availableSeconds },
        noChange,
      )
    : undefined;
  return {
    ...{ state, steps, overSeconds, index, keeping, goOn, goBack, pause, ways, refit, isChanged },
    ...{ dropped, drop: here?.told?.dropped ? drop : undefined },
    ...{ looking, compare, seen, lookAway: () => setLooking(undefined) },
    ...{ marks, mark, asked, again, answerSide, stay, role, takeOver, storeKind },
    ...clocks,
  };
}
