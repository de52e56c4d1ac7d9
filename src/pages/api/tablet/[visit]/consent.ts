import { ConsentInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody, visitOf } from '../../../../server/http/endpoint';
import { signConsent } from '../../../../server/screening/answer-intake';

export const POST = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const result = await signConsent(db, visitOf(context), await readBody(context.request, ConsentInput), actor);
  return result.kind === 'saved' ? Response.json({ kind: 'saved' }) : answer(result, 'visit');
});
