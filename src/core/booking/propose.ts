import type { Minutes } from '../quantities';
/** Free times for a visit on one therapist's day. Minutes count from midnight of that day, in the house's own clock. */

export interface BusySpan {
  readonly fromMinute: number;
  readonly toMinute: number;
}

export interface BookingWish {
  readonly minutes: Minutes;
  /** Between one client's leaving and the next one's coming: airing, fresh linen, hands. */
  readonly tidyMinutes: Minutes;
  /** Before the visit, for what has to be warm: 0 when nothing has. */
  readonly warmUpMinutes: Minutes;
  /** Nothing starts before this, such as now. */
  readonly notBeforeMinute: number;
}

export interface Proposal {
  readonly startMinute: number;
  /** When the stones go into the bath; the same as the start when nothing is warmed. */
  readonly warmUpFromMinute: number;
  /** Free minutes that would be left before and after: small gaps are good, they leave the day whole. */
  readonly gapMinutes: Minutes;
}

const startGridMinutes = 15;

/**
 * All starts on the grid at which the visit fits: within the therapist's hours, with tidying after every visit (also
 * after the proposed one), and warming up after the hours have begun, which may overlap the visit before.
 * Best first: the least time left over beside a neighbour or an end of the day, then the earliest.
 */
export function proposeStarts(hours: BusySpan, taken: readonly BusySpan[], wish: BookingWish): readonly Proposal[] {
  const proposals: Proposal[] = [];
  const first = Math.ceil(Math.max(hours.fromMinute + wish.warmUpMinutes, wish.notBeforeMinute) / startGridMinutes);
  for (let start = first * startGridMinutes; start + wish.minutes <= hours.toMinute; start += startGridMinutes) {
    const end = start + wish.minutes;
    if (!isFree(taken, start, end, wish.tidyMinutes)) continue;
    proposals.push({
      startMinute: start,
      warmUpFromMinute: start - wish.warmUpMinutes,
      gapMinutes: leastGap(hours, taken, start, end, wish.tidyMinutes),
    });
  }
  return proposals.sort((a, b) => a.gapMinutes - b.gapMinutes || a.startMinute - b.startMinute);
}

/** Whether a visit from `start` to `end` leaves time to tidy before it and after it. */
export function isFree(taken: readonly BusySpan[], start: number, end: number, tidyMinutes: Minutes): boolean {
  return taken.every((span) => span.toMinute + tidyMinutes <= start || end + tidyMinutes <= span.fromMinute);
}

function leastGap(
  hours: BusySpan,
  taken: readonly BusySpan[],
  start: number,
  end: number,
  tidyMinutes: Minutes,
): number {
  const before = Math.max(
    hours.fromMinute,
    ...taken.filter((s) => s.toMinute <= start).map((s) => s.toMinute + tidyMinutes),
  );
  const after = Math.min(
    hours.toMinute,
    ...taken.filter((s) => s.fromMinute >= end).map((s) => s.fromMinute - tidyMinutes),
  );
  return Math.max(0, Math.min(start - before, after - end));
}
