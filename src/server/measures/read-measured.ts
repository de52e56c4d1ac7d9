import type { ChangeView } from '../../contracts/change-views';
import type { LimbCourse } from '../../contracts/progress-views';
import type { ClientId } from '../../core/ids';
import { volumeSettings } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import { findMeasuring } from '../people/settings.repository';
import { listClosingsOfClient } from '../visits/closings.repository';
import { listVisitsOfClient } from '../visits/visits.repository';
import { readChangeLimits } from './change-limits';
import { findClientMeasuring, listObservationsOfClient } from './measures.repository';
import { changesOf } from './read-changes';
import { coursesOf } from './read-course';
import { listTapingsOfClient, toTaping } from './tapings.repository';

/** What was measured of a client, as far as it is a course over visits. */
export interface Measured {
  readonly changes: readonly ChangeView[];
  readonly courses: readonly LimbCourse[];
}

/** All that was measured of a client at any visit, with the courses that it makes. */
export async function readMeasured(db: Db, clientId: ClientId) {
  const [measuring, own, rows, observations, visits, closings] = await Promise.all([
    findMeasuring(db),
    findClientMeasuring(db, clientId),
    listTapingsOfClient(db, clientId),
    listObservationsOfClient(db, clientId),
    listVisitsOfClient(db, clientId),
    listClosingsOfClient(db, clientId),
  ]);
  const settings = volumeSettings(measuring, own);
  const limits = await readChangeLimits(db, measuring, settings, rows);
  const tapings = rows.map((row) => toTaping(row, null));
  return {
    ...{ visits, observations, closings },
    courses: coursesOf(tapings, measuring, settings, limits, own.baselineOn),
    changes: changesOf(visits.toReversed(), observations, closings, measuring),
  };
}
