import { HandOverInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { handOver } from '../../../../server/visits/hand-over';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, HandOverInput);
  return answer(
    await handOver(context.locals.db, idOf(context, 'visit'), input.therapistId, context.locals.actor),
    'visit',
  );
});
