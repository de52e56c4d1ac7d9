import { StoneHabitsInput } from '../../../contracts/stones';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { saveHabits } from '../../../server/stones/save-stones';

export const PUT = endpoint(async ({ request, locals }) =>
  answer(await saveHabits(locals.db, await readBody(request, StoneHabitsInput), locals.actor), 'house'),
);
