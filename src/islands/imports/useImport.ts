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
      send<{ import: ImportView }>('GET', `/api/imports/${job.id}`)
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
        const where = new URLSearchParams({ plan: JSON.stringify(plan) });
        setSent(0);
        return (await upload<{ import: ImportView }>(`/api/imports?${where}`, file, setSent, abort.signal)).import;
      }),
    store: (leaveOutTroubled: boolean) =>
      attempt(async () => {
        if (!job) return undefined;
        return (await send<{ import: ImportView }>('POST', `/api/imports/${job.id}`, { leaveOutTroubled })).import;
      }),
    cancel: async () => {
      stop.current?.abort();
      if (!job) return;
      await send('DELETE', `/api/imports/${job.id}`).catch(() => undefined);
      const last = await send<{ import: ImportView }>('GET', `/api/imports/${job.id}`).catch(() => undefined);
      setJob(last?.import);
    },
    forget: () => setJob(undefined),
  };
}
