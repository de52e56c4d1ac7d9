import { VisitInput } from '../../../contracts/record';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { bookVisit } from '../../../server/booking/booking';

export const POST = endpoint(async ({ request, locals }) =>
  answer(await bookVisit(locals.db, await readBody(request, VisitInput), locals.actor), 'visit'),
);
