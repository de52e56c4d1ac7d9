import { FindingChangeInput } from '../../../../../../contracts/record';
import { answer } from '../../../../../../server/http/answer';
import { endpoint, idOf, keyOf, readBody } from '../../../../../../server/http/endpoint';
import { correctFinding, removeFinding } from '../../../../../../server/screening/save-finding';

export const PUT = endpoint(async (context) => {
  const input = await readBody(context.request, FindingChangeInput);
  const { db, actor } = context.locals;
  return answer(await correctFinding(db, idOf(context, 'client'), keyOf(context, 'finding'), input, actor), 'finding');
});

export const DELETE = endpoint(async (context) => {
  const { db, actor } = context.locals;
  return answer(await removeFinding(db, idOf(context, 'client'), keyOf(context, 'finding'), actor), 'finding');
});
