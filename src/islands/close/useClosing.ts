import { useCallback, useRef, useState } from 'react';
import type { Answer } from '../../contracts/routes/asking';
import type { VisitAtWork } from '../../contracts/visit-views';
import { send } from '../api';
import type { Comparison } from '../saving/SaveLine';
import { versioned } from '../saving/sending';
import { useSaving } from '../saving/use-saving';
import { type Answers, answersFrom, changedBy } from './answers';
import { factsOf } from './closing-facts';

const typingMs = 600;
const typed: readonly (keyof Answers)[] = ['note', 'noteDoc', 'oilMl', 'stonesUsed'];

/** The answers of the end: kept as they are given, sent one after the other; what is typed, when typing rests. */
export function useClosing(visit: VisitAtWork) {
  const params = { id: visit.id };
  const [answers, setAnswers] = useState<Answers>(() => answersFrom(visit.closing));
  const latest = useRef(answers);
  const show = (next: Answers) => {
    latest.current = next;
    setAnswers(next);
  };
  const saving = useSaving<Answers, Answer<'POST /api/visits/{id}/closing'>>(`visit ${visit.id} closing`, {
    version: visit.closing?.version ?? 0,
    versionOf: ({ closing }) => closing.version,
    onLeft: (drafts) => {
      const left = drafts.at(-1)?.body.shown;
      if (left) show(left);
    },
    recognise: async ({ body }) => {
      const { closing } = await send('GET /api/visits/{id}', { params });
      return closing && JSON.stringify(answersFrom(closing)) === JSON.stringify(body.shown)
        ? { kind: 'saved', closing }
        : undefined;
    },
  });
  const { queue, status } = saving;
  const store = useCallback(
    (next: Answers, restMs = 0) =>
      queue.add('closing', versioned('POST /api/visits/{id}/closing', { id: visit.id }, next, next), restMs),
    [queue, visit.id],
  );

  const answer = useCallback(
    (change: Partial<Answers>) => {
      const next = changedBy(latest.current, change);
      latest.current = next;
      setAnswers(next);
      const isTyped = Object.keys(change).every((key) => typed.includes(key as keyof Answers));
      store(next, isTyped ? typingMs : 0);
    },
    [store],
  );

  /** Waits until all that was answered is stored; a visit that ends with nothing said has that on record, too. */
  const settle = useCallback(async (): Promise<boolean> => {
    if (queue.version() === 0 && queue.status().open === 0) store(latest.current);
    return queue.settle();
  }, [queue, store]);

  const compare: Comparison<Answers> = {
    mine: ({ shown }) => factsOf(shown ?? latest.current),
    theirs: async () => {
      const { closing } = await send('GET /api/visits/{id}', { params });
      const theirs = answersFrom(closing);
      return { version: closing?.version ?? 0, facts: factsOf(theirs), take: () => show(theirs) };
    },
  };
  const noteError = status.refused
    .flatMap(({ problem }) => problem.errors ?? [])
    .find(({ path }) => path === 'note' || path.startsWith('noteDoc'))?.message;

  return { answers, answer, saving, compare, noteError, settle, version: queue.version() };
}
