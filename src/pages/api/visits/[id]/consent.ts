import { ConsentInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { signConsent } from '../../../../server/screening/answer-intake';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, ConsentInput);
  return answer(await signConsent(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'visit');
});
