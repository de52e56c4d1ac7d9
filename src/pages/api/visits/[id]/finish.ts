import { answer } from '../../../../server/http/answer';
import { endpoint, idOf } from '../../../../server/http/endpoint';
import { finishVisit } from '../../../../server/visits/close-visit';

export const POST = endpoint(async (context) =>
  answer(await finishVisit(context.locals.db, idOf(context, 'visit'), context.locals.actor), 'visit'),
);
