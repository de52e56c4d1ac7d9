import { computeRoutes as routes } from '../../contracts/routes/compute';
import { sessionCookie } from '../auth/sessions';
import { theHouse } from '../db/house';
import { type Asked, type Endpoint, endpoints } from '../http/endpoint';
import { addressOf } from '../http/origin';
import { problem } from '../http/problem';
import type { Route } from '../../contracts/routes/route';
import type { Question } from './answers';
import { FairShare } from './fair-share';
import { compute } from './pool';
import { sharerOf } from './sharer';
import { computingAnswers } from './compute.answers';

const share = new FairShare();

/** Has a question answered in a thread; who has used up their share waits. */
async function ask(question: Question, { body, context }: Pick<Asked<Route>, 'body' | 'context'>): Promise<unknown> {
  const token = context.cookies.get(sessionCookie)?.value;
  const sharer = await sharerOf({ token, address: addressOf(context), now: new Date() }, theHouse);
  const wait = share.waitSeconds(sharer, performance.now());
  if (wait > 0) {
    const response = problem({
      type: '/problems/too-fast',
      title: computingAnswers.aMinuteOfComputingIsUsed(wait),
      status: 429,
    });
    response.headers.set('retry-after', String(wait));
    return response;
  }
  const answered = await compute({ question, body }, context.request.signal);
  share.spend(sharer, answered.tookMs, performance.now());
  if (answered.kind === 'answer') return answered.answer;
  return new Response(answered.text, {
    status: answered.status,
    headers: {
      'content-type': 'application/problem+json',
      ...(answered.retrySeconds && { 'retry-after': String(answered.retrySeconds) }),
    },
  });
}

type Handlers = Parameters<typeof endpoints<typeof routes>>[1];

export const computeEndpoints: readonly Endpoint[] = endpoints(
  routes,
  // What the worker answers was typed where it is made (`answers.ts`); it comes back as plain data.
  Object.fromEntries(
    Object.keys(routes).map((question) => [question, (asked: Asked<Route>) => ask(question as Question, asked)]),
  ) as Record<string, unknown> as Handlers,
);
