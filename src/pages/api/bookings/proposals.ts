import { isValid, parseISO } from 'date-fns';
import { endpoint } from '../../../server/http/endpoint';
import { invalidFields } from '../../../server/http/problem';
import { proposeTimes } from '../../../server/booking/booking';

export const GET = endpoint(async ({ url, locals }) => {
  const text = (name: string) => url.searchParams.get(name) ?? '';
  const minutes = Number(text('minutes'));
  if (!(minutes >= 10 && minutes <= 480))
    return invalidFields([{ path: 'minutes', message: 'A visit lasts 10 to 480 minutes.' }]);
  const from = text('from') === '' ? locals.actor.now : parseISO(text('from'));
  if (!isValid(from)) return invalidFields([{ path: 'from', message: 'Write a real date as year-month-day.' }]);
  const chosen = Number(text('therapist'));
  const proposals = await proposeTimes(
    locals.db,
    {
      from: from < locals.actor.now ? locals.actor.now : from,
      minutes,
      withStones: text('stones') === '1',
      therapistIds: chosen > 0 ? [chosen] : locals.therapists.map(({ id }) => id),
      ...(Number(text('visit')) > 0 ? { butVisit: Number(text('visit')) } : {}),
    },
    locals.actor.now,
  );
  return Response.json(proposals);
});
