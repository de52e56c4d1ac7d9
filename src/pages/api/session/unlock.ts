import { PinInput } from '../../../contracts/sign-in';
import { unlock } from '../../../server/auth/sign-in';
import { clearSessionCookie } from '../../../server/http/cookie';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

export const POST = endpoint(async (context) => {
  const { db, session } = context.locals;
  const { pin } = await readBody(context.request, PinInput);
  if (!session) return problem({ type: '/problems/sign-in', title: 'Sign in first', status: 401 });
  const result = await unlock(db, session, pin);
  switch (result.kind) {
    case 'open':
      return Response.json({ kind: 'saved' });
    case 'wrong':
      return problem({
        type: '/problems/wrong-pin',
        title: `That is not the PIN; ${result.left} tries left`,
        status: 403,
      });
    case 'ended':
      clearSessionCookie(context);
      return problem({
        type: '/problems/sign-in',
        title: 'Too many wrong PINs: sign in with your password',
        status: 401,
      });
  }
});
