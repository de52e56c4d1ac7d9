import { BlendInput } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { keepBlend, writeBlends } from '../../../../server/oils/choose-blend';

/** The blends of the house as a file, to be brought in elsewhere. */
export const GET = endpoint(async ({ locals }) =>
  Response.json(await writeBlends(locals.db), {
    headers: { 'content-disposition': 'attachment; filename="blends.json"' },
  }),
);

export const POST = endpoint(async ({ request, locals }) => {
  const blend = await readBody(request, BlendInput);
  return answer(await keepBlend(locals.db, blend, locals.session?.staff.qualifications ?? [], locals.actor), 'blend');
});
