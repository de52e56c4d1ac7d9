import { IntakeInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody, visitOf } from '../../../../server/http/endpoint';
import { answerIntake } from '../../../../server/screening/answer-intake';

/** Answers given by the client on the tablet; nothing but their own answers comes back. */
export const POST = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const input = await readBody(context.request, IntakeInput);
  const result = await answerIntake(db, visitOf(context), input, actor, 'client');
  return result.kind === 'saved'
    ? Response.json({ kind: 'saved', intake: result.state.intake })
    : answer(result, 'visit');
});
