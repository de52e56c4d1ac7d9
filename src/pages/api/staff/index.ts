import { StaffInput } from '../../../contracts/sign-in';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { saveStaff } from '../../../server/people/save-staff';

export const POST = endpoint(async ({ request, locals }) =>
  answer(await saveStaff(locals.db, null, await readBody(request, StaffInput), locals.actor), 'person'),
);
