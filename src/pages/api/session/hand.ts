import { HandInput } from '../../../contracts/sign-in';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { notFound, problem } from '../../../server/http/problem';
import { handTablet } from '../../../server/auth/sign-in';

/** From here until the PIN, this session may do nothing but answer the questions of one visit. */
export const POST = endpoint(async ({ request, locals }) => {
  const { db, session } = locals;
  const { visitId } = await readBody(request, HandInput);
  if (!session?.staff.hasPin)
    return problem({
      type: '/problems/no-pin',
      title: 'Set a PIN first: it is how the tablet comes back to you',
      status: 409,
    });
  if (!(await handTablet(db, session, visitId))) return notFound('visit');
  return Response.json({ kind: 'saved' });
});
