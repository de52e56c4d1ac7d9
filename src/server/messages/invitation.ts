import ical, { ICalAttendeeStatus, ICalCalendarMethod, ICalEventClass, ICalEventStatus } from 'ical-generator';

export interface Invited {
  readonly visitId: number;
  /** Grows with each change: calendars keep the newest. */
  readonly sequence: number;
  readonly startsAt: string;
  readonly minutes: number;
  readonly isCancelled: boolean;
  readonly summary: string;
  readonly house: { readonly name: string; readonly address: string };
  readonly client: { readonly name: string; readonly address: string };
}

/**
 * A visit for the client's own calendar (iTIP, RFC 5546): it is asked for, or taken away again. It says when and where,
 * and nothing of what for. No answer is asked for: whoever cannot come rings.
 */
export function writeInvitation(invited: Invited, now: Date): string {
  const start = new Date(invited.startsAt);
  const calendar = ical({
    prodId: { company: 'Velvet Stone', product: 'Visits', language: 'EN' },
    method: invited.isCancelled ? ICalCalendarMethod.CANCEL : ICalCalendarMethod.REQUEST,
  });
  calendar.createEvent({
    id: `visit-${invited.visitId}-client@velvet-stone`,
    ...{ sequence: invited.sequence, start, stamp: now, summary: invited.summary },
    end: new Date(start.getTime() + invited.minutes * 60_000),
    status: invited.isCancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    class: ICalEventClass.PRIVATE,
    organizer: { name: invited.house.name, email: invited.house.address },
    attendees: [
      { name: invited.client.name, email: invited.client.address, rsvp: false, status: ICalAttendeeStatus.NEEDSACTION },
    ],
  });
  return calendar.toString();
}
