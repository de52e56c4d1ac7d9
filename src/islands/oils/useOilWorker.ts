import { type Remote, wrap } from 'comlink';
import { useEffect, useRef } from 'react';
import type { OilsApi } from '../../workers/oils.worker';

/** The worker that looks for blends; it is started when it is first asked, and ends with the view. */
export function useOilWorker(): () => Remote<OilsApi> {
  const worker = useRef<Worker>(undefined);
  const api = useRef<Remote<OilsApi>>(undefined);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = undefined;
      api.current = undefined;
    },
    [],
  );
  return () => {
    worker.current ??= new Worker(new URL('../../workers/oils.worker.ts', import.meta.url), { type: 'module' });
    api.current ??= wrap<OilsApi>(worker.current);
    return api.current;
  };
}
