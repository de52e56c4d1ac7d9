import { useCallback, useRef, useState } from 'react';
import type { ObservationKind, ObservationValue } from '../../contracts/measures';
import type { FlagView, MeasureView, ObservationView } from '../../contracts/measure-views';
import type { Answer, BodyOf } from '../../contracts/routes/asking';
import { send } from '../api';
import type { Comparison } from '../saving/SaveLine';
import { sending, type Sending } from '../saving/sending';
import { useSaving } from '../saving/use-saving';
import { observedWords } from './observed-words';

type Of<K extends ObservationKind> = Extract<ObservationView, { kind: K }>;
type Saved = Answer<'POST /api/visits/{id}/observations'> | Answer<'DELETE /api/visits/{id}/observations/{key}'>;
/** A taking back shows nothing. */
type Shown = ObservationView | null;
type Body = BodyOf<'POST /api/visits/{id}/observations'>;

const slotOf = (one: Pick<ObservationView, 'kind' | 'place' | 'phase'>) =>
  `${one.kind} ${one.place ?? ''} ${one.phase}`;

/** What is felt, seen and said in this visit: shown at once, a new value in the place of the old one. */
export function useObservations(
  view: MeasureView,
  phase: 'before' | 'after',
  onFlags: (flags: readonly FlagView[]) => void,
) {
  const visitId = view.visit.id;
  const [list, setList] = useState(view.observations);
  const latest = useRef(list);
  const made = useRef(0);
  /** What is on record: a correction names what it replaces. */
  const stored = useRef(new Map(view.observations.map((one) => [slotOf(one), one.key])));

  const set = (next: readonly ObservationView[]) => {
    latest.current = next;
    setList(next);
  };
  const put = (one: ObservationView, slot: string) =>
    set([...latest.current.filter((other) => other.key !== one.key && slotOf(other) !== slot), one]);

  const saving = useSaving<Shown, Saved>(`visit ${visitId} observations`, {
    onSaved: ([draft], answer) => {
      if (!('observation' in answer) || !draft) return;
      const { key } = answer.observation;
      const { slot } = draft;
      stored.current.set(slot, key);
      // What corrects it, or takes it away, and waits behind it learns its number.
      saving.queue.rewrite((body, { slot: of }) => (of === slot ? withKey(body, key) : body));
      const was = draft.body.shown?.key;
      set(latest.current.map((one) => (one.key === was || slotOf(one) === slot ? { ...one, key } : one)));
      onFlags(answer.flags);
    },
    onLeft: (drafts) => {
      for (const { body, slot } of drafts) if (body.shown) put(body.shown, slot);
    },
  });
  const { queue } = saving;

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
      const slot = isOneMore ? `${kind} ${crypto.randomUUID()}` : slotOf({ kind, place, phase });
      const replaces = stored.current.get(slot) ?? null;
      const shown = {
        ...{ key: replaces ?? -(made.current += 1), kind, place, phase, value },
        ...{ takenAt: new Date().toISOString(), visitId, by: null },
      } as ObservationView;
      set([...latest.current.filter((one) => isOneMore || slotOf(one) !== slot), shown]);
      const body = { kind, place, phase, value, replaces } as Body;
      queue.add(slot, { ...sending('POST /api/visits/{id}/observations', { id: visitId }, body), shown });
    },
    [phase, queue, visitId],
  );

  const remove = useCallback(
    (key: number) => {
      const one = latest.current.find((other) => other.key === key);
      const slot = [...stored.current].find(([, kept]) => kept === key)?.[0] ?? (one ? slotOf(one) : '');
      stored.current.delete(slot);
      set(latest.current.filter((other) => other.key !== key));
      const taken = sending('DELETE /api/visits/{id}/observations/{key}', { id: visitId, key });
      queue.addOneMore(slot, { ...taken, shown: null });
    },
    [queue, visitId],
  );

  const compare: Comparison<Shown> = {
    mine: ({ shown }) => (shown ? factsOf([shown]) : {}),
    theirs: async () => {
      const now = await send('GET /api/visits/{id}/measure', { params: { id: visitId } });
      const slot = queue.status().conflict?.draft.slot;
      const same = now.observations.filter((one) => slotOf(one) === slot);
      return {
        ...{ version: 0, facts: factsOf(same) },
        beforeKeeping: () => {
          const key = same.at(-1)?.key ?? null;
          queue.rewrite((body, draft) => (draft.slot === slot ? withKey(body, key) : body));
        },
        take: () => {
          stored.current = new Map(now.observations.map((one) => [slotOf(one), one.key]));
          set(now.observations);
        },
      };
    },
  };

  return { list, today, lastTime, first, save, remove, saving, compare };
}

export type Observations = ReturnType<typeof useObservations>;

/** The same request for what has this number now. */
function withKey(of: Sending<Shown>, key: number | null): Sending<Shown> {
  if (of.address === 'POST /api/visits/{id}/observations')
    return { ...of, body: { ...(of.body as object), replaces: key } };
  return key === null ? of : { ...of, params: { ...of.params, key } };
}

const factsOf = (list: readonly ObservationView[]): Readonly<Record<string, string>> =>
  Object.fromEntries(list.map((one) => [[one.kind, one.place].filter(Boolean).join(', '), observedWords(one)]));
