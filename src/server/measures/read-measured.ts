import type { ChangeView } from '../../contracts/change-views';
import type { LimbCourse } from '../../contracts/progress-views';
import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';
import { listClosingsOfClient } from '../visits/closings.repository';
import { listVisitsOfClient } from '../visits/visits.repository';
import { listObservationsOfClient } from './measures.repository';
import { changesOf } from './read-changes';
import { readCourses } from './read-courses';

/** What was measured of a client, as far as it is a course over visits. */
export interface Measured {
  readonly changes: readonly ChangeView[];
  readonly courses: readonly LimbCourse[];
}

/** All that was measured of a client at any visit, with the courses that it makes. */
export async function readMeasured(db: Db, clientId: ClientId) {
  const [{ courses, measuring }, observations, visits, closings] = await Promise.all([
    readCourses(db, clientId),
    listObservationsOfClient(db, clientId),
    listVisitsOfClient(db, clientId),
    listClosingsOfClient(db, clientId),
  ]);
  const changes = changesOf(visits.toReversed(), observations, closings, measuring);
  return { observations, visits, courses, changes };
}
