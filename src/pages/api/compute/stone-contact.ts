import { stoneBook } from '../../../catalogue/stones/stones';
import { StoneContactRequest } from '../../../contracts/stones';
import { contactOf } from '../../../core/stones/contact';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) =>
  Response.json(contactOf(stoneBook, await readBody(request, StoneContactRequest))),
);
