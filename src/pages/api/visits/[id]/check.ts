import { VisitCheckInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { answerCheck } from '../../../../server/visits/answer-check';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, VisitCheckInput);
  return answer(await answerCheck(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'visit');
});
