import { HouseInput } from '../../contracts/record';
import { answer } from '../../server/http/answer';
import { endpoint, readBody } from '../../server/http/endpoint';
import { setUpHouse } from '../../server/services/set-up-house';

export const POST = endpoint(async ({ request, locals }) =>
  answer(await setUpHouse(locals.db, await readBody(request, HouseInput), locals.actor), 'house'),
);
