import { closeWords } from './close.words';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { VisitView } from '../../contracts/visit-views';
import { RequestError, send, sentenceOf } from '../api';
import { type Answers, answersFrom, changedBy } from './answers';

const typingMs = 600;
const typed: readonly (keyof Answers)[] = ['note', 'noteDoc', 'oilMl', 'stonesUsed'];

/** The answers of the end, stored one after the other as they are given; what is typed, when typing rests. */
export function useClosing(visit: VisitView, say: (words: string, tone?: 'error') => void) {
  const [answers, setAnswers] = useState<Answers>(() => answersFrom(visit.closing));
  const [status, setStatus] = useState('');
  const [noteError, setNoteError] = useState<string>();
  const [version, setVersion] = useState(visit.closing?.version ?? 0);
  const basedOn = useRef(visit.closing?.version ?? 0);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const pending = useRef(0);
  const latest = useRef(answers);
  const isDirty = useRef(false);
  const delayed = useRef<ReturnType<typeof setTimeout>>(undefined);

  const store = useCallback(
    (next: Answers) => {
      setStatus(closeWords.saving);
      isDirty.current = false;
      pending.current += 1;
      queue.current = queue.current.then(async () => {
        try {
          await send('POST /api/visits/{id}/closing', {
            params: { id: visit.id },
            body: {
              ...next,
              basedOn: basedOn.current,
            },
          });
          basedOn.current += 1;
          setVersion(basedOn.current);
          pending.current -= 1;
          if (pending.current === 0) setStatus(closeWords.saved);
          setNoteError(undefined);
        } catch (error) {
          pending.current -= 1;
          setStatus(closeWords.notStoredYet);
          isDirty.current = true;
          const atNote = error instanceof RequestError ? error.fieldError('note') : undefined;
          setNoteError(atNote);
          if (!atNote) say(sentenceOf(error), 'error');
        }
      });
    },
    [say, visit.id],
  );
  useEffect(() => () => clearTimeout(delayed.current), []);

  const answer = useCallback(
    (change: Partial<Answers>) => {
      const next = changedBy(latest.current, change);
      latest.current = next;
      setAnswers(next);
      isDirty.current = true;
      clearTimeout(delayed.current);
      const isTyped = Object.keys(change).every((key) => typed.includes(key as keyof Answers));
      if (isTyped) delayed.current = setTimeout(() => store(next), typingMs);
      else store(next);
    },
    [store],
  );

  /** Waits until all that was answered is stored. */
  const settle = useCallback(async () => {
    clearTimeout(delayed.current);
    if (isDirty.current || basedOn.current === 0) store(latest.current);
    await queue.current;
  }, [store]);

  return { answers, answer, status, noteError, settle, version };
}
