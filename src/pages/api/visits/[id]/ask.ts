import { endpoint, idOf } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { readAskState } from '../../../../server/screening/read-ask';

export const GET = endpoint(async (context) => {
  const state = await readAskState(context.locals.db, idOf(context, 'visit'));
  return state ? Response.json({ kind: 'saved', state }) : notFound('visit');
});
