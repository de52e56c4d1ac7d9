import { BookingChangeInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { cancelVisit, moveVisit } from '../../../../server/booking/booking';

export const PUT = endpoint(async (context) => {
  const input = await readBody(context.request, BookingChangeInput);
  return answer(await moveVisit(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'visit');
});

export const DELETE = endpoint(async (context) => {
  const reason = (context.url.searchParams.get('reason') ?? '').slice(0, 200);
  const withFollowing = context.url.searchParams.get('following') === '1';
  const { db, actor } = context.locals;
  return answer(await cancelVisit(db, idOf(context, 'visit'), reason, withFollowing, actor), 'visit');
});
