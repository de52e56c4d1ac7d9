import type { ClientId } from '../../core/ids';
import type { ClearanceInput, PlacedFindingInput } from '../../contracts/record';
import type { Db } from '../db/connection';
import type { FindingRow } from '../db/schema';
import { answersColumn, clearanceColumn, crossesColumn, regionsColumn } from './screening.documents';

/** A finding as it stands on the record, before it is put into words. */
export interface StoredFinding {
  readonly key: number;
  readonly id: string;
  readonly side?: 'left' | 'right' | 'both';
  readonly regions?: readonly string[];
  readonly crosses?: readonly (readonly string[])[];
  readonly sinceOn: string | null;
  readonly note: string;
  readonly isUnsure: boolean;
  readonly source: 'therapist' | 'client';
  readonly answers: Readonly<Record<string, string>>;
  readonly clearance: ClearanceInput | null;
  readonly recordedAt: string;
}

/** A finding that was ended or corrected, with who and when. */
export interface PastFinding extends StoredFinding {
  readonly recordedBy: number | null;
  readonly endedAt: string;
  readonly endedBy: number | null;
  readonly endReason: string;
  readonly replacedBy: number | null;
}

function toFinding(row: FindingRow): StoredFinding {
  return {
    key: row.id,
    id: row.kind,
    ...(row.side ? { side: row.side as 'left' | 'right' | 'both' } : {}),
    ...(row.regions_json ? { regions: regionsColumn.read(row.regions_json) } : {}),
    ...(row.crosses_json ? { crosses: crossesColumn.read(row.crosses_json) } : {}),
    sinceOn: row.since_on,
    note: row.note,
    isUnsure: row.is_unsure === 1,
    source: row.source,
    answers: answersColumn.read(row.answers_json),
    clearance: row.clearance_json ? clearanceColumn.read(row.clearance_json) : null,
    recordedAt: row.recorded_at,
  };
}

/** Findings that hold, as they were placed; oldest first. */
export async function listFindings(db: Db, clientId: ClientId): Promise<readonly StoredFinding[]> {
  const rows = await db
    .selectFrom('finding')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('ended_at', 'is', null)
    .orderBy('id')
    .execute();
  return rows.map(toFinding);
}

/** Findings that hold, of several clients at once. */
export async function listFindingsOf(
  db: Db,
  clientIds: readonly number[],
): Promise<ReadonlyMap<number, readonly StoredFinding[]>> {
  const byClient = new Map<number, StoredFinding[]>(clientIds.map((id) => [id, []]));
  if (clientIds.length === 0) return byClient;
  const rows = await db
    .selectFrom('finding')
    .selectAll()
    .where('client_id', 'in', clientIds)
    .where('ended_at', 'is', null)
    .orderBy('id')
    .execute();
  for (const row of rows) byClient.get(row.client_id)?.push(toFinding(row));
  return byClient;
}

/** Findings that no longer hold, newest first. */
export async function listPastFindings(db: Db, clientId: ClientId): Promise<readonly PastFinding[]> {
  const rows = await db
    .selectFrom('finding')
    .leftJoin('finding as next', 'next.replaces', 'finding.id')
    .selectAll('finding')
    .select('next.id as replaced_by')
    .where('finding.client_id', '=', clientId)
    .where('finding.ended_at', 'is not', null)
    .orderBy('finding.ended_at', 'desc')
    .execute();
  return rows.map((row) => ({
    ...toFinding(row),
    recordedBy: row.recorded_by,
    endedAt: row.ended_at ?? '',
    endedBy: row.ended_by,
    endReason: row.end_reason,
    replacedBy: row.replaced_by,
  }));
}

/** What a finding is placed with; all but its name may be left out. */
export interface NewFinding extends Pick<PlacedFindingInput, 'id'>, Partial<Omit<PlacedFindingInput, 'id'>> {
  readonly source?: 'therapist' | 'client';
  readonly clearance?: ClearanceInput | null;
  /** The finding that it corrects. */
  readonly replaces?: number;
}

export async function insertFinding(
  db: Db,
  clientId: ClientId,
  input: NewFinding,
  by: number | null,
  now: string,
): Promise<number> {
  const row = await db
    .insertInto('finding')
    .values({
      client_id: clientId,
      kind: input.id,
      side: input.side ?? null,
      regions_json: input.regions ? regionsColumn.write(input.regions) : null,
      crosses_json: input.crosses ? crossesColumn.write(input.crosses) : null,
      since_on: input.sinceOn ?? null,
      note: input.note ?? '',
      is_unsure: input.isUnsure ? 1 : 0,
      answers_json: answersColumn.write(input.answers ?? {}),
      source: input.source ?? 'therapist',
      clearance_json: input.clearance ? clearanceColumn.write(input.clearance) : null,
      replaces: input.replaces ?? null,
      recorded_at: now,
      recorded_by: by,
      ended_at: null,
      ended_by: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** A finding that no longer holds stays in the history with who ended it, when and why. @returns whether it held until now */
/** It holds after all. @returns whether it was ended, and nothing has taken its place */
export async function unendFinding(db: Db, clientId: ClientId, key: number): Promise<boolean> {
  const result = await db
    .updateTable('finding')
    .set({ ended_at: null, ended_by: null, end_reason: '' })
    .where('id', '=', key)
    .where('client_id', '=', clientId)
    .where('ended_at', 'is not', null)
    .where(({ not, exists, selectFrom }) =>
      not(exists(selectFrom('finding as next').select('next.id').where('next.replaces', '=', key))),
    )
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

export async function endFinding(
  db: Db,
  clientId: ClientId,
  key: number,
  by: number | null,
  now: string,
  reason = '',
): Promise<boolean> {
  const result = await db
    .updateTable('finding')
    .set({ ended_at: now, ended_by: by, end_reason: reason })
    .where('id', '=', key)
    .where('client_id', '=', clientId)
    .where('ended_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}
