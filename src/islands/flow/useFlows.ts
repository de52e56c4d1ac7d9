import type { Flow } from '../../core/flow/flow';
import type { FlowApi, FlowAsked } from '../../workers/flow.worker';
import { keptWorker, useWorkerAnswer } from '../worker-answer';

const worker = keptWorker<FlowApi>(
  () => new Worker(new URL('../../workers/flow.worker.ts', import.meta.url), { type: 'module' }),
);

/** Starts the worker before it is asked, and has it follow something: the first course takes many times as long as the next. */
export const warmFlow = (): void => void worker().warm();

export type Flows = Readonly<Record<string, Flow>>;

const follow = async (asked: FlowAsked): Promise<Flows | 'unreadable'> =>
  (await worker().follow(asked)) ?? 'unreadable';

/** The courses of a case followed in a worker; undefined until they are here, `unreadable` for a case that is none. */
export const useFlows = (asked: FlowAsked | undefined): Flows | 'unreadable' | undefined =>
  useWorkerAnswer(follow, asked);
