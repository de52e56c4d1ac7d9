import type { APIContext } from 'astro';
import { endpointOf } from '../endpoints';
import { serve } from './endpoint';
import { problem } from './problem';

/** Finds the endpoint that a request asks for and has it answer. */
export async function answerRequest(context: APIContext): Promise<Response> {
  const found = context.locals.asked;
  if (found.kind === 'other-methods') {
    const response = problem({ type: '/problems/forbidden', title: 'This address takes other methods', status: 405 });
    response.headers.set('allow', found.allowed.join(', '));
    return response;
  }
  const endpoint = found.kind === 'route' ? endpointOf.get(found.route) : undefined;
  if (!endpoint || found.kind !== 'route')
    return problem({ type: '/problems/unknown', title: 'There is no such thing', status: 404 });
  return serve(endpoint, found.params, context);
}
