import { availableParallelism } from 'node:os';
import process from 'node:process';
import { Piscina } from 'piscina';
import type { Problem } from '../../contracts/problem';
import { programBeside } from '../shared/program-beside';
import { answerQuestion, type Answered, type Asked } from './answer-question';
import { computingAnswers } from './compute.answers';

/** A question may take so long, waiting included (ms); what takes longer is ended and its thread replaced. */
const longestMs = Number(process.env['VELVET_STONE_COMPUTE_MS'] ?? 8000);
/** Questions that wait for a thread; more are asked to come again. */
const mostWaiting = 64;
const mostMemoryMb = 256;

/** The house goes on while something is computed: one processor stays with it. */
const threads = Math.max(1, availableParallelism() - 1);

const built = programBeside('compute');

let pool: Piscina<Asked, Answered> | undefined;

/**
 * Answers a question in a thread of its own, so that nobody waits for it but who has asked.
 * @param signal ends the work when whoever asked has gone
 * @returns 503 problems while too many are waiting, and for what takes too long
 */
export async function compute(asked: Asked, signal: AbortSignal): Promise<Answered> {
  // Without a build, in tests and while developing, there is no worker yet.
  if (built === undefined) return answerQuestion(asked);
  pool ??= new Piscina<Asked, Answered>({
    filename: built,
    ...{ minThreads: 1, maxThreads: threads, maxQueue: mostWaiting, concurrentTasksPerWorker: 1 },
    resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
  });
  try {
    return await pool.run(asked, { signal: AbortSignal.any([signal, AbortSignal.timeout(longestMs)]) });
  } catch (error) {
    if (isEnded(error)) {
      // Whoever has gone away is answered by nobody; what was cut off has cost all the time that it had.
      const isTooLong = !signal.aborted;
      return {
        ...busy(computingAnswers.thisTakesLongerThanTheHouse, computingAnswers.askForLessAtOnce),
        tookMs: isTooLong ? longestMs : 0,
      };
    }
    if (isCrowded(error))
      return busy(computingAnswers.tooMuchIsBeingComputedAt, computingAnswers.nothingWasLostAskAgain);
    throw error;
  }
}

const isEnded = (error: unknown) =>
  error instanceof Error &&
  (error.name === 'AbortError' || ('code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY'));

const isCrowded = (error: unknown) => error instanceof Error && error.message.includes('queue is at limit');

const retrySeconds = 2;

const busy = (title: string, detail: string): Answered => ({
  ...{ kind: 'problem', status: 503, tookMs: 0, retrySeconds },
  text: JSON.stringify({ type: '/problems/busy', title, status: 503, detail } satisfies Problem),
});
