import { ClientChangeInput, type ClientInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { notFound, problem } from '../../../../server/http/problem';
import { contactOnly, findClient, toClientData } from '../../../../server/clients/clients.repository';
import { eraseClient } from '../../../../server/clients/erase-client';
import { correctClient } from '../../../../server/clients/save-client';

export const PUT = endpoint(async (context) => {
  const { db, actor, session } = context.locals;
  const id = idOf(context, 'client');
  let input = await readBody(context.request, ClientChangeInput);
  const isDesk = session?.staff.role === 'assistant';
  if (isDesk) {
    // The front desk changes how to reach a client; what belongs to the treatment stays as it is, and unseen.
    const before = await findClient(db, id);
    if (!before) return notFound('client');
    const { medicines, likes, note, dueOn, heightCm } = toClientData(before);
    input = { ...input, medicines, likes, note, dueOn, heightCm };
  }
  const shown = (data: ClientInput) => (isDesk ? contactOnly(data) : data);
  const result = await correctClient(db, id, input, actor);
  switch (result.kind) {
    case 'saved':
      return Response.json({ ...result, data: shown(result.data) });
    case 'overtaken':
      return problem({
        type: '/problems/edited-elsewhere',
        title: 'Someone else saved in the meantime',
        status: 409,
        detail: 'Both are shown: keep yours, or take theirs.',
        theirs: shown(result.theirs),
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
