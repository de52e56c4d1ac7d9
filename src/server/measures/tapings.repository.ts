import type { ClientId, TherapistId, VisitId } from '../../core/ids';
import { sql } from 'kysely';
import type { TapingInput } from '../../contracts/record';
import type { TapingView } from '../../contracts/visit-views';
import type { LimbVolume } from '../../core/swelling/limb-volume';
import { type Pass, settleTaping } from '../../core/swelling/taping';
import type { TapingPhase } from '../../core/swelling/taping-context';
import type { Db } from '../db/connection';
import type { TapingRow } from '../db/schema';
import { againColumn, contextColumn, girthsColumn, positionsColumn } from './measures.documents';

export function toTaping(row: TapingRow, volume: LimbVolume | null): TapingView {
  const positions = positionsColumn.read(row.positions_json);
  const first: Pass = {
    affected: girthsColumn.read(row.affected_json),
    reference: girthsColumn.read(row.reference_json),
  };
  const again = row.again_json === null ? undefined : againColumn.read(row.again_json);
  const raw = {
    limb: row.limb,
    side: row.side,
    unit: row.unit,
    positions,
    first,
    second: again?.second ?? null,
    third: again?.third ?? null,
  };
  return {
    ...raw,
    ...(again ? settleTaping(raw) : { ...first, unresolved: { affected: [], reference: [] } }),
    version: row.version,
    phase: row.phase,
    method: row.method as TapingView['method'],
    protocol: row.protocol,
    context: contextColumn.read(row.context_json),
    takenAt: row.taken_at,
    visitId: row.visit_id,
    therapistId: row.recorded_by,
    volume,
  };
}

/** Newest versions of a visit's tapings, the one saved last at the end. */
export async function listTapingsOfVisit(db: Db, visitId: VisitId): Promise<readonly TapingRow[]> {
  return db
    .selectFrom('taping')
    .selectAll()
    .where('visit_id', '=', visitId)
    .where('is_latest', '=', sql.lit(1))
    .orderBy('id')
    .execute();
}

/** The newest version of one limb's taping. */
export async function latestTaping(
  db: Db,
  visitId: VisitId,
  phase: TapingPhase,
  limb: 'arm' | 'leg',
): Promise<TapingRow | undefined> {
  return db
    .selectFrom('taping')
    .selectAll()
    .where('visit_id', '=', visitId)
    .where('phase', '=', phase)
    .where('limb', '=', limb)
    .where('is_latest', '=', sql.lit(1))
    .executeTakeFirst();
}

/** The last taping of a client before a moment, not one taken after the work. */
export async function lastTapingBefore(
  db: Db,
  clientId: ClientId,
  before: string,
  exceptVisitId: number,
): Promise<TapingRow | undefined> {
  return db
    .selectFrom('taping')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('is_latest', '=', sql.lit(1))
    .where('taken_at', '<', before)
    .where('phase', '!=', 'after')
    .where((eb) => eb.or([eb('visit_id', 'is', null), eb('visit_id', '!=', exceptVisitId)]))
    .orderBy('taken_at', 'desc')
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
}

/** The newest version of every taping of a client, oldest first. */
export async function listTapingsOfClient(db: Db, clientId: ClientId): Promise<readonly TapingRow[]> {
  return db
    .selectFrom('taping')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('is_latest', '=', sql.lit(1))
    .orderBy('taken_at')
    .orderBy('id')
    .execute();
}

/** Which tapings of a client count, oldest first, without their numbers. */
export const listTapingKeys = (db: Db, clientId: ClientId) =>
  db
    .selectFrom('taping')
    .select(['id', 'recorded_at', 'recorded_by', 'visit_id'])
    .where('client_id', '=', clientId)
    .where('is_latest', '=', sql.lit(1))
    .orderBy('taken_at')
    .orderBy('id')
    .execute();

export async function listTapings(db: Db, ids: readonly number[]): Promise<readonly TapingRow[]> {
  return db.selectFrom('taping').selectAll().where('id', 'in', ids).orderBy('id', 'desc').execute();
}

/** Which tapings a therapist took twice over, the newest first; with when, since an erased one's id may come again. */
export async function newestDoubleTapings(
  db: Db,
  therapistId: TherapistId,
  limit: number,
): Promise<readonly Pick<TapingRow, 'id' | 'recorded_at'>[]> {
  return db
    .selectFrom('taping')
    .select(['id', 'recorded_at'])
    .where('recorded_by', '=', therapistId)
    .where('again_json', 'is not', null)
    .where('is_latest', '=', sql.lit(1))
    .orderBy('id', 'desc')
    .limit(limit)
    .execute();
}

export interface NewTaping {
  readonly clientId: ClientId;
  readonly visitId: VisitId | null;
  readonly takenAt: string;
  readonly version: number;
  readonly taping: Omit<TapingInput, 'source' | 'basedOn'>;
  readonly source: TapingRow['source'];
  readonly volume: LimbVolume | null;
  readonly by: number | null;
  readonly now: string;
}

/** Adds a version; the one before it is kept and no longer the newest. */
export async function insertTaping(db: Db, input: NewTaping): Promise<void> {
  const { taping, volume } = input;
  await db.insertInto('taping').values(rowOf(input, volume)).execute();
  if (input.version > 1 && input.visitId !== null)
    await db
      .updateTable('taping')
      .set({ is_latest: 0 })
      .where('visit_id', '=', input.visitId)
      .where('phase', '=', taping.phase)
      .where('limb', '=', taping.limb)
      .where('version', '<', input.version)
      .where('is_latest', '=', sql.lit(1))
      .execute();
}

function rowOf({ taping, ...input }: NewTaping, volume: LimbVolume | null) {
  return {
    client_id: input.clientId,
    visit_id: input.visitId,
    taken_at: input.takenAt,
    phase: taping.phase,
    version: input.version,
    limb: taping.limb,
    side: taping.side,
    unit: taping.unit,
    method: taping.method,
    protocol: taping.protocol,
    positions_json: positionsColumn.write(taping.positions),
    affected_json: girthsColumn.write(taping.affected),
    reference_json: girthsColumn.write(taping.reference),
    again_json: taping.second ? againColumn.write({ second: taping.second, third: taping.third }) : null,
    context_json: contextColumn.write(taping.context),
    affected_ml: volume?.affectedMl ?? null,
    reference_ml: volume?.referenceMl ?? null,
    excess_ml: volume?.excessMl ?? null,
    excess_percent: volume?.excessPercent ?? null,
    affected_sd_ml: volume?.affectedSdMl ?? null,
    excess_sd_ml: volume?.excessSdMl ?? null,
    source: input.source,
    recorded_at: input.now,
    recorded_by: input.by,
  };
}

/** Many at once, such as an import brings; `after` is called between packs and may throw to stop. */
export async function insertTapings(
  db: Db,
  all: readonly NewTaping[],
  after: (done: number) => void | Promise<void>,
): Promise<void> {
  const pack = 100;
  for (let from = 0; from < all.length; from += pack) {
    const rows = all.slice(from, from + pack).map((input) => rowOf(input, input.volume));
    await db.insertInto('taping').values(rows).execute();
    await after(Math.min(all.length, from + pack));
  }
}

/** When, in which phase and on which limb a client was taped. */
export const listTapedDays = (db: Db, clientId: ClientId) =>
  db
    .selectFrom('taping')
    .select(['taken_at', 'phase', 'limb'])
    .where('client_id', '=', clientId)
    .where('is_latest', '=', sql.lit(1))
    .execute();
