import type { VisitRecord } from './visit-record';
import { screeningBook } from '../../catalogue/screening/screening';
import type { DrainageCase } from '../../core/drainage/case';
import { pregnancyOn, trimesters } from '../../core/screening/pregnancy';
import type { StoredFinding } from '../screening/findings.repository';
import { drainageOf } from '../screening/describe-finding';
import { isoDay } from '../shared/house-clock';
import { type ScreeningCase, screenDrainage } from '../screening/screen-visit';

/** What screening is asked about a visit: all that is on the record, and the red flags of the day. */
export function screeningCaseOf(visit: VisitRecord): ScreeningCase {
  const flags = screeningBook.redFlags.filter(({ id }) => visit.answers[id] === 'yes');
  return {
    visitDate: isoDay(visit.startsAt),
    age: visit.client.age,
    findings: inTrimester(visit),
    flagged: flags.map((flag) => flag.condition),
    qualifications: visit.therapist.qualifications,
    overrides: visit.overrides,
  };
}

/** A pregnancy with a due date is in the trimester of the day of the visit, whatever it was when it was written down. */
function inTrimester(visit: VisitRecord): readonly StoredFinding[] {
  const now = visit.dueOn === null ? undefined : pregnancyOn(visit.dueOn, isoDay(visit.startsAt));
  if (!now) return visit.stored;
  return visit.stored.map((finding) => (trimesters.includes(finding.id) ? { ...finding, id: now.condition } : finding));
}

/** The case that a visit stands for right now. */
export function caseOf(
  visit: VisitRecord,
  wish: Partial<Pick<DrainageCase, 'school' | 'minutes' | 'fill' | 'use' | 'refuse'>> = {},
): DrainageCase {
  return {
    focus: visit.focus,
    purpose: visit.purpose,
    findings: drainageOf(visit.stored),
    school: wish.school ?? visit.school,
    minutes: wish.minutes ?? visit.minutes,
    fill: wish.fill ?? false,
    ...(wish.use && wish.use.length > 0 ? { use: wish.use } : {}),
    ...(wish.refuse && wish.refuse.length > 0 ? { refuse: wish.refuse } : {}),
    qualifications: visit.therapist.qualifications,
    screened: screenDrainage(screeningCaseOf(visit)),
  };
}
