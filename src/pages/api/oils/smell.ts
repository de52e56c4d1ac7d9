import { SmellInput } from '../../../contracts/oil-house';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { recordSmell } from '../../../server/oils/choose-blend';

export const POST = endpoint(async ({ request, locals }) => {
  const input = await readBody(request, SmellInput);
  return answer(await recordSmell(locals.db, input, locals.session?.staff.qualifications ?? [], locals.actor), 'visit');
});
