import { BlendFile } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { importBlends } from '../../../../server/oils/choose-blend';

export const POST = endpoint(async ({ request, locals }) => {
  const { blends } = await readBody(request, BlendFile);
  return answer(
    await importBlends(locals.db, blends, locals.session?.staff.qualifications ?? [], locals.actor),
    'blend',
  );
});
