import type { VisitId } from '../../core/ids';
import { limitsOver } from '../../core/judgement/visit-limits';
import type { Db } from '../db/connection';
import { judgeVisit } from '../screening/judge-visit';
import { readVisitFrame } from '../visits/read-visit';

/** Kinds of work of a visit in which every step is said, and asked about, before it is done. */
export async function readAskedWork(db: Db, visitId: VisitId): Promise<readonly string[]> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return [];
  const judgement = judgeVisit(record);
  return record.modalities.filter((modality) => limitsOver(judgement, [{ modality, places: [] }]).askEachStep === true);
}
