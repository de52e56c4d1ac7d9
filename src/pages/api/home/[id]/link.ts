import { HomeLinkInput } from '../../../../contracts/home';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { makeHomeLink, takeBackLink } from '../../../../server/home/home-link';

export const POST = endpoint(async (context) => {
  const { days } = await readBody(context.request, HomeLinkInput);
  return answer(await makeHomeLink(context.locals.db, idOf(context, 'sheet'), days, context.locals.actor), 'sheet');
});

export const DELETE = endpoint(async (context) =>
  answer(await takeBackLink(context.locals.db, idOf(context, 'sheet'), context.locals.actor), 'sheet'),
);
