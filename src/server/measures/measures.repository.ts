import type { ClientId, VisitId } from '../../core/ids';
import type { ObservationInput, ObservationKind, ObservationValue, ProtocolInput } from '../../contracts/measures';
import type { ObservationView } from '../../contracts/measure-views';
import type { TapeProtocol } from '../../core/swelling/protocol';
import type { ReferralLevel } from '../../core/swelling/referral';
import type { ClientMeasuring } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import type { ObservationRow, ReferralFlagRow, TapeProtocolRow } from '../db/schema';
import { clientMeasuringColumn, positionsColumn, valueColumn } from './measures.documents';

export async function findClientMeasuring(db: Db, clientId: ClientId): Promise<ClientMeasuring> {
  const row = await db.selectFrom('client').select('measuring_json').where('id', '=', clientId).executeTakeFirst();
  return clientMeasuringColumn.read(row?.measuring_json ?? '{}');
}

export async function storeClientMeasuring(db: Db, clientId: ClientId, measuring: ClientMeasuring): Promise<void> {
  await db
    .updateTable('client')
    .set({ measuring_json: clientMeasuringColumn.write(measuring) })
    .where('id', '=', clientId)
    .execute();
}

const ownPrefix = 'own-';

const toProtocol = (row: TapeProtocolRow): TapeProtocol => ({
  id: `${ownPrefix}${row.id}`,
  limb: row.limb,
  name: row.name,
  zero: row.zero,
  posture: row.posture,
  stop: row.stop,
  restMinutes: row.rest_minutes,
  positionsCm: positionsColumn.read(row.positions_json),
  eight: row.eight,
});

/** The house's own protocols that are still offered. */
export async function listOwnProtocols(db: Db): Promise<readonly TapeProtocol[]> {
  const rows = await db
    .selectFrom('tape_protocol')
    .selectAll()
    .where('archived_at', 'is', null)
    .orderBy('id')
    .execute();
  return rows.map(toProtocol);
}

export async function insertProtocol(db: Db, input: ProtocolInput, by: number | null, now: string): Promise<string> {
  const row = await db
    .insertInto('tape_protocol')
    .values({
      limb: input.limb,
      name: input.name,
      zero: input.zero,
      posture: input.posture,
      stop: input.stop,
      rest_minutes: input.restMinutes,
      positions_json: positionsColumn.write(input.positionsCm),
      eight: input.eight,
      made_at: now,
      made_by: by,
      archived_at: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return `${ownPrefix}${row.id}`;
}

/** Whether any taping was made by a protocol: then its points stand for good. */
export async function isProtocolInUse(db: Db, id: string): Promise<boolean> {
  const row = await db.selectFrom('taping').select('id').where('protocol', '=', id).limit(1).executeTakeFirst();
  return row !== undefined;
}

const ownKey = (id: string) => Number(id.slice(ownPrefix.length));

export async function updateProtocol(db: Db, id: string, input: ProtocolInput): Promise<boolean> {
  const result = await db
    .updateTable('tape_protocol')
    .set({
      limb: input.limb,
      name: input.name,
      zero: input.zero,
      posture: input.posture,
      stop: input.stop,
      rest_minutes: input.restMinutes,
      positions_json: positionsColumn.write(input.positionsCm),
      eight: input.eight,
    })
    .where('id', '=', ownKey(id))
    .where('archived_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

export async function archiveProtocol(db: Db, id: string, now: string): Promise<boolean> {
  const result = await db
    .updateTable('tape_protocol')
    .set({ archived_at: now })
    .where('id', '=', ownKey(id))
    .where('archived_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

export function toObservation(row: ObservationRow): ObservationView {
  return {
    key: row.id,
    kind: row.kind as ObservationKind,
    phase: row.phase,
    place: row.place,
    value: valueColumn(row.kind as ObservationKind).read(row.value_json),
    takenAt: row.taken_at,
    visitId: row.visit_id,
    by: row.recorded_by,
  } as ObservationView;
}

/** What stands on record of a client, oldest first. */
export async function listObservationsOfClient(db: Db, clientId: ClientId): Promise<readonly ObservationView[]> {
  const rows = await db
    .selectFrom('observation')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('ended_at', 'is', null)
    .orderBy('taken_at')
    .orderBy('id')
    .execute();
  return rows.map(toObservation);
}

/** What of these kinds was seen before the work of some visits, oldest first. */
export async function listSeenBefore(
  db: Db,
  visits: readonly VisitId[],
  kinds: readonly ObservationKind[],
): Promise<readonly ObservationView[]> {
  const rows = await db
    .selectFrom('observation')
    .selectAll()
    .where('visit_id', 'in', visits)
    .where('phase', '=', 'before')
    .where('kind', 'in', kinds)
    .where('ended_at', 'is', null)
    .orderBy('taken_at')
    .orderBy('id')
    .execute();
  return rows.map(toObservation);
}

/** At which visits of a client anything was observed; asked visit by visit, since each has many. */
export async function listObservedVisits(db: Db, clientId: ClientId): Promise<readonly VisitId[]> {
  const rows = await db
    .selectFrom('visit')
    .select('id')
    .where('client_id', '=', clientId)
    .where(({ exists, selectFrom }) =>
      exists(
        selectFrom('observation')
          .select('observation.id')
          .whereRef('observation.visit_id', '=', 'visit.id')
          .where('observation.ended_at', 'is', null),
      ),
    )
    .execute();
  return rows.map(({ id }) => id);
}

/** How each visit was felt, as it was asked last: before the work, or after it. */
export async function lastScoresByVisit(
  db: Db,
  clientId: ClientId,
): Promise<ReadonlyMap<VisitId | null, ObservationValue<'scores'>>> {
  const rows = await db
    .selectFrom('observation')
    .select(['visit_id', 'value_json'])
    .where('client_id', '=', clientId)
    .where('kind', '=', 'scores')
    .where('ended_at', 'is', null)
    .orderBy('taken_at')
    .orderBy('id')
    .execute();
  const texts = new Map(rows.map((row) => [row.visit_id, row.value_json]));
  const column = valueColumn('scores');
  return new Map([...texts].map(([visit, text]) => [visit, column.read(text)]));
}

export async function findObservation(db: Db, visitId: VisitId, key: number): Promise<ObservationRow | undefined> {
  return db
    .selectFrom('observation')
    .selectAll()
    .where('id', '=', key)
    .where('visit_id', '=', visitId)
    .where('ended_at', 'is', null)
    .executeTakeFirst();
}

export async function insertObservation(
  db: Db,
  owner: { readonly clientId: ClientId; readonly visitId: VisitId; readonly takenAt: string },
  input: ObservationInput,
  by: number | null,
  now: string,
): Promise<ObservationRow> {
  return db
    .insertInto('observation')
    .values({
      client_id: owner.clientId,
      visit_id: owner.visitId,
      taken_at: owner.takenAt,
      phase: input.phase,
      kind: input.kind,
      place: input.place,
      value_json: valueColumn(input.kind).write(input.value),
      replaces: input.replaces,
      recorded_at: now,
      recorded_by: by,
      ended_at: null,
      ended_by: null,
    })
    .returningAll()
    .executeTakeFirstOrThrow();
}

export async function endObservation(db: Db, key: number, by: number | null, now: string): Promise<void> {
  await db.updateTable('observation').set({ ended_at: now, ended_by: by }).where('id', '=', key).execute();
}

/** Flags of a client that nobody has closed, most recent first. */
export async function listOpenFlags(db: Db, clientId: ClientId): Promise<readonly ReferralFlagRow[]> {
  return db
    .selectFrom('referral_flag')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('closed_at', 'is', null)
    .orderBy('id', 'desc')
    .execute();
}

export async function insertFlag(
  db: Db,
  owner: { readonly clientId: ClientId; readonly visitId: VisitId },
  flag: { readonly rule: string; readonly level: ReferralLevel; readonly why: string },
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('referral_flag')
    .values({
      client_id: owner.clientId,
      visit_id: owner.visitId,
      ...flag,
      raised_at: now,
      raised_by: by,
      closed_at: null,
      closed_by: null,
    })
    .execute();
}

/** @returns whether there was such a flag to close */
export async function closeFlag(
  db: Db,
  clientId: ClientId,
  id: number,
  note: string,
  by: number | null,
  now: string,
): Promise<boolean> {
  const result = await db
    .updateTable('referral_flag')
    .set({ closed_at: now, closed_by: by, close_note: note })
    .where('id', '=', id)
    .where('client_id', '=', clientId)
    .where('closed_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

/** Redness and bruises as they were found at a visit before the work. */
export const listSkinBefore = (db: Db, visitId: VisitId) =>
  db
    .selectFrom('observation')
    .select(['kind', 'place', 'value_json'])
    .where('visit_id', '=', visitId)
    .where('ended_at', 'is', null)
    .where('phase', '=', 'before')
    .where('kind', 'in', ['redness', 'bruising'])
    .orderBy('id')
    .execute();
