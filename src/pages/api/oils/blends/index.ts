import { BlendInput } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { keepBlend } from '../../../../server/services/choose-blend';

export const POST = endpoint(async ({ request, locals }) => {
  const blend = await readBody(request, BlendInput);
  return answer(await keepBlend(locals.db, blend, locals.session?.staff.qualifications ?? [], locals.actor), 'blend');
});
