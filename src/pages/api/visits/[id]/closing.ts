import { ClosingInput } from '../../../../contracts/closing';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { saveClosing } from '../../../../server/visits/close-visit';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, ClosingInput);
  return answer(
    await saveClosing(context.locals.db, idOf(context, 'visit'), input, context.locals.actor),
    'closing note',
  );
});
