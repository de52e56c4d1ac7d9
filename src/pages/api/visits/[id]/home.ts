import { HomeSheetInput } from '../../../../contracts/home';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { makeHomeSheet, readHome } from '../../../../server/home/home-sheets';

export const GET = endpoint(async (context) => {
  const home = await readHome(context.locals.db, idOf(context, 'visit'), context.locals.actor.now);
  return home ? Response.json(home) : notFound('visit');
});

/** Draws a home sheet up for the client; with `keep` it becomes theirs. */
export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, HomeSheetInput);
  const { db, actor } = context.locals;
  return answer(await makeHomeSheet(db, idOf(context, 'visit'), input, actor), 'visit');
});
