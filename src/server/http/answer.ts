import type { SaveRefusal } from '../shared/saving';
import { conflict, invalidFields, notFound } from './problem';

/** A saved result as it is, a refusal as the problem that it is. */
export function answer(result: { readonly kind: 'saved' } | SaveRefusal, what: string): Response {
  switch (result.kind) {
    case 'saved':
      return Response.json(result);
    case 'not-found':
      return notFound(what);
    case 'edited-elsewhere':
      return conflict(`This ${what} was saved in another window. Yours is kept here; load the other one to compare.`);
    case 'refused':
      return invalidFields(result.errors);
  }
}
