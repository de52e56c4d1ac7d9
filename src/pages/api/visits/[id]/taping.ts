import { TapingInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { saveTaping } from '../../../../server/measures/save-taping';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, TapingInput);
  return answer(await saveTaping(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'taping');
});
