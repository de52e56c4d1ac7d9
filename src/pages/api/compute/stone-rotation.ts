import { stoneBook } from '../../../catalogue/stones/stones';
import { sizeOfClass, StoneRotationRequest } from '../../../contracts/stones';
import { rotate } from '../../../core/stones/rotation';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, StoneRotationRequest);
  const stock = given.stock.map((one) => ({ ...one, size: sizeOfClass(one.class) ?? ('palm' as const) }));
  return Response.json(rotate(stoneBook, { ...given, stock }));
});
