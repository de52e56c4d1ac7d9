import { PlanWishInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { makePlan } from '../../../../server/drainage/make-plan';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, PlanWishInput);
  return answer(await makePlan(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'plan');
});
