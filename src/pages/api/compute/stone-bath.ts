import { stoneBook } from '../../../catalogue/stones/stones';
import { StoneBathRequest } from '../../../contracts/stones';
import { bathOf } from '../../../core/stones/set';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) =>
  Response.json(bathOf(stoneBook, await readBody(request, StoneBathRequest))),
);
