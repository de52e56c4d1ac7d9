import { DemoSignInInput } from '../../../contracts/sign-in';
import { signInAs } from '../../../server/auth/sign-in';
import { setSessionCookie } from '../../../server/http/cookie';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { notFound, problem } from '../../../server/http/problem';
import { findStaff } from '../../../server/people/people.repository';

/** One click in the demo house; anywhere else there is no such door. */
export const POST = endpoint(async (context) => {
  const { db, isDemo, session, actor } = context.locals;
  if (!isDemo)
    return problem({
      type: '/problems/forbidden',
      title: 'Signing in by one click is for the demo house',
      status: 403,
    });
  if (session?.handedVisitId)
    return problem({ type: '/problems/handed', title: 'The tablet is with a client', status: 423 });
  const { staffId } = await readBody(context.request, DemoSignInInput);
  const staff = await findStaff(db, staffId);
  if (!staff || staff.leftAt) return notFound('person');
  setSessionCookie(context, await signInAs(db, staff, actor.now));
  return Response.json({ kind: 'saved' });
});
