import { endpoint, idOf } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { readVisit } from '../../../../server/visits/read-visit';

export const GET = endpoint(async (context) => {
  const visit = await readVisit(context.locals.db, idOf(context, 'visit'));
  return visit ? Response.json(visit) : notFound('visit');
});
