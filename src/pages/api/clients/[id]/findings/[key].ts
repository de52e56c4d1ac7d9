import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf } from '../../../../../server/http/endpoint';
import { removeFinding } from '../../../../../server/services/save-client';

export const DELETE = endpoint(async (context) =>
  answer(
    await removeFinding(
      context.locals.db,
      idOf(context, 'client'),
      Number(context.params['key']),
      context.locals.actor,
    ),
    'finding',
  ),
);
