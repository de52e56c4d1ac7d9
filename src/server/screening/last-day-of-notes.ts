import { screeningBook } from '../../catalogue/screening/screening';
import type { ClientId } from '../../core/ids';
import { doesNoteCount, lastDayOfNote } from '../../core/screening/time';
import type { Db } from '../db/connection';
import { listFindings } from './findings.repository';

/**
 * The last day on which every written note that counts for some work on a day still does: work that rests on one may be
 * booked up to then. A note about other work ends nothing.
 * @returns undefined where none counts on that day
 */
export async function lastDayOfNotes(
  db: Db,
  clientId: ClientId,
  day: string,
  modalities: readonly string[],
): Promise<string | undefined> {
  const findings = await listFindings(db, clientId);
  const ends = findings.flatMap(({ id, clearance }) => {
    const validDays = screeningBook.conditions.get(id)?.clearanceValidDays;
    const isOfThisWork =
      clearance?.modalities === 'all' || modalities.some((one) => clearance?.modalities.includes(one));
    return clearance && isOfThisWork && doesNoteCount(clearance.date, undefined, day, validDays)
      ? [lastDayOfNote(clearance.date, validDays)]
      : [];
  });
  return ends.toSorted()[0];
}
