import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';

/** A worker of the page: started when it is first asked, or when told that it will be, and kept as long as the page. */
export function keptWorker<Api extends object>(start: () => Worker): () => Remote<Api> {
  let api: Remote<Api> | undefined;
  return () => (api ??= wrap<Api>(start()));
}

/**
 * What a worker makes of a question; the last answer stays until the next one is there, and only the newest counts.
 * @param ask stays the same function for as long as the view stands
 * @param question undefined: nothing to ask yet
 */
export function useWorkerAnswer<Question, Answer>(
  ask: (question: Question) => Promise<Answer>,
  question: Question | undefined,
): Answer | undefined {
  const [answer, setAnswer] = useState<Answer>();
  const newest = useRef(0);
  const key = question === undefined ? undefined : JSON.stringify(question);
  useEffect(() => {
    if (key === undefined) return;
    const turn = (newest.current += 1);
    void ask(JSON.parse(key) as Question).then((made) => {
      if (turn === newest.current) setAnswer(() => made);
    });
    return () => {
      newest.current += 1;
    };
  }, [ask, key]);
  return answer;
}
