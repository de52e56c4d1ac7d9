import { useCallback, useRef, useState } from 'react';
import type { ObservationKind, ObservationValue } from '../../contracts/measures';
import type { FlagView, MeasureView, ObservationView } from '../../contracts/measure-views';
import { RequestError, send, sentenceOf } from '../api';

type Of<K extends ObservationKind> = Extract<ObservationView, { kind: K }>;

/** What is felt, seen and said in this visit: stored at once, a new value in the place of the old one. */
export function useObservations(
  view: MeasureView,
  phase: 'before' | 'after',
  onFlags: (flags: readonly FlagView[]) => void,
) {
  const [list, setList] = useState(view.observations);
  const [status, setStatus] = useState('every answer is kept as you give it');
  const [error, setError] = useState<{ readonly kind: ObservationKind; readonly error: RequestError }>();
  const latest = useRef(list);
  const queue = useRef<Promise<unknown>>(Promise.resolve());

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

  const save = useCallback(
    <K extends ObservationKind>(kind: K, place: string | null, value: ObservationValue<K>, isOneMore = false) => {
      setStatus('keeping …');
      queue.current = queue.current.then(async () => {
        const old = isOneMore
          ? undefined
          : latest.current.findLast((one) => one.kind === kind && one.place === place && one.phase === phase);
        try {
          const answer = await send<{ observation: ObservationView; flags: readonly FlagView[] }>(
            'POST',
            `/api/visits/${view.visit.id}/observations`,
            { kind, place, phase, value, replaces: old?.key ?? null },
          );
          set([...latest.current.filter((one) => one.key !== old?.key), answer.observation]);
          onFlags(answer.flags);
          setStatus('every answer is kept as you give it');
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
        await send('DELETE', `/api/visits/${view.visit.id}/observations/${key}`);
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
