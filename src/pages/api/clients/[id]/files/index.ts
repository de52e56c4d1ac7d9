import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, readUpTo } from '../../../../../server/http/endpoint';
import { attachFile, largestFileBytes } from '../../../../../server/clients/attach-file';

/** The body is the file itself; its name stands in the address. */
export const POST = endpoint(async (context) => {
  const content = await readUpTo(context.request, largestFileBytes);
  const file = { name: context.url.searchParams.get('name') ?? '', content };
  return answer(await attachFile(context.locals.db, idOf(context, 'client'), file, context.locals.actor), 'client');
});
