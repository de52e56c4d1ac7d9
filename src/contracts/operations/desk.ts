import { BookingChangeInput, ClientChangeInput, ClientInput, ReminderInput, VisitInput } from '../record';
import { type Operation, row, takes } from './operation';

/** Clients, bookings and reminders. */
export const desk: readonly Operation[] = [
  row('get', '/api/clients', 'Clients whose name, phone number or e-mail is near `q`.'),
  takes('post', '/api/clients', ClientInput, 'Adds a client.'),
  takes('put', '/api/clients/{id}', ClientChangeInput, 'Corrects a client’s own data as a new version.', [409]),
  row('get', '/api/bookings/proposals', 'Free times for `minutes` with `therapist` from a day on.', [400]),
  takes('post', '/api/visits', VisitInput, 'Books a visit, or a row of them.'),
  takes('put', '/api/visits/{id}/booking', BookingChangeInput, 'Moves a visit.'),
  row(
    'delete',
    '/api/visits/{id}/booking',
    'Cancels a visit; with `following=1` also the later ones of its row.',
    [400],
  ),
  row('get', '/api/calendar', 'One’s own visits as an iCalendar file.'),
  row('post', '/api/calendar', 'The secret address of one’s own feed; with `renew=1` a new one.'),
  row('get', '/api/calendar/{token}', 'A feed for calendar programs.'),
  takes('post', '/api/reminders', ReminderInput, 'Drives the simulated outbox.'),
];
