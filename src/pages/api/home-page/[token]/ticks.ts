import { HomeTickInput } from '../../../../contracts/home';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { tickHome } from '../../../../server/home/home-link';

/** From the page behind a link: the address is the secret. */
export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, HomeTickInput);
  const { db, actor } = context.locals;
  return answer(await tickHome(db, context.params['token'] ?? '', input, actor.now), 'page');
});
