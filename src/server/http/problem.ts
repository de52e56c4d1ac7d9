import type { z } from 'zod';
import type { Problem } from '../../contracts/problem';
import type { FieldError } from '../../core/result';
import { httpAnswers } from './http.answers';

/** Problem details (RFC 9457); `type` is a page of ours. */
export function problem(body: Problem): Response {
  return new Response(JSON.stringify(body), {
    status: body.status,
    headers: { 'content-type': 'application/problem+json' },
  });
}

export function invalidFields(errors: readonly FieldError[]): Response {
  return problem({
    type: '/problems/invalid-input',
    title: httpAnswers.someFieldsNeedAttention,
    status: 400,
    errors: [...errors],
  });
}

export function invalidInput(error: z.ZodError): Response {
  return invalidFields(error.issues.map(({ path, message }) => ({ path: path.join('.'), message })));
}

export function notFound(what: string): Response {
  return problem({ type: '/problems/not-found', title: httpAnswers.thereIsNoSuch(what), status: 404 });
}

export function conflict(detail: string): Response {
  return problem({
    type: '/problems/edited-elsewhere',
    title: httpAnswers.someoneElseSavedInTheMeantime,
    status: 409,
    detail,
  });
}

/** Every field can be read, but together they ask for what is not possible. */
export function unfeasible(errors: readonly FieldError[]): Response {
  return problem({
    type: '/problems/not-possible',
    title: httpAnswers.thatIsNotPossibleAsIt,
    status: 422,
    errors: [...errors],
  });
}

/** Nothing of a request was stored; the devices keep what they have until there is room again. */
export function diskFull(): Response {
  return problem({
    type: '/problems/disk-full',
    title: httpAnswers.theDiskOfTheHousesComputer,
    status: 507,
  });
}

/** The address is there, but not for this method. */
export function otherMethods(allowed: readonly string[]): Response {
  const response = problem({
    type: '/problems/other-methods',
    title: httpAnswers.thisAddressDoesNotTakeThat,
    status: 405,
    detail: httpAnswers.itTakes(allowed.join(', ')),
  });
  response.headers.set('allow', allowed.join(', '));
  return response;
}
