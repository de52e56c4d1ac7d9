import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';

/** Tapings that a newer version has replaced, with what stands in that one. */
export const listReplacedTapings = (db: Db, clientId: ClientId) =>
  db
    .selectFrom('taping')
    .innerJoin('taping as next', (join) =>
      join
        .onRef('next.visit_id', '=', 'taping.visit_id')
        .onRef('next.phase', '=', 'taping.phase')
        .onRef('next.limb', '=', 'taping.limb')
        .on((eb) => eb('next.version', '=', eb('taping.version', '+', 1))),
    )
    .select([
      'next.recorded_at as at',
      'next.recorded_by as by',
      'taping.phase',
      'taping.affected_json',
      'taping.reference_json',
    ])
    .select('next.affected_json as next_affected')
    .select('next.reference_json as next_reference')
    .where('taping.client_id', '=', clientId)
    .execute();

/** Closings that said something and that a newer version has replaced. */
export const listReplacedClosings = (db: Db, clientId: ClientId) =>
  db
    .selectFrom('closing')
    .innerJoin('visit', 'visit.id', 'closing.visit_id')
    .innerJoin('closing as next', (join) =>
      join
        .onRef('next.visit_id', '=', 'closing.visit_id')
        .on((eb) => eb('next.version', '=', eb('closing.version', '+', 1))),
    )
    .select(['next.recorded_at as at', 'next.recorded_by as by', 'closing.comfort', 'closing.redness', 'closing.note'])
    .where('visit.client_id', '=', clientId)
    .where((eb) => eb.or([eb('closing.note', '!=', ''), eb('closing.comfort', 'is not', null)]))
    .execute();
