import { ProtocolInput } from '../../../contracts/measures';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { removeProtocol, saveProtocol } from '../../../server/measures/save-measuring';

export const PUT = endpoint(async ({ request, locals, params }) =>
  answer(
    await saveProtocol(locals.db, params['id'] ?? '', await readBody(request, ProtocolInput), locals.actor),
    'protocol',
  ),
);

export const DELETE = endpoint(async ({ locals, params }) =>
  answer(await removeProtocol(locals.db, params['id'] ?? '', locals.actor), 'protocol'),
);
