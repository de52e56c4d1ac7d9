import { StaffInput } from '../../../contracts/sign-in';
import { answer } from '../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../server/http/endpoint';
import { saveStaff } from '../../../server/people/save-staff';

export const PUT = endpoint(async (context) => {
  const input = await readBody(context.request, StaffInput);
  return answer(await saveStaff(context.locals.db, idOf(context, 'person'), input, context.locals.actor), 'person');
});
