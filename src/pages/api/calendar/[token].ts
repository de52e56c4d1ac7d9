import { endpoint } from '../../../server/http/endpoint';
import { notFound } from '../../../server/http/problem';
import { staffOfFeed, writeCalendar } from '../../../server/booking/calendar';

/** A feed that calendars follow: they cannot sign in, so the address itself is the secret. */
export const GET = endpoint(async ({ params, locals }) => {
  const staffId = await staffOfFeed(locals.db, (params['token'] ?? '').replace(/\.ics$/, ''));
  if (staffId === undefined) return notFound('calendar');
  return new Response(await writeCalendar(locals.db, staffId, locals.actor.now), {
    headers: { 'content-type': 'text/calendar; charset=utf-8' },
  });
});
