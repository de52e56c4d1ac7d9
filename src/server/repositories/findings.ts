import type { PlacedFindingInput } from '../../contracts/record';
import type { PlacedFinding } from '../../contracts/views';
import type { FindingId } from '../../core/drainage/case';
import type { Db } from '../db/connection';
import type { FindingRow } from '../db/schema';

function toFinding(row: FindingRow): PlacedFinding {
  return {
    key: row.id,
    id: row.kind as FindingId,
    ...(row.side ? { side: row.side as 'left' | 'right' | 'both' } : {}),
    ...(row.regions_json ? { regions: JSON.parse(row.regions_json) as string[] } : {}),
    ...(row.crosses_json ? { crosses: JSON.parse(row.crosses_json) as [string, string][] } : {}),
    sinceOn: row.since_on,
    note: row.note,
  };
}

/** Findings that hold, as they were placed; oldest first. */
export async function listFindings(db: Db, clientId: number): Promise<readonly PlacedFinding[]> {
  const rows = await db
    .selectFrom('finding')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('ended_at', 'is', null)
    .orderBy('id')
    .execute();
  return rows.map(toFinding);
}

export async function insertFinding(
  db: Db,
  clientId: number,
  given: PlacedFindingInput,
  by: number | null,
  now: string,
): Promise<number> {
  const row = await db
    .insertInto('finding')
    .values({
      client_id: clientId,
      kind: given.id,
      side: given.side ?? null,
      regions_json: given.regions ? JSON.stringify(given.regions) : null,
      crosses_json: given.crosses ? JSON.stringify(given.crosses) : null,
      since_on: given.sinceOn,
      note: given.note,
      recorded_at: now,
      recorded_by: by,
      ended_at: null,
      ended_by: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** A finding that no longer holds stays in the history with who ended it and when. @returns whether it held until now */
export async function endFinding(
  db: Db,
  clientId: number,
  key: number,
  by: number | null,
  now: string,
): Promise<boolean> {
  const result = await db
    .updateTable('finding')
    .set({ ended_at: now, ended_by: by })
    .where('id', '=', key)
    .where('client_id', '=', clientId)
    .where('ended_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}
