import { MixInput } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { startMix } from '../../../../server/oils/mix-oils';

export const POST = endpoint(async ({ request, locals }) => {
  const input = await readBody(request, MixInput);
  return answer(await startMix(locals.db, input, locals.session?.staff.qualifications ?? [], locals.actor), 'visit');
});
