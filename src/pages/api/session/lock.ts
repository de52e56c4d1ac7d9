import { endpoint } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';
import { changeSession } from '../../../server/people/sessions.repository';

export const POST = endpoint(async ({ locals }) => {
  const { db, session, actor } = locals;
  if (!session?.staff.hasPin)
    return problem({ type: '/problems/no-pin', title: 'Set a PIN first, then the screen can be locked', status: 409 });
  await changeSession(db, session.tokenHash, { locked_at: actor.now.toISOString(), failed_pins: 0 });
  return Response.json({ kind: 'saved' });
});
