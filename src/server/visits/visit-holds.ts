import { anatomy } from '../../catalogue/anatomy';
import type { TreatmentHolds } from '../../contracts/treatment';
import { lineWorkId } from '../../core/facial/line-work';
import type { Purpose } from '../../core/drainage/case';
import { workInWords } from '../../core/visit/words';
import type { VisitRow } from '../db/schema';
import type { HouseLibrary } from '../library/read-library';
import { focusColumn, holdsColumn, type VisitHolds } from './visit.documents';
import { visitsAnswers } from './visits.answers';

export const drainageWork: readonly string[] = ['lymph-drainage', 'reroute-drainage'];

/** Stages in which the hands have been on the client. */
export const givenStages: ReadonlySet<string> = new Set(['table', 'close', 'done']);

type HeldRow = Pick<VisitRow, 'holds_json' | 'focus_json' | 'purpose'>;

/** @returns null for drainage of the visit's focus alone */
export const storedWork = (row: Pick<VisitRow, 'holds_json'>): VisitHolds | null =>
  row.holds_json === '' ? null : holdsColumn.read(row.holds_json);

/** What a visit is about, in a few words. */
export const workOf = (row: HeldRow): string =>
  storedWork(row)?.name ?? workInWords(anatomy, focusColumn.read(row.focus_json), row.purpose as Purpose);

/** Kinds of work that a visit is for, as screening names them. */
export const modalitiesOf = (row: Pick<VisitRow, 'holds_json'>): readonly string[] =>
  storedWork(row)?.modalities ?? drainageWork;

/** What was chosen, in words; what the planner works out is said by where and why. */
export function nameOfHolds(library: HouseLibrary, holds: TreatmentHolds, drainage: string): string {
  const names = holds.choices.map(({ protocol }) => {
    if (protocol === lineWorkId) return visitsAnswers.linesOfTheFace;
    const known = library.protocols.get(protocol);
    return known?.source === 'planner' ? drainage : (known?.name ?? protocol);
  });
  return [...new Set(names)].join(' + ');
}

/** The same for those who do not treat: the kind of work, without places and why. */
export const workForDesk = (row: HeldRow): string => storedWork(row)?.name ?? visitsAnswers.lymphDrainage;
