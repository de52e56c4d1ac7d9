import { PatchReadingInput } from '../../../contracts/oil-house';
import { answer } from '../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../server/http/endpoint';
import { readPatchTest } from '../../../server/oils/patch-tests';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, PatchReadingInput);
  return answer(
    await readPatchTest(context.locals.db, idOf(context, 'patch test'), input, context.locals.actor),
    'patch test',
  );
});
