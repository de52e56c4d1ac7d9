import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, keyOf } from '../../../../../server/http/endpoint';
import { takeBackOverride } from '../../../../../server/screening/answer-intake';

export const DELETE = endpoint(async (context) => {
  const { db, actor } = context.locals;
  return answer(await takeBackOverride(db, idOf(context, 'visit'), keyOf(context, 'limit'), actor), 'limit');
});
