import { IntakeInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { answerIntake } from '../../../../server/screening/answer-intake';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, IntakeInput);
  return answer(await answerIntake(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'visit');
});
