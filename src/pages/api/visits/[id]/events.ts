import { TableEventsInput } from '../../../../contracts/table';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { readTableNow, recordEvents } from '../../../../server/table/record-table';

export const GET = endpoint(async (context) =>
  Response.json(await readTableNow(context.locals.db, idOf(context, 'visit'))),
);

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, TableEventsInput);
  return answer(await recordEvents(context.locals.db, idOf(context, 'visit'), input, context.locals.actor), 'visit');
});
