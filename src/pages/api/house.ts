import { HousePhoneInput } from '../../contracts/home';
import { HouseInput } from '../../contracts/record';
import { openSession } from '../../server/auth/sessions';
import { answer } from '../../server/http/answer';
import { setSessionCookie } from '../../server/http/cookie';
import { endpoint, readBody } from '../../server/http/endpoint';
import { changeHousePhone } from '../../server/people/read-facts';
import { setUpHouse } from '../../server/people/set-up-house';

export const POST = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const result = await setUpHouse(db, await readBody(context.request, HouseInput), actor);
  if (result.kind === 'saved') setSessionCookie(context, await openSession(db, result.ownerId, actor.now));
  return answer(result, 'house');
});

/** Whom clients ring. */
export const PUT = endpoint(async (context) => {
  const { phone } = await readBody(context.request, HousePhoneInput);
  await changeHousePhone(context.locals.db, phone);
  return Response.json({ phone });
});
