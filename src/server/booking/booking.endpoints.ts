import { parseISO } from 'date-fns';
import { bookingRoutes as routes } from '../../contracts/routes/booking';
import { endpoints, fileAnswer } from '../http/endpoint';
import { readBooked } from '../clients/read-client';
import { keepingEnds } from '../keeping/keeping';
import { readDay } from '../visits/read-day';
import { bookVisit, cancelVisit, moveVisit, proposeTimes } from './booking';
import { feedToken, staffOfFeed, writeCalendar } from './calendar';
import { takeBackVisit } from './take-back';

export const bookingEndpoints = endpoints(routes, {
  readDay: async ({ db, query, actor, staff, locals }) => {
    const day = query.day === '' ? actor.now : parseISO(query.day);
    const ends = staff.role === 'owner' && !locals.isDemo ? await keepingEnds(db, actor.now) : [];
    return readDay(db, day, actor.now, staff.role !== 'assistant', ends);
  },
  bookedOf: ({ db, params, actor, staff }) => readBooked(db, params.id, actor.now, staff.role !== 'assistant'),
  proposeTimes: ({ db, query, actor, locals }) => {
    const from = query.from === '' ? actor.now : parseISO(query.from);
    return proposeTimes(
      db,
      {
        from: from < actor.now ? actor.now : from,
        minutes: query.minutes,
        withStones: query.stones,
        therapistIds: query.therapist === undefined ? locals.therapists.map(({ id }) => id) : [query.therapist],
        ...(query.visit === undefined ? {} : { butVisit: query.visit }),
      },
      actor.now,
    );
  },
  bookVisit: ({ db, body, actor }) => bookVisit(db, body, actor),
  moveVisit: ({ db, params, body, actor }) => moveVisit(db, params.id, body, actor),
  cancelVisit: ({ db, params, query, actor }) => cancelVisit(db, params.id, query.reason, query.following, actor),
  takeBackVisit: ({ db, params, actor }) => takeBackVisit(db, params.id, actor),
  ownCalendar: async ({ db, staff, actor }) =>
    fileAnswer(routes.ownCalendar.answer, await writeCalendar(db, staff.id, actor.now), 'visits.ics'),
  feedAddress: async ({ db, query, staff }) => ({
    path: `/api/calendar/${await feedToken(db, staff.id, query.renew)}.ics`,
  }),
  calendarFeed: async ({ db, params, actor }) => {
    const staffId = await staffOfFeed(db, params.token.replace(/\.ics$/, ''));
    if (staffId === undefined) return undefined;
    return fileAnswer(routes.calendarFeed.answer, await writeCalendar(db, staffId, actor.now), 'visits.ics', 'inline');
  },
});
