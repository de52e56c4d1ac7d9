import { answer } from '../../../../server/http/answer';
import { endpoint, idOf } from '../../../../server/http/endpoint';
import { endHomeSheet } from '../../../../server/home/home-sheets';

export const DELETE = endpoint(async (context) =>
  answer(await endHomeSheet(context.locals.db, idOf(context, 'sheet'), context.locals.actor), 'sheet'),
);
