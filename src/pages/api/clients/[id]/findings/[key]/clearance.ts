import { ClearanceInput } from '../../../../../../contracts/record';
import { answer } from '../../../../../../server/http/answer';
import { endpoint, idOf, keyOf, readBody } from '../../../../../../server/http/endpoint';
import { addClearance } from '../../../../../../server/screening/save-finding';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, ClearanceInput);
  const { db, actor } = context.locals;
  return answer(await addClearance(db, idOf(context, 'client'), keyOf(context, 'finding'), input, actor), 'finding');
});
