import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { BenchAnswer, BenchCase, StonesApi } from '../../workers/stones.worker';

/** What the worker makes of a case; the last answer stays until the next one is there, and only the newest counts. */
export function useStoneAnswer(input: BenchCase): BenchAnswer | undefined {
  const api = useRef<Remote<StonesApi>>(undefined);
  const [answer, setAnswer] = useState<BenchAnswer>();
  const newest = useRef(0);
  const key = JSON.stringify(input);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/stones.worker.ts', import.meta.url), { type: 'module' });
    api.current = wrap<StonesApi>(worker);
    return () => {
      worker.terminate();
      api.current = undefined;
    };
  }, []);
  useEffect(() => {
    const turn = (newest.current += 1);
    void api.current?.answerFor(JSON.parse(key) as BenchCase).then((made) => {
      if (turn === newest.current) setAnswer(made);
    });
  }, [key]);
  return answer;
}
