import type { TherapistId } from '../../core/ids';
import { randomBytes } from 'node:crypto';
import ical, { ICalCalendarMethod, ICalEventClass, ICalEventStatus } from 'ical-generator';
import { addDays } from 'date-fns';
import type { Db } from '../db/connection';
import { findHouse, findStaff } from '../people/people.repository';
import { changeSettings, findSettings } from '../people/settings.repository';
import { initialsOf } from '../people/save-staff';
import { listForCalendar } from '../visits/visits.repository';

/** The secret address of somebody's calendar; a new one makes the old one useless. */
export async function feedToken(db: Db, staffId: TherapistId, isRenewed: boolean): Promise<string> {
  const feeds = Object.entries((await findSettings(db)).feeds ?? {});
  const known = feeds.find(([, id]) => id === staffId)?.[0];
  if (known && !isRenewed) return known;
  const token = randomBytes(18).toString('base64url');
  const kept = feeds.filter(([, id]) => id !== staffId);
  await changeSettings(db, { feeds: Object.fromEntries([...kept, [token, staffId]]) });
  return token;
}

/** @returns the person whose feed has that token */
export async function staffOfFeed(db: Db, token: string): Promise<number | undefined> {
  const { feeds = {} } = await findSettings(db);
  return Object.hasOwn(feeds, token) ? feeds[token] : undefined;
}

/**
 * A therapist's visits as a calendar (RFC 5545), from a month ago on; cancelled ones stay in it as cancelled, so that
 * programs that follow the feed take them away. Clients are given by initials: calendars travel to many devices.
 */
export async function writeCalendar(db: Db, staffId: TherapistId, now: Date): Promise<string> {
  const [house, person, visits] = await Promise.all([
    findHouse(db),
    findStaff(db, staffId),
    listForCalendar(db, staffId, addDays(now, -31).toISOString()),
  ]);
  const calendar = ical({
    name: `${house?.name ?? 'Visits'}, ${person?.name ?? ''}`,
    prodId: { company: 'Velvet Stone', product: 'Visits', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 900,
  });
  for (const visit of visits) {
    const start = new Date(visit.starts_at);
    calendar.createEvent({
      id: `visit-${visit.id}@velvet-stone`,
      sequence: visit.sequence,
      start,
      end: new Date(start.getTime() + visit.minutes * 60_000),
      stamp: now,
      summary: `${initialsOf(visit.client)}, ${visit.minutes} min`,
      location: person?.room ?? '',
      status: visit.cancelled_at ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      class: ICalEventClass.PRIVATE,
    });
  }
  return calendar.toString();
}
