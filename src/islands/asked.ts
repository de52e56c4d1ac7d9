import { useEffect, useMemo, useRef, useState } from 'react';
import { sentenceOf } from './api';

/** Something that a view asks the server for once it stands. */
export interface Asked<T> {
  readonly state: 'waiting' | 'answered' | 'failed' | 'stopped';
  readonly answer: T | undefined;
  /** What went wrong, in a sentence. */
  readonly trouble: string;
  readonly stop: () => void;
  readonly again: () => void;
}

type Outcome<T> = Pick<Asked<T>, 'state' | 'answer' | 'trouble'>;

const waiting = { state: 'waiting', answer: undefined, trouble: '' } as const;

/**
 * Asks as soon as the view stands, and anew when `ask` is another one; an answer that nobody waits for any more is let go.
 * @param ask the same function until something else is asked; gives up when the signal says so
 */
export function useAsked<T>(ask: (signal: AbortSignal) => Promise<T>): Asked<T> {
  const [turn, setTurn] = useState(0);
  const [settled, setSettled] = useState<{ readonly of: object; readonly outcome: Outcome<T> }>();
  const question = useMemo(() => ({ ask, turn }), [ask, turn]);
  const controller = useRef<AbortController>(undefined);
  useEffect(() => {
    const own = new AbortController();
    controller.current = own;
    let isWanted = true;
    const settle = (outcome: Outcome<T>) => isWanted && setSettled({ of: question, outcome });
    question.ask(own.signal).then(
      (answer) => settle({ state: 'answered', answer, trouble: '' }),
      (error: unknown) =>
        settle(
          own.signal.aborted
            ? { ...waiting, state: 'stopped' }
            : { state: 'failed', answer: undefined, trouble: sentenceOf(error) },
        ),
    );
    return () => {
      isWanted = false;
      own.abort();
    };
  }, [question]);
  const outcome = settled?.of === question ? settled.outcome : waiting;
  return { ...outcome, stop: () => controller.current?.abort(), again: () => setTurn((last) => last + 1) };
}
