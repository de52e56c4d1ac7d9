import { BottleInput } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, keyOf, readBody } from '../../../../server/http/endpoint';
import { changeBottle } from '../../../../server/oils/save-oils';

export const PUT = endpoint(async (context) => {
  const input = await readBody(context.request, BottleInput);
  return answer(await changeBottle(context.locals.db, keyOf(context, 'bottle'), input, context.locals.actor), 'bottle');
});
