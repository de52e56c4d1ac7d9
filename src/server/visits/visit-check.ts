import { screeningBook } from '../../catalogue/screening/screening';
import { makeVisitCheck, type VisitCheck } from '../../core/visit/visit-check';
import type { StoredFinding } from '../screening/findings.repository';
import { isoDay } from '../shared/house-clock';

/** The check of a client with nothing on record. */
export const visitCheck = makeVisitCheck(screeningBook.conditions.values(), screeningBook.redFlags);

/** The check of a visit: what was found on an earlier day is asked afresh. */
export function visitCheckFor(visit: {
  readonly startsAt: string;
  readonly stored: readonly StoredFinding[];
  readonly isFirst: boolean;
}): VisitCheck {
  const day = isoDay(visit.startsAt);
  const earlier = visit.stored.filter((finding) => isoDay(finding.recordedAt) < day).map((finding) => finding.id);
  const check = makeVisitCheck(screeningBook.conditions.values(), screeningBook.redFlags, new Set(earlier));
  if (!visit.isFirst) return check;
  return { ...check, others: check.others.filter(({ id }) => id !== 'borne-badly') };
}
