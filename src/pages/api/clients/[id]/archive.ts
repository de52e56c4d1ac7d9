import { answer } from '../../../../server/http/answer';
import { endpoint, idOf } from '../../../../server/http/endpoint';
import { archiveClient } from '../../../../server/clients/save-client';

export const POST = endpoint(async (context) =>
  answer(await archiveClient(context.locals.db, idOf(context, 'client'), true, context.locals.actor), 'client'),
);

export const DELETE = endpoint(async (context) =>
  answer(await archiveClient(context.locals.db, idOf(context, 'client'), false, context.locals.actor), 'client'),
);
