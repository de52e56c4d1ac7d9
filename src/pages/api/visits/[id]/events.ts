import { TableEventsInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { recordEvents } from '../../../../server/services/record-table';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, TableEventsInput);
  return answer(
    await recordEvents(context.locals.db, idOf(context, 'visit'), input.events, context.locals.actor),
    'visit',
  );
});
