import { PlacedFindingInput } from '../../../../../contracts/record';
import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../../server/http/endpoint';
import { addFinding } from '../../../../../server/screening/save-finding';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, PlacedFindingInput);
  return answer(await addFinding(context.locals.db, idOf(context, 'client'), input, context.locals.actor), 'client');
});
