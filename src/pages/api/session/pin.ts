import { NewPinInput } from '../../../contracts/sign-in';
import { changePin } from '../../../server/auth/sign-in';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { invalidFields } from '../../../server/http/problem';

/** Sets one's own PIN; the password shows that it is oneself. In the demo house nobody has a password. */
export const POST = endpoint(async ({ request, locals }) => {
  const { db, session, isDemo } = locals;
  const errors = await changePin(db, session?.staff.id ?? 0, await readBody(request, NewPinInput), isDemo);
  return errors.length > 0 ? invalidFields(errors) : Response.json({ kind: 'saved' });
});
