import { SignInInput } from '../../../contracts/sign-in';
import { signIn, signOut } from '../../../server/auth/sign-in';
import { clearSessionCookie, setSessionCookie } from '../../../server/http/cookie';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

export const POST = endpoint(async (context) => {
  const { login, password } = await readBody(context.request, SignInInput);
  const { db, actor, session } = context.locals;
  const result = await signIn(db, login, password, actor.now);
  switch (result.kind) {
    case 'signed-in':
      if (session) await signOut(db, session, actor.now);
      setSessionCookie(context, result.token);
      return Response.json({ kind: 'saved' });
    case 'wrong':
      return problem({ type: '/problems/sign-in', title: 'Name and password do not fit together', status: 401 });
    case 'wait':
      return problem({
        type: '/problems/too-fast',
        title: `Too many wrong tries: wait ${result.seconds} seconds, then try again`,
        status: 429,
      });
  }
});

export const DELETE = endpoint(async (context) => {
  const { db, session, actor } = context.locals;
  if (session) await signOut(db, session, actor.now);
  clearSessionCookie(context);
  return Response.json({ kind: 'saved' });
});
