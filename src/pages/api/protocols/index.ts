import { ProtocolInput } from '../../../contracts/measures';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { saveProtocol } from '../../../server/measures/save-measuring';

export const POST = endpoint(async ({ request, locals }) =>
  answer(await saveProtocol(locals.db, undefined, await readBody(request, ProtocolInput), locals.actor), 'protocol'),
);
