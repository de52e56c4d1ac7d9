import type { LimbCourse } from '../../contracts/progress-views';
import type { ClientId, VisitId } from '../../core/ids';
import { type MeasuringSettings, volumeSettings } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import { findMeasuring } from '../people/settings.repository';
import { whenErased } from '../shared/erased';
import { limitsBy, readErrorsOf } from './change-limits';
import { findClientMeasuring } from './measures.repository';
import { coursesOf } from './read-course';
import { listTapingKeys, listTapingsOfClient, toTaping } from './tapings.repository';

interface Taped {
  /** One for each limb and side, the one taped last first. */
  readonly courses: readonly LimbCourse[];
  /** Visits with a taping that counts; null: brought in without one. */
  readonly visits: readonly (VisitId | null)[];
  /** What the house has decided about measuring. */
  readonly measuring: MeasuringSettings;
}

interface Known {
  /** All that the courses are made of. A taping is never changed, only replaced: the same ones say the same. */
  readonly key: string;
  readonly courses: readonly LimbCourse[];
}

const knownCourses = new WeakMap<Db, Map<ClientId, Known>>();
const mostKnown = 40;

whenErased((db, clientId) => knownCourses.get(db)?.delete(clientId));

/** The courses that a client's tapings make; Progress, its details and the closing of a visit ask for the same ones. */
export async function readCourses(db: Db, clientId: ClientId): Promise<Taped> {
  const [measuring, own, tapings] = await Promise.all([
    findMeasuring(db),
    findClientMeasuring(db, clientId),
    listTapingKeys(db, clientId),
  ]);
  const settings = volumeSettings(measuring, own);
  const errors = await readErrorsOf(db, settings, tapings);
  const visits = tapings.map(({ visit_id }) => visit_id);
  const known = knownCourses.get(db) ?? new Map<ClientId, Known>();
  knownCourses.set(db, known);
  const key = JSON.stringify([tapings, measuring, own, [...errors]]);
  const before = known.get(clientId);
  if (before?.key === key) return { courses: before.courses, visits, measuring };
  const rows = await listTapingsOfClient(db, clientId);
  const limits = limitsBy(measuring, errors);
  const courses = coursesOf(
    rows.map((row) => toTaping(row, null)),
    measuring,
    settings,
    limits,
    own.baselineOn,
  );
  if (known.size >= mostKnown) known.clear();
  known.set(clientId, { key, courses });
  return { courses, visits, measuring };
}
