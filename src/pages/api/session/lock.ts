import { endpoint } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';
import { lockSession } from '../../../server/auth/sign-in';

export const POST = endpoint(async ({ locals }) => {
  const { db, session, actor } = locals;
  if (!session?.staff.hasPin)
    return problem({ type: '/problems/no-pin', title: 'Set a PIN first, then the screen can be locked', status: 409 });
  await lockSession(db, session, actor.now);
  return Response.json({ kind: 'saved' });
});
