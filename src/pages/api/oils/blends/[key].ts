import { answer } from '../../../../server/http/answer';
import { endpoint, keyOf } from '../../../../server/http/endpoint';
import { dropBlend } from '../../../../server/oils/choose-blend';

export const DELETE = endpoint(async (context) =>
  answer(await dropBlend(context.locals.db, keyOf(context, 'blend'), context.locals.actor), 'blend'),
);
