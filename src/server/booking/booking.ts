import type { Minutes } from '../../core/quantities';
import type { TherapistId, VisitId } from '../../core/ids';
import { randomUUID } from 'node:crypto';
import { addDays, addMinutes, differenceInCalendarDays, format, parseISO, set, startOfDay } from 'date-fns';
import { anatomy } from '../../catalogue/anatomy';
import type { BookingChangeInput, VisitInput } from '../../contracts/record';
import type { ProposalView } from '../../contracts/client-views';
import { expandArea } from '../../core/anatomy/areas';
import { type Proposal, proposeStarts, type BusySpan } from '../../core/booking/propose';
import { seriesDays } from '../../core/booking/series';
import { daysBetween } from '../../core/calendar/days';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { type StaffMember, findStaff } from '../people/people.repository';
import { insertAudit } from '../house/audit.repository';
import { findVisit, insertVisit, listFollowing, listVisits, moveTo, setCancelled } from '../visits/visits.repository';
import { foreseeTreatment, unknownChoices } from '../treatments/make-treatment';
import { drainageWork } from '../visits/visit-holds';
import { type HouseLibrary, readHouseLibrary } from '../library/read-library';
import { stoneWarmUpMinutes } from '../treatments/room-habits';
import { dayBounds, isoDay, longDay, shortDay } from '../shared/house-clock';
import { lastDayOfNotes } from '../screening/last-day-of-notes';
import { noteBooked, noteCancelled, noteMoved } from '../messages/queue-messages';
import type { Actor, SaveRefusal } from '../shared/saving';
import { bookingAnswers } from './booking.answers';

const tidyMinutes = 15;

const workday: readonly [string, string] = ['9:00', '18:00'];

/** The hours of somebody on a day; undefined when they do not work then. */
const hoursOn = (staff: StaffMember, day: Date): BusySpan | undefined => hoursOf(staff, day.getDay() || 7);

/** Days of the week on which somebody does not work: 1 Monday … 7 Sunday. */
export const daysOffOf = (staff: StaffMember): readonly number[] =>
  [1, 2, 3, 4, 5, 6, 7].filter((weekday) => !hoursOf(staff, weekday));

function hoursOf(staff: StaffMember, weekday: number): BusySpan | undefined {
  const isUsual = Object.keys(staff.hours).length === 0;
  const hours = isUsual ? (weekday === 7 ? undefined : workday) : staff.hours[String(weekday)];
  return hours && { fromMinute: minuteOf(hours[0]), toMinute: minuteOf(hours[1]) };
}

function minuteOf(time: string): number {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours * 60 + minutes;
}

const timeOf = (minute: number) => `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** Minutes from midnight by the clock on the wall, also on the two days a year on which it is put on or back. */
function wallMinuteOf(moment: Date, day: Date): number {
  return differenceInCalendarDays(moment, day) * 24 * 60 + moment.getHours() * 60 + moment.getMinutes();
}

/** What is taken of a therapist's day, by the clock on the wall; also what reaches into it from the day before. */
async function takenOn(db: Db, therapistId: TherapistId, day: Date, butVisit?: number): Promise<readonly BusySpan[]> {
  return (await listVisits(db, addDays(startOfDay(day), -1).toISOString(), dayBounds(day)[1]))
    .filter((visit) => visit.therapist_id === therapistId && visit.id !== butVisit)
    .map((visit) => ({
      fromMinute: wallMinuteOf(parseISO(visit.starts_at), day),
      toMinute: wallMinuteOf(addMinutes(parseISO(visit.starts_at), visit.minutes), day),
    }));
}

/** The best free times from a day on: at most two a day and person, over two weeks, until there are enough. */
export async function proposeTimes(
  db: Db,
  wish: {
    readonly from: Date;
    readonly minutes: Minutes;
    readonly withStones: boolean;
    readonly therapistIds: readonly number[];
    readonly butVisit?: number;
  },
  now: Date,
  enough = 6,
): Promise<readonly ProposalView[]> {
  const found: ProposalView[] = [];
  for (let ahead = 0; ahead < 14 && found.length < enough; ahead += 1) {
    const day = addDays(startOfDay(wish.from), ahead);
    for (const id of wish.therapistIds) {
      const staff = await findStaff(db, id);
      const hours = staff && !staff.leftAt ? hoursOn(staff, day) : undefined;
      if (!staff || !hours) continue;
      const proposals = proposeStarts(hours, await takenOn(db, id, day, wish.butVisit), {
        minutes: wish.minutes,
        tidyMinutes,
        warmUpMinutes: wish.withStones ? stoneWarmUpMinutes : 0,
        notBeforeMinute: Math.max(0, wallMinuteOf(now, day) + 1),
      });
      found.push(...proposals.slice(0, 2).map((proposal) => viewOf(proposal, day, staff)));
    }
  }
  return found.slice(0, enough).sort((a, b) => (a.startsAt < b.startsAt ? -1 : 1));
}

function viewOf(proposal: Proposal, day: Date, staff: StaffMember): ProposalView {
  const at = (minute: number) => set(day, { hours: Math.floor(minute / 60), minutes: minute % 60 });
  const startsAt = at(proposal.startMinute).toISOString();
  return {
    startsAt,
    date: isoDay(startsAt),
    day: format(parseISO(startsAt), 'EEE d MMM'),
    time: timeOf(proposal.startMinute),
    warmUpFrom: proposal.warmUpFromMinute < proposal.startMinute ? timeOf(proposal.warmUpFromMinute) : null,
    therapistId: staff.id,
    therapist: staff.name,
    why:
      proposal.gapMinutes === 0
        ? bookingAnswers.rightBesideAnotherVisitOrThe
        : bookingAnswers.leavesFreeMinutesBesideIt(proposal.gapMinutes),
  };
}

interface Booked {
  readonly kind: 'saved';
  readonly id: number;
  readonly ids: readonly number[];
  /** What of the row is otherwise than it was asked for; null: nothing. */
  readonly said: string | null;
}

/** Kinds of work that are booked: of a treatment those of its protocols, else a drainage. */
const bookedWork = (library: HouseLibrary, { holds }: VisitInput): readonly string[] =>
  holds?.choices.flatMap(({ protocol }) => library.protocols.get(protocol)?.modality ?? drainageWork) ?? drainageWork;

/** When the visits of a row are: on open days, at the same hour of the wall, and before a note on record runs out. */
async function startsOf(
  db: Db,
  { startsAt, repeat, clientId }: VisitInput,
  staff: StaffMember | undefined,
  modalities: readonly string[],
): Promise<{ readonly starts: readonly string[]; readonly said: string | null }> {
  if (!repeat || repeat.times < 2) return { starts: [startsAt], said: null };
  const firstDay = isoDay(startsAt);
  const lastDay = await lastDayOfNotes(db, clientId, firstDay, modalities);
  const found = seriesDays({ firstDay, ...repeat, daysOff: staff ? daysOffOf(staff) : [], lastDay });
  const starts = found.days.map((day) => addDays(parseISO(startsAt), daysBetween(firstDay, day)).toISOString());
  const said = [
    ...(found.shifted > 0 ? [bookingAnswers.shifted(found.shifted)] : []),
    ...(found.leftOut > 0 && lastDay !== undefined
      ? [bookingAnswers.leftOut(found.days.length, repeat.times, shortDay(`${lastDay}T12:00:00`))]
      : []),
  ];
  return { starts, said: said.length > 0 ? said.join(' ') : null };
}

/** Books a visit, or a row of them. Refused for an unknown client, therapist or area, or when the time is taken. */
export async function bookVisit(db: Db, input: VisitInput, actor: Actor): Promise<Booked | SaveRefusal> {
  const errors: FieldError[] = input.focus.flatMap((id, i) =>
    expandArea(anatomy, id) ? [] : [{ path: `focus.${i}`, message: bookingAnswers.thereIsNoArea(id) }],
  );
  const client = await findClient(db, input.clientId);
  if (!client || client.merged_into !== null)
    errors.push({ path: 'clientId', message: bookingAnswers.thereIsNoSuchClient });
  const staff = await findStaff(db, input.therapistId);
  if (!staff || staff.role === 'assistant' || staff.leftAt)
    errors.push({ path: 'therapistId', message: bookingAnswers.thereIsNoSuchTherapist });
  const library = await readHouseLibrary(db);
  if (input.holds) errors.push(...unknownChoices(library, input.holds).map(underHolds));
  if (errors.length > 0) return { kind: 'refused', errors };
  const { starts, said } = await startsOf(db, input, staff, bookedWork(library, input));
  const series = starts.length > 1 ? randomUUID() : null;
  const { holds, ...booked } = input;
  const result = await db.transaction().execute(async (trx) => {
    for (const startsAt of starts) {
      const taken = await collision(trx, { ...input, startsAt });
      if (taken) return { kind: 'refused', errors: [{ path: 'startsAt', message: taken }] } as const;
    }
    const ids: number[] = [];
    for (const startsAt of starts) {
      const id = await insertVisit(trx, { ...booked, startsAt }, series);
      ids.push(id);
      await insertAudit(trx, {
        at: actor.now.toISOString(),
        by: actor.therapistId,
        action: 'visit booked',
        subject: `visit ${id}`,
      });
    }
    await noteBooked(trx, ids, actor.now);
    return { kind: 'saved', id: ids[0] ?? 0, ids, said } as const;
  });
  if (result.kind === 'saved' && holds)
    for (const id of result.ids) await foreseeTreatment(db, id, { ...holds, minutes: input.minutes });
  return result;
}

const underHolds = ({ path, message }: FieldError): FieldError => ({ path: `holds.${path}`, message });

interface Wanted {
  readonly therapistId: TherapistId;
  readonly clientId: number;
  readonly startsAt: string;
  readonly minutes: Minutes;
  readonly butVisit?: number;
}

/**
 * Why a time cannot be had; undefined when it is free. Being at two tables at once is refused, for the therapist and for
 * the client, over midnight too; a short pause is not asked for.
 */
export async function collision(db: Db, wanted: Wanted): Promise<string | undefined> {
  const { therapistId, clientId, startsAt, minutes, butVisit } = wanted;
  const [from, to] = [parseISO(startsAt), addMinutes(parseISO(startsAt), minutes)];
  // No visit lasts longer than a day: what began before yesterday's time is over.
  const near = await listVisits(db, addDays(from, -1).toISOString(), to.toISOString());
  const overlapping = near.filter(
    ({ id, starts_at, minutes: lasts }) =>
      id !== butVisit && parseISO(starts_at) < to && addMinutes(parseISO(starts_at), lasts) > from,
  );
  const time = format(from, 'H:mm');
  if (overlapping.some(({ therapist_id }) => therapist_id === therapistId))
    return bookingAnswers.isTakenChooseAnotherTime(longDay(startsAt), time);
  if (overlapping.some(({ client_id }) => client_id === clientId))
    return bookingAnswers.theClientHasAnotherVisitOn(longDay(startsAt), time);
  return undefined;
}

/** Moves a visit to another time or therapist; the reminder moves along. */
export async function moveVisit(
  db: Db,
  visitId: VisitId,
  input: BookingChangeInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  return db.transaction().execute(async (trx) => {
    const visit = await findVisit(trx, visitId);
    if (!visit || visit.cancelled_at !== null) return { kind: 'not-found' } as const;
    if (visit.stage !== 'ask')
      return {
        kind: 'refused',
        errors: [{ path: 'startsAt', message: bookingAnswers.itHasBegunAndStays }],
      } as const;
    const staff = await findStaff(trx, input.therapistId);
    if (!staff || staff.role === 'assistant' || staff.leftAt)
      return {
        kind: 'refused',
        errors: [{ path: 'therapistId', message: bookingAnswers.thereIsNoSuchTherapist }],
      } as const;
    const { client_id: clientId, minutes } = visit;
    const taken = await collision(trx, { ...input, clientId, minutes, butVisit: visitId });
    if (taken) return { kind: 'refused', errors: [{ path: 'startsAt', message: taken }] } as const;
    const now = actor.now.toISOString();
    await moveTo(trx, visit, input);
    await noteMoved(trx, visitId, actor.now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'visit moved',
      subject: `visit ${visitId}`,
      detail: `from ${visit.starts_at}`,
    });
    return { kind: 'saved' } as const;
  });
}

/** Cancels a visit, or it and all later ones of its row. They stay on record as cancelled. */
export async function cancelVisit(
  db: Db,
  visitId: VisitId,
  reason: string,
  withFollowing: boolean,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly cancelled: number } | SaveRefusal> {
  return db.transaction().execute(async (trx) => {
    const visit = await findVisit(trx, visitId);
    if (!visit || visit.cancelled_at !== null) return { kind: 'not-found' } as const;
    if (visit.stage !== 'ask' && visit.stage !== 'stopped')
      return { kind: 'refused', errors: [{ path: '', message: bookingAnswers.itHasBegunCloseIt }] } as const;
    const now = actor.now.toISOString();
    const ids = visit.stage === 'stopped' || !withFollowing ? [visitId] : await listFollowing(trx, visit);
    for (const id of ids) {
      await setCancelled(trx, id, reason, now);
      await insertAudit(trx, {
        at: now,
        by: actor.therapistId,
        action: 'visit cancelled',
        subject: `visit ${id}`,
        detail: reason,
      });
    }
    for (const id of ids) await noteCancelled(trx, id, actor.now);
    return { kind: 'saved', cancelled: ids.length } as const;
  });
}
