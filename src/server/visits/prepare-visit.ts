import type { ClientId } from '../../core/ids';
import { screeningBook } from '../../catalogue/screening/screening';
import { noticeDays, type Preparation, preparationFor } from '../../core/visit/prepare';
import { addDays } from '../../core/calendar/days';
import { ageOn } from '../../core/visit/words';
import type { Db } from '../db/connection';
import type { StoredFinding } from '../screening/findings.repository';
import { describeFinding } from '../screening/describe-finding';
import { isoDay } from '../shared/house-clock';
import { readConsent, readIntakeDue } from '../screening/read-ask';
import { screenCase } from '../screening/screen-visit';
import { drainageWork } from './visit-holds';

interface Person {
  readonly bornOn: string | null;
  readonly findings: readonly StoredFinding[];
  /** Kinds of work that the visit is for; those of a drainage when left out. */
  readonly modalities?: readonly string[] | undefined;
}

/** Conditions whose written note is missing or has run out on a day, for the work of the house. */
export function missingNotes(
  { bornOn, findings, modalities = drainageWork }: Person,
  onDate: string,
): readonly string[] {
  const screening = screenCase(
    {
      visitDate: onDate,
      age: ageOn(bornOn, onDate),
      findings,
      flagged: [],
      // What is missing is a matter of the body, not of who treats it.
      qualifications: [...screeningBook.qualifications].map(({ id }) => id),
      overrides: [],
    },
    modalities,
  );
  return screening.questions.flatMap((question) =>
    question.kind === 'clearance' && question.condition !== undefined ? [question.condition] : [],
  );
}

/** What has to be seen to before a visit. */
export async function prepareVisit(
  db: Db,
  visit: {
    readonly clientId: ClientId;
    readonly startsAt: string;
    readonly focus: readonly string[];
    readonly isFirst: boolean;
    readonly isTaped: boolean;
    /** Questions of the check of the day without an answer. */
    readonly checkOpen?: number | undefined;
  } & Person,
): Promise<readonly Preparation[]> {
  const day = isoDay(visit.startsAt);
  const [intakeDue, consent] = await Promise.all([
    readIntakeDue(db, visit),
    readConsent(db, visit.clientId, visit.startsAt),
  ]);
  const notes = visit.findings.map((finding) => describeFinding(finding, day));
  return preparationFor({
    intakeDue,
    missingNotes: missingNotes(visit, day).map((id) => screeningBook.conditions.get(id)?.label.toLowerCase() ?? id),
    endingNotes: notes.flatMap(({ label, clearance }) =>
      clearance?.isValid && clearance.until <= addDays(day, noticeDays) ? [{ label, until: clearance.until }] : [],
    ),
    isConsentDue: consent === null || consent.isDue,
    focus: visit.focus,
    isDrained: (visit.modalities ?? drainageWork).includes('lymph-drainage'),
    hasRoomList: visit.modalities !== undefined,
    isTaped: visit.isTaped,
    checkOpen: visit.checkOpen ?? 0,
  });
}
