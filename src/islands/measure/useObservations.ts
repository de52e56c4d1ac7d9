import { measureWords } from './measure.words';
import { useCallback, useRef, useState } from 'react';
import type { ObservationKind, ObservationValue } from '../../contracts/measures';
import type { FlagView, MeasureView, ObservationView } from '../../contracts/measure-views';
import { RequestError, send, sentenceOf } from '../api';

type Of<K extends ObservationKind> = Extract<ObservationView, { kind: K }>;

const slotOf = (one: Pick<ObservationView, 'kind' | 'place' | 'phase'>) =>
  `${one.kind} ${one.place ?? ''} ${one.phase}`;

/** What is felt, seen and said in this visit: stored at once, a new value in the place of the old one. */
export function useObservations(
  view: MeasureView,
  phase: 'before' | 'after',
  onFlags: (flags: readonly FlagView[]) => void,
) {
  const [list, setList] = useState(view.observations);
  const [status, setStatus] = useState(measureWords.everyAnswerIsKeptAsYou);
  const [error, setError] = useState<{ readonly kind: ObservationKind; readonly error: RequestError }>();
  const latest = useRef(list);
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  /** What is on the server: a correction names what it replaces. */
  const stored = useRef(new Map(view.observations.map((one) => [slotOf(one), one.key])));
  const made = useRef(0);

  const set = (next: readonly ObservationView[]) => {
    latest.current = next;
    setList(next);
  };

  /** The value that stands for a kind and place in this phase. */
  const today = useCallback(
    <K extends ObservationKind>(kind: K, place: string | null = null): Of<K> | undefined =>
      list.findLast((one) => one.kind === kind && one.place === place && one.phase === phase) as Of<K> | undefined,
    [list, phase],
  );
  /** The same at the last visit that has it. */
  const lastTime = useCallback(
    <K extends ObservationKind>(kind: K, place: string | null = null): Of<K> | undefined =>
      view.lastObservations.findLast((one) => one.kind === kind && one.place === place) as Of<K> | undefined,
    [view.lastObservations],
  );

  /** The very first of a kind, where the course began. */
  const first = useCallback(
    <K extends ObservationKind>(kind: K, place: string | null = null): Of<K> | undefined =>
      view.firstObservations.find((one) => one.kind === kind && one.place === place) as Of<K> | undefined,
    [view.firstObservations],
  );

  /** Shows a value at once, so that the next one builds on it, and sends it after those that were given before. */
  const save = useCallback(
    <K extends ObservationKind>(kind: K, place: string | null, value: ObservationValue<K>, isOneMore = false) => {
      const slot = isOneMore ? `${kind} ${(made.current += 1)}` : slotOf({ kind, place, phase });
      const shown = {
        ...{ key: stored.current.get(slot) ?? -(made.current += 1), kind, place, phase, value },
        ...{ takenAt: new Date().toISOString(), visitId: view.visit.id, by: null },
      } as ObservationView;
      const isOfSlot = (one: ObservationView) => !isOneMore && slotOf(one) === slot;
      set([...latest.current.filter((one) => !isOfSlot(one)), shown]);
      setStatus(measureWords.saving);
      queue.current = queue.current.then(async () => {
        try {
          const answer = await send('POST /api/visits/{id}/observations', {
            params: { id: view.visit.id },
            body: { kind, place, phase, value, replaces: stored.current.get(slot) ?? null },
          });
          const { key } = answer.observation;
          stored.current.set(slot, key);
          set(latest.current.map((one) => (one === shown || isOfSlot(one) ? { ...one, key } : one)));
          onFlags(answer.flags);
          setStatus(measureWords.everyAnswerIsKeptAsYou);
          setError(undefined);
        } catch (caught) {
          setStatus(sentenceOf(caught));
          if (caught instanceof RequestError) setError({ kind, error: caught });
        }
      });
    },
    [onFlags, phase, view.visit.id],
  );

  const remove = useCallback(
    async (key: number) => {
      try {
        await queue.current;
        await send('DELETE /api/visits/{id}/observations/{key}', { params: { id: view.visit.id, key } });
        for (const [slot, kept] of stored.current) if (kept === key) stored.current.delete(slot);
        set(latest.current.filter((one) => one.key !== key));
      } catch (caught) {
        setStatus(sentenceOf(caught));
      }
    },
    [view.visit.id],
  );

  return { list, today, lastTime, first, save, remove, status, error };
}

export type Observations = ReturnType<typeof useObservations>;
