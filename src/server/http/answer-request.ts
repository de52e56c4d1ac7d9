import type { APIContext } from 'astro';
import { endpointOf } from '../endpoints';
import { serve } from './endpoint';
import { otherMethods, problem } from './problem';
import { httpAnswers } from './http.answers';

/** Finds the endpoint that a request asks for and has it answer. */
export async function answerRequest(context: APIContext): Promise<Response> {
  const found = context.locals.asked;
  if (found.kind === 'other-methods') return otherMethods(found.allowed);
  const endpoint = found.kind === 'route' ? endpointOf.get(found.route) : undefined;
  if (!endpoint || found.kind !== 'route')
    return problem({ type: '/problems/unknown', title: httpAnswers.thereIsNothingAtThisAddress, status: 404 });
  return serve(endpoint, found.params, context);
}
