import { StoneInput } from '../../../contracts/stones';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { readStoneBench } from '../../../server/stones/read-stones';
import { addStones } from '../../../server/stones/save-stones';

export const GET = endpoint(async ({ locals, url }) => {
  const visit = Number(url.searchParams.get('visit') ?? '');
  return Response.json(await readStoneBench(locals.db, visit > 0 ? visit : null, locals.actor.now));
});

export const POST = endpoint(async ({ request, locals }) =>
  answer(await addStones(locals.db, await readBody(request, StoneInput), locals.actor), 'stone'),
);
