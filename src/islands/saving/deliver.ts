import { RequestError } from '../api';
import type { Verdict } from './save-queue';

/** Answers that say: not now. */
const comeAgain: ReadonlySet<number> = new Set([0, 401, 408, 423, 429]);

/** Tells what became of a request by how it was answered. */
export async function deliver<Answer>(ask: () => Promise<Answer>): Promise<Verdict<Answer>> {
  try {
    return { kind: 'saved', answer: await ask() };
  } catch (error) {
    if (!(error instanceof RequestError)) throw error;
    const { status, problem, retryAfterMs } = error;
    if (comeAgain.has(status) || status >= 500)
      return { kind: 'unreachable', ...(retryAfterMs !== undefined && { afterMs: retryAfterMs }) };
    return { kind: status === 409 ? 'conflict' : 'refused', problem };
  }
}
