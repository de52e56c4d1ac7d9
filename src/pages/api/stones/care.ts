import { StoneCareInput } from '../../../contracts/stones';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { logCare } from '../../../server/stones/save-stones';

export const POST = endpoint(async ({ request, locals }) =>
  answer(await logCare(locals.db, await readBody(request, StoneCareInput), locals.actor), 'stone'),
);
