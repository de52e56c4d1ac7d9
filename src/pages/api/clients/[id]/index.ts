import { ClientChangeInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { problem } from '../../../../server/http/problem';
import { eraseClient } from '../../../../server/clients/erase-client';
import { correctClient, correctContact } from '../../../../server/clients/save-client';

export const PUT = endpoint(async (context) => {
  const { db, actor, session } = context.locals;
  const id = idOf(context, 'client');
  const input = await readBody(context.request, ClientChangeInput);
  const correct = session?.staff.role === 'assistant' ? correctContact : correctClient;
  const result = await correct(db, id, input, actor);
  switch (result.kind) {
    case 'saved':
      return Response.json(result);
    case 'overtaken':
      return problem({
        type: '/problems/edited-elsewhere',
        title: 'Someone else saved in the meantime',
        status: 409,
        detail: 'Both are shown: keep yours, or take theirs.',
        theirs: result.theirs,
        version: result.version,
      });
    default:
      return answer(result, 'client');
  }
});

export const DELETE = endpoint(async (context) => {
  const name = context.url.searchParams.get('name') ?? '';
  return answer(await eraseClient(context.locals.db, idOf(context, 'client'), name, context.locals.actor), 'client');
});
