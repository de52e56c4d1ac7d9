import { HandOverInput } from '../../contracts/record';
import { endpoint, readBody } from '../../server/http/endpoint';
import { invalidFields } from '../../server/http/problem';
import { workAsCookie } from '../../server/http/work-as';

export const POST = endpoint(async ({ request, cookies, locals }) => {
  const { therapistId } = await readBody(request, HandOverInput);
  if (!locals.therapists.some((t) => t.id === therapistId))
    return invalidFields([{ path: 'therapistId', message: 'There is no such therapist in this house.' }]);
  cookies.set(workAsCookie, String(therapistId), {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    maxAge: 60 * 60 * 24 * 365,
  });
  return Response.json({ kind: 'saved' });
});
