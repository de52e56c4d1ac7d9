import { DemoSignInInput } from '../../../contracts/sign-in';
import { signInAs } from '../../../server/auth/sign-in';
import { setSessionCookie } from '../../../server/http/cookie';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { notFound, problem } from '../../../server/http/problem';

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
  const token = await signInAs(db, staffId, actor.now);
  if (token === undefined) return notFound('person');
  setSessionCookie(context, token);
  return Response.json({ kind: 'saved' });
});
