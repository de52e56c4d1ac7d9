import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Flow } from '../../core/flow/flow';
import type { FlowApi, FlowAsked } from '../../workers/flow.worker';

/** The courses of a case followed in a worker; undefined until they are here, `unreadable` for a case that is none. */
export function useFlows(asked: FlowAsked): Readonly<Record<string, Flow>> | 'unreadable' | undefined {
  const [flows, setFlows] = useState<Readonly<Record<string, Flow>> | 'unreadable'>();
  const key = JSON.stringify(asked);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/flow.worker.ts', import.meta.url), { type: 'module' });
    void wrap<FlowApi>(worker)
      .follow(JSON.parse(key) as FlowAsked)
      .then((found) => setFlows(found ?? 'unreadable'));
    return () => worker.terminate();
  }, [key]);
  return flows;
}
