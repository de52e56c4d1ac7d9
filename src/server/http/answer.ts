import type { SaveRefusal } from '../shared/saving';
import { conflict, invalidFields, notFound } from './problem';
import { httpAnswers } from './http.answers';

/** The problem that a refusal is; undefined for everything that is none. */
export function problemOf(reply: unknown, what: string): Response | undefined {
  if (!isRefusal(reply)) return undefined;
  switch (reply.kind) {
    case 'not-found':
      return notFound(what);
    case 'edited-elsewhere':
      return conflict(httpAnswers.thisWasSavedInAnotherWindow(what));
    case 'refused':
      return invalidFields(reply.errors);
  }
}

const kinds: ReadonlySet<unknown> = new Set<SaveRefusal['kind']>(['not-found', 'edited-elsewhere', 'refused']);
const isRefusal = (reply: unknown): reply is SaveRefusal =>
  typeof reply === 'object' && reply !== null && 'kind' in reply && kinds.has(reply.kind);
