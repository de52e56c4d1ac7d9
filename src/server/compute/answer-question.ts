import { computeAnswers, type Question } from './answers';

export interface Asked {
  readonly question: Question;
  /** Has been read against the contract of the question. */
  readonly body: unknown;
}

/** An answer, or a problem with its status, as plain data that goes from thread to thread. */
export type Answered = (
  | { readonly kind: 'answer'; readonly answer: unknown }
  | { readonly kind: 'problem'; readonly status: number; readonly text: string; readonly retrySeconds?: number }
) & {
  /** How long the computing itself has taken, without waiting for a thread (ms). */
  readonly tookMs: number;
};

/** Errors: whatever the core throws for what a contract should have refused. */
export async function answerQuestion({ question, body }: Asked): Promise<Answered> {
  const begun = performance.now();
  const tookMs = () => performance.now() - begun;
  const answer = computeAnswers[question] as (asked: { readonly body: unknown }) => unknown;
  try {
    const reply = answer({ body });
    return reply instanceof Response
      ? await problemOf(reply, tookMs())
      : { kind: 'answer', answer: reply, tookMs: tookMs() };
  } catch (thrown) {
    if (thrown instanceof Response) return problemOf(thrown, tookMs());
    throw thrown;
  }
}

const problemOf = async (response: Response, tookMs: number): Promise<Answered> => ({
  kind: 'problem',
  tookMs,
  status: response.status,
  text: await response.text(),
});
