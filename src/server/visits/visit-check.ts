import { checkGates, screeningBook } from '../../catalogue/screening/screening';
import type { GateId } from '../../core/visit/check-gates';
import { makeVisitCheck, type VisitCheck } from '../../core/visit/visit-check';
import type { StoredFinding } from '../screening/findings.repository';
import { isoDay, shortDay } from '../shared/house-clock';
import { visitsAnswers } from './visits.answers';

const tablesOfCheck = () => ({
  conditions: screeningBook.conditions.values(),
  redFlags: screeningBook.redFlags,
  gates: checkGates,
});

/** The check of a client with nothing on record. */
export const visitCheck = makeVisitCheck(tablesOfCheck());

/** What the check of a visit depends on. */
interface Checked {
  readonly startsAt: string;
  readonly stored: readonly StoredFinding[];
  readonly isFirst: boolean;
  readonly modalities: readonly string[];
  readonly client: { readonly age: number | null };
  readonly dueOn: string | null;
}

/** What stands on record and is told at a gate instead of being asked again. */
function toldOf({ stored, dueOn }: Checked): ReadonlyMap<GateId, readonly string[]> {
  const notes = stored.flatMap(({ id, clearance }) =>
    clearance === null
      ? []
      : [
          visitsAnswers.noteOf(
            screeningBook.conditions.get(id)?.label ?? id,
            shortDay(clearance.date),
            clearance.writtenBy,
          ),
        ],
  );
  return new Map([
    ['new', notes],
    ['pregnant', dueOn === null ? [] : [visitsAnswers.dueOn(shortDay(dueOn))]],
  ]);
}

/**
 * The check of a visit: what was found on an earlier day is asked afresh, what the work does not ask is left out.
 * @param lastVisit how the day of the last visit is called
 */
export function visitCheckFor(visit: Checked, lastVisit?: string): VisitCheck {
  const day = isoDay(visit.startsAt);
  const earlier = visit.stored.filter((finding) => isoDay(finding.recordedAt) < day).map((finding) => finding.id);
  return makeVisitCheck(tablesOfCheck(), {
    onRecord: new Set(earlier),
    work: visit.modalities,
    isFirst: visit.isFirst,
    ageYears: visit.client.age,
    told: toldOf(visit),
    lastVisit,
  });
}
