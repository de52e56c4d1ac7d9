import type { BenchAnswer, BenchCase, StonesApi } from '../../workers/stones.worker';
import { keptWorker, useWorkerAnswer } from '../worker-answer';

const worker = keptWorker<StonesApi>(
  () => new Worker(new URL('../../workers/stones.worker.ts', import.meta.url), { type: 'module' }),
);
const answerFor = (input: BenchCase): Promise<BenchAnswer> => worker().answerFor(input);

/** What the worker makes of a stone on a client; undefined until it is worked out, or while nothing is asked. */
export const useStoneAnswer = (input: BenchCase | undefined): BenchAnswer | undefined =>
  useWorkerAnswer(answerFor, input);
