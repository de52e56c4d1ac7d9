import { z } from 'zod';
import { BookedView, ProposalView } from '../client-views';
import { DayView } from '../day-views';
import { BookingChangeInput, VisitInput } from '../record';
import { ClientNumber, del, file, Flag, get, Key, MaybeId, post, put, saved, savedOnly, VisitNumber } from './route';

const calendar = file('text/calendar');

/** When visits are, who is told, and the calendars that follow. */
export const bookingRoutes = {
  readDay: get('/api/day', {
    who: 'assistant',
    what: 'day',
    summary: 'The visits of a day, of today without `day`, with what has to be done for each.',
    query: { day: z.union([z.literal(''), z.iso.date()], 'Write a real date as year-month-day.').default('') },
    answer: DayView,
  }),
  bookedOf: get('/api/clients/{id}/booked', {
    who: 'assistant',
    what: 'client',
    summary: 'The visits of a client that are to come.',
    params: { id: ClientNumber },
    answer: z.array(BookedView).readonly(),
  }),
  proposeTimes: get('/api/bookings/proposals', {
    who: 'assistant',
    what: 'time',
    summary: 'Free times for `minutes` from the day `from` on, with `therapist` or with anybody.',
    query: {
      minutes: z.coerce
        .number('A visit lasts 10 to 480 minutes.')
        .min(10, 'A visit lasts 10 to 480 minutes.')
        .max(480, 'A visit lasts 10 to 480 minutes.'),
      from: z
        .union([z.literal(''), z.iso.date(), z.iso.datetime()], 'Write a real date as year-month-day.')
        .default(''),
      therapist: MaybeId,
      stones: Flag,
      /** A visit that is being moved: its own time counts as free. */
      visit: MaybeId,
    },
    answer: z.array(ProposalView).readonly(),
  }),
  bookVisit: post('/api/visits', {
    who: 'assistant',
    what: 'visit',
    summary: 'Books a visit, or a row of them.',
    body: VisitInput,
    answer: saved({ id: z.number(), ids: z.array(z.number()).readonly(), said: z.string().nullable() }),
    audit: ['visit booked'],
  }),
  moveVisit: put('/api/visits/{id}/booking', {
    who: 'assistant',
    what: 'visit',
    summary: 'Moves a visit.',
    params: { id: VisitNumber },
    body: BookingChangeInput,
    answer: savedOnly,
    audit: ['visit moved'],
  }),
  cancelVisit: del('/api/visits/{id}/booking', {
    who: 'assistant',
    what: 'visit',
    summary: 'Cancels a visit; with `following` also the later ones of its row.',
    params: { id: VisitNumber },
    query: { following: Flag, reason: z.string().max(200, 'Keep the reason within 200 characters.').default('') },
    answer: saved({ cancelled: z.number() }),
    audit: ['visit cancelled'],
  }),
  takeBackVisit: post('/api/visits/{id}/booking/back', {
    who: 'assistant',
    what: 'visit',
    summary:
      'Takes a cancelled visit back, with those of its row that were cancelled with it, while their times are free.',
    params: { id: VisitNumber },
    answer: saved({ takenBack: z.number() }),
    audit: ['visit taken back'],
  }),
  ownCalendar: get('/api/calendar', {
    who: 'assistant',
    what: 'calendar',
    summary: 'One’s own visits as an iCalendar file.',
    answer: calendar,
  }),
  feedAddress: post('/api/calendar', {
    who: 'assistant',
    what: 'calendar',
    summary: 'The secret address of one’s own feed; with `renew` a new one.',
    query: { renew: Flag },
    answer: z.object({ path: z.string() }),
  }),
  calendarFeed: get('/api/calendar/{token}', {
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'calendar',
    summary: 'A feed for calendar programs: they cannot sign in, the address itself is the secret.',
    params: { token: Key },
    answer: calendar,
  }),
} as const;
