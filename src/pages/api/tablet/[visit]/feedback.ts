import { FeedbackInput } from '../../../../contracts/closing';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody, visitOf } from '../../../../server/http/endpoint';
import { saveFeedback } from '../../../../server/visits/close-visit';

/** How it was, answered by the client on the turned-round tablet; nothing comes back. */
export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, FeedbackInput);
  const { db, actor } = context.locals;
  return answer(await saveFeedback(db, visitOf(context), input, actor), 'visit');
});
