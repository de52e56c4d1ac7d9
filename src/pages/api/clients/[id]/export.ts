import { answer } from '../../../../server/http/answer';
import { endpoint, idOf } from '../../../../server/http/endpoint';
import { exportClient } from '../../../../server/clients/erase-client';

export const GET = endpoint(async (context) => {
  const id = idOf(context, 'client');
  const result = await exportClient(context.locals.db, id, context.locals.actor);
  if (result.kind !== 'saved') return answer(result, 'client');
  return new Response(JSON.stringify(result.document, null, 1), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="client-${id}.json"`,
    },
  });
});
