import type { VisitId } from '../../core/ids';
import type { Irritation } from '../../core/judgement/judgement';
import type { Db } from '../db/connection';
import { listSkinBefore } from './measures.repository';
import { valueColumn } from './measures.documents';

const redEnough = 2;

/** Places found red or bruised at a visit before the work: nothing that stimulates the skin goes there. */
export async function readIrritated(db: Db, visitId: VisitId): Promise<ReadonlyMap<string, Irritation>> {
  const rows = await listSkinBefore(db, visitId);
  const places = new Map<string, Irritation>();
  for (const { kind, place, value_json } of rows) {
    const { grade } = valueColumn(kind === 'redness' ? 'redness' : 'bruising').read(value_json);
    if (place === null) continue;
    if (kind === 'redness' && grade >= redEnough) places.set(place, { rule: 'redness', grade });
    if (kind === 'bruising' && grade > 0) places.set(place, { rule: 'bruising', grade });
  }
  return places;
}
