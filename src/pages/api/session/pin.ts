import { NewPinInput } from '../../../contracts/sign-in';
import { pinTrouble } from '../../../core/sign-in/lockout';
import { hashSecret, isSecret } from '../../../server/auth/secrets';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { findPasswordHash, updateTherapist } from '../../../server/people/people.repository';
import { invalidFields } from '../../../server/http/problem';

/** Sets one's own PIN; the password shows that it is oneself. In the demo house nobody has a password. */
export const POST = endpoint(async ({ request, locals }) => {
  const { db, session, isDemo } = locals;
  const { password, pin } = await readBody(request, NewPinInput);
  const id = session?.staff.id ?? 0;
  if (!isDemo && !(await isSecret(await findPasswordHash(db, id), password)))
    return invalidFields([{ path: 'password', message: 'That is not your password.' }]);
  const trouble = pinTrouble(pin);
  if (trouble) return invalidFields([{ path: 'pin', message: trouble }]);
  await updateTherapist(db, id, { pin_hash: await hashSecret(pin) });
  return Response.json({ kind: 'saved' });
});
