import { useEffect, useRef, useState } from 'react';
import type { ImportPlan, ImportView } from '../../contracts/imports';
import { send, sentenceOf } from '../api';
import { upload } from '../upload';

const askEveryMs = 250;
const isUnderWay = (state: ImportView['state'] | undefined) => state === 'reading' || state === 'storing';

/** An import as the server sees it: started, watched, stored or stopped. */
export function useImport() {
  const [job, setJob] = useState<ImportView>();
  const [sent, setSent] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const stop = useRef<AbortController>(undefined);

  useEffect(() => {
    if (!job || !isUnderWay(job.state)) return;
    const timer = setTimeout(() => {
      send('GET /api/imports/{job}', { params: { job: job.id } })
        .then((answer) => setJob(answer.import))
        .catch((error: unknown) => setTrouble(sentenceOf(error)));
    }, askEveryMs);
    return () => clearTimeout(timer);
  }, [job]);

  const attempt = async (work: () => Promise<ImportView | undefined>) => {
    setTrouble(undefined);
    try {
      setJob(await work());
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
    trouble,
    check: (file: Blob, plan: ImportPlan) =>
      attempt(async () => {
        const abort = new AbortController();
        stop.current = abort;
        const to = { query: { plan: JSON.stringify(plan) } };
        setSent(0);
        return (await upload('POST /api/imports', to, file, setSent, abort.signal)).import;
      }),
    store: (leaveOutTroubled: boolean) =>
      attempt(async () => {
        if (!job) return undefined;
        return (await send('POST /api/imports/{job}', { params: { job: job.id }, body: { leaveOutTroubled } })).import;
      }),
    cancel: async () => {
      stop.current?.abort();
      if (!job) return;
      await send('DELETE /api/imports/{job}', { params: { job: job.id } }).catch(() => undefined);
      const last = await send('GET /api/imports/{job}', { params: { job: job.id } }).catch(() => undefined);
      setJob(last?.import);
    },
    forget: () => setJob(undefined),
  };
}
