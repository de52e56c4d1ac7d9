import { type BlendFile, BlendInput } from '../../../../contracts/oil-house';
import { listBlends } from '../../../../server/oils/blends.repository';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { keepBlend } from '../../../../server/oils/choose-blend';

/** The blends of the house as a file, to be brought in elsewhere. */
export const GET = endpoint(async ({ locals }) => {
  const blends = (await listBlends(locals.db)).map(({ blend }) => blend);
  const file: BlendFile = { kind: 'velvet-stone-blends', version: 1, blends };
  return Response.json(file, { headers: { 'content-disposition': 'attachment; filename="blends.json"' } });
});

export const POST = endpoint(async ({ request, locals }) => {
  const blend = await readBody(request, BlendInput);
  return answer(await keepBlend(locals.db, blend, locals.session?.staff.qualifications ?? [], locals.actor), 'blend');
});
