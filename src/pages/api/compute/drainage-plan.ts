import { anatomy } from '../../../catalogue/anatomy';
import { DrainagePlanRequest } from '../../../contracts/drainage';
import { readCase } from '../../../core/drainage/case';
import { planDrainage } from '../../../core/drainage/plan';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, DrainagePlanRequest);
  return Response.json(planDrainage(anatomy, unwrap(readCase(anatomy, given))));
});
