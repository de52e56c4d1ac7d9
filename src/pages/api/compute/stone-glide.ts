import { stoneBook } from '../../../catalogue/stones/stones';
import { StoneGlideRequest } from '../../../contracts/stones';
import { glideOfStone } from '../../../core/stones/set';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
  const { usefulSeconds, curve } = glideOfStone(stoneBook, await readBody(request, StoneGlideRequest));
  return Response.json({ usefulS: usefulSeconds, curve });
});
