import { FlagNoteInput } from '../../../../../contracts/measures';
import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, keyOf, readBody } from '../../../../../server/http/endpoint';
import { settleFlag } from '../../../../../server/screening/raise-flags';

/** Closes a flag with what was done. */
export const POST = endpoint(async (context) => {
  const { note } = await readBody(context.request, FlagNoteInput);
  const { db, actor } = context.locals;
  return answer(await settleFlag(db, idOf(context, 'client'), keyOf(context, 'flag'), note, actor), 'flag');
});
