import { anatomy } from '../../catalogue/anatomy';
import type { TreatmentHolds } from '../../contracts/treatment';
import { lineWorkId } from '../../core/facial/line-work';
import type { Purpose } from '../../core/drainage/case';
import type { OilNeeds } from '../../core/room/oil-needs';
import type { RoomItem } from '../../core/room/room-list';
import { workInWords } from '../../core/visit/words';
import type { VisitRow } from '../db/schema';
import type { HouseLibrary } from '../library/read-library';

/** What a visit holds beside or instead of drainage, as it was booked or last planned. */
export interface VisitHolds {
  readonly holds: TreatmentHolds;
  /** In words, for lists. */
  readonly name: string;
  /** Kinds of work that it gives. */
  readonly modalities: readonly string[];
  readonly room: readonly RoomItem[];
  readonly oil?: OilNeeds | undefined;
}

export const drainageWork: readonly string[] = ['lymph-drainage', 'reroute-drainage'];

type HeldRow = Pick<VisitRow, 'holds_json' | 'focus_json' | 'purpose'>;

/** @returns null for drainage of the visit's focus alone */
export const holdsOf = (row: Pick<VisitRow, 'holds_json'>): VisitHolds | null =>
  row.holds_json === '' ? null : (JSON.parse(row.holds_json) as VisitHolds);

/** What a visit is about, in a few words. */
export const workOf = (row: HeldRow): string =>
  holdsOf(row)?.name ?? workInWords(anatomy, JSON.parse(row.focus_json) as string[], row.purpose as Purpose);

/** Kinds of work that a visit is for, as screening names them. */
export const modalitiesOf = (row: Pick<VisitRow, 'holds_json'>): readonly string[] =>
  holdsOf(row)?.modalities ?? drainageWork;

/** What was chosen, in words; what the planner works out is said by where and why. */
export function nameOfHolds(library: HouseLibrary, holds: TreatmentHolds, drainage: string): string {
  const names = holds.choices.map(({ protocol }) => {
    if (protocol === lineWorkId) return 'lines of the face';
    const known = library.protocols.get(protocol);
    return known?.source === 'planner' ? drainage : (known?.name ?? protocol);
  });
  return [...new Set(names)].join(' + ');
}
