import { endpoint } from '../../../server/http/endpoint';
import { feedToken, writeCalendar } from '../../../server/booking/calendar';

/** Download of one's own visits. */
export const GET = endpoint(async ({ locals }) => {
  const text = await writeCalendar(locals.db, locals.session?.staff.id ?? 0, locals.actor.now);
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="visits.ics"',
    },
  });
});

/** The address of one's own feed; with `renew` a new one. */
export const POST = endpoint(async ({ url, locals }) => {
  const token = await feedToken(locals.db, locals.session?.staff.id ?? 0, url.searchParams.get('renew') === '1');
  return Response.json({ path: `/api/calendar/${token}.ics` });
});
