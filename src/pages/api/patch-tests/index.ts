import { PatchTestInput } from '../../../contracts/oil-house';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { placePatchTest } from '../../../server/oils/patch-tests';

export const POST = endpoint(async ({ request, locals }) =>
  answer(await placePatchTest(locals.db, await readBody(request, PatchTestInput), locals.actor), 'client'),
);
