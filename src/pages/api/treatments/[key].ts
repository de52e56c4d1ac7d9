import { answer } from '../../../server/http/answer';
import { endpoint, keyOf } from '../../../server/http/endpoint';
import { dropTemplate } from '../../../server/treatments/offer-treatments';

export const DELETE = endpoint(async (context) =>
  answer(await dropTemplate(context.locals.db, keyOf(context, 'template'), context.locals.actor), 'template'),
);
