import { StoneInput } from '../../../contracts/stones';
import { answer } from '../../../server/http/answer';
import { endpoint, keyOf, readBody } from '../../../server/http/endpoint';
import { changeStone } from '../../../server/stones/save-stones';

export const PUT = endpoint(async (context) =>
  answer(
    await changeStone(
      context.locals.db,
      keyOf(context, 'stone'),
      await readBody(context.request, StoneInput),
      context.locals.actor,
    ),
    'stone',
  ),
);
