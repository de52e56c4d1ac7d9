import { ReminderInput } from '../../contracts/record';
import { endpoint, readBody } from '../../server/http/endpoint';
import { listReminders, settleReminders } from '../../server/booking/reminders';

/** The panel of the simulated outbox: sends, or lets a message fail. */
export const POST = endpoint(async ({ request, locals }) => {
  const settled = await settleReminders(locals.db, await readBody(request, ReminderInput), locals.actor.now);
  return Response.json({ kind: 'saved', settled, reminders: await listReminders(locals.db, locals.actor.now) });
});
