import { ReadyInput } from '../../../../contracts/treatment';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { saveReady } from '../../../../server/treatments/read-room';

export const PUT = endpoint(async (context) =>
  answer(
    await saveReady(context.locals.db, idOf(context, 'visit'), await readBody(context.request, ReadyInput)),
    'visit',
  ),
);
