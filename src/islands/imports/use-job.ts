import { useEffect, useRef, useState } from 'react';
import { sentenceOf } from '../api';

const askEveryMs = 250;
const underWay: readonly string[] = ['reading', 'storing', 'undoing'];

interface JobView {
  readonly id: string;
  readonly state: string;
}

interface Ways<V> {
  readonly read: (id: string) => Promise<V>;
  readonly cancel: (id: string) => Promise<unknown>;
}

/** Long work of the server, watched from here: begun, followed, ended or stopped. */
export function useJob<V extends JobView>(ways: Ways<V>) {
  const [job, setJob] = useState<V>();
  const [sent, setSent] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const stop = useRef<AbortController>(undefined);
  const newest = useRef(ways);
  useEffect(() => {
    newest.current = ways;
  });

  useEffect(() => {
    if (!job || !underWay.includes(job.state)) return;
    const timer = setTimeout(() => {
      newest.current
        .read(job.id)
        .then(setJob)
        .catch((error: unknown) => setTrouble(sentenceOf(error)));
    }, askEveryMs);
    return () => clearTimeout(timer);
  }, [job]);

  /** Does one step of it; what goes wrong is told, and the job stays as it was. */
  const attempt = async (work: (signal: AbortSignal) => Promise<V>) => {
    setTrouble(undefined);
    const abort = new AbortController();
    stop.current = abort;
    try {
      setJob(await work(abort.signal));
    } catch (error) {
      setTrouble(sentenceOf(error));
    } finally {
      setSent(undefined);
    }
  };
  return {
    job,
    /** Share of the file that has been sent; undefined when none is under way. */
    sent,
    setSent,
    isBusy: sent !== undefined || underWay.includes(job?.state ?? ''),
    trouble,
    attempt,
    cancel: async () => {
      stop.current?.abort();
      if (!job) return;
      await ways.cancel(job.id).catch(() => undefined);
      setJob(await ways.read(job.id).catch(() => undefined));
    },
    forget: () => setJob(undefined),
  };
}
