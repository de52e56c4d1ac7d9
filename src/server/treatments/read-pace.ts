import { type OwnPace, ownPaces } from '../../core/library/own-pace';
import type { Library } from '../../core/library/protocol';
import type { TechniqueId, TherapistId } from '../../core/ids';
import { takesOf } from '../../core/table/takes';
import type { Db } from '../db/connection';
import { findPaceOf } from '../people/people.repository';
import { listEvents, listLatestFinishedBy } from '../table/table-events.repository';
import { stepsColumn } from '../visits/plan.documents';
import { latestSteps } from '../visits/visits.repository';

/** How fast a therapist works, and whether their plans are made so. */
export interface TherapistPace {
  readonly own: ReadonlyMap<TechniqueId, OwnPace>;
  /** Plans of whoever is learning keep to the library’s pace. */
  readonly isLearning: boolean;
  /** What is planned where a plan does not say. */
  readonly isUsual: boolean;
}

/** A habit is what was done lately; older treatments are not opened. */
const visitsLookedAt = 30;

/** The pace of the therapist of a visit, from the treatments that they brought to their end at the table. */
export async function readPace(db: Db, therapist: TherapistId, { techniques }: Library): Promise<TherapistPace> {
  const { isLearning, plansAtOwnPace } = await findPaceOf(db, therapist);
  if (isLearning) return { own: new Map(), isLearning, isUsual: false };
  const visits = await listLatestFinishedBy(db, therapist, visitsLookedAt);
  const takes = await Promise.all(
    visits.map(async (visit) => {
      const steps = await latestSteps(db, visit);
      return steps === undefined ? [] : takesOf(stepsColumn.read(steps), await listEvents(db, visit));
    }),
  );
  return { own: ownPaces(techniques, takes.flat()), isLearning, isUsual: plansAtOwnPace };
}
