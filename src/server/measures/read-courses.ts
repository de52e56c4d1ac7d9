import type { LimbCourse } from '../../contracts/progress-views';
import type { ClientId } from '../../core/ids';
import { type MeasuringSettings, volumeSettings } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import type { TapingRow } from '../db/schema';
import { findMeasuring } from '../people/settings.repository';
import { readChangeLimits } from './change-limits';
import { findClientMeasuring } from './measures.repository';
import { coursesOf } from './read-course';
import { listTapingsOfClient, toTaping } from './tapings.repository';

interface Taped {
  readonly rows: readonly TapingRow[];
  /** One for each limb and side, the one taped last first. */
  readonly courses: readonly LimbCourse[];
  /** What the house has decided about measuring. */
  readonly measuring: MeasuringSettings;
}

/** All that was taped of a client, with the courses that it makes. */
export async function readCourses(db: Db, clientId: ClientId): Promise<Taped> {
  const [measuring, own, rows] = await Promise.all([
    findMeasuring(db),
    findClientMeasuring(db, clientId),
    listTapingsOfClient(db, clientId),
  ]);
  const settings = volumeSettings(measuring, own);
  const limits = await readChangeLimits(db, measuring, settings, rows);
  const tapings = rows.map((row) => toTaping(row, null));
  return { rows, courses: coursesOf(tapings, measuring, settings, limits, own.baselineOn), measuring };
}
