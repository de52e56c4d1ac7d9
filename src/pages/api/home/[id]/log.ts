import { HomeLogInput } from '../../../../contracts/home';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { logHome } from '../../../../server/home/home-log';

/** Days of the paper log. */
export const POST = endpoint(async (context) => {
  const { days } = await readBody(context.request, HomeLogInput);
  return answer(await logHome(context.locals.db, idOf(context, 'sheet'), days, context.locals.actor), 'sheet');
});
