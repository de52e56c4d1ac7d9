import type { ClientId, TherapistId, VisitId } from '../../core/ids';
import type { ClosingInput } from '../../contracts/closing';
import type { ClosingView } from '../../contracts/closing-view';
import type { Db } from '../db/connection';
import type { ClosingRow } from '../db/schema';
import { type ClosingMore, closingMoreColumn, noMore } from './visit.documents';

function toClosing(row: ClosingRow): ClosingView {
  return {
    version: row.version,
    pressure: row.pressure as ClosingView['pressure'],
    comfort: row.comfort,
    redness: row.redness,
    rednessBefore: row.redness_before,
    fadeMinutes: row.fade_minutes,
    warmth: row.warmth,
    scent: row.scent,
    relaxationBefore: row.relaxation_before,
    relaxationAfter: row.relaxation_after,
    note: row.note,
    ...closingMoreColumn.read(row.more_json),
  };
}

export async function latestClosing(db: Db, visitId: VisitId): Promise<ClosingView | undefined> {
  const row = await db
    .selectFrom('closing')
    .selectAll()
    .where('visit_id', '=', visitId)
    .orderBy('version', 'desc')
    .executeTakeFirst();
  return row && toClosing(row);
}

/** The same of several visits at once: visit → newest version. */
export async function latestClosingsOf(db: Db, visitIds: readonly number[]): Promise<ReadonlyMap<number, ClosingView>> {
  if (visitIds.length === 0) return new Map();
  const rows = await db
    .selectFrom('closing')
    .selectAll()
    .where('visit_id', 'in', visitIds)
    .orderBy('version')
    .execute();
  return new Map(rows.map((row) => [row.visit_id, toClosing(row)]));
}

export async function insertClosing(
  db: Db,
  visitId: VisitId,
  version: number,
  input: Omit<ClosingInput, keyof ClosingMore> & Partial<ClosingMore>,
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('closing')
    .values({
      visit_id: visitId,
      version,
      pressure: input.pressure,
      comfort: input.comfort,
      redness: input.redness,
      redness_before: input.rednessBefore,
      fade_minutes: input.fadeMinutes,
      warmth: input.warmth,
      scent: input.scent,
      relaxation_before: input.relaxationBefore,
      relaxation_after: input.relaxationAfter,
      note: input.note,
      recorded_at: now,
      recorded_by: by,
      more_json: closingMoreColumn.write(moreOf({ ...noMore, ...input })),
    })
    .execute();
}

const moreOf = ({ noteDoc, byClient, oilMl, stonesUsed, aftercare }: ClosingMore): ClosingMore => ({
  ...{ noteDoc, byClient, oilMl, stonesUsed, aftercare },
});

export interface SignatureRecord {
  readonly version: number;
  readonly therapistId: TherapistId | null;
  readonly signedAt: string;
}

/** Who signed the record of a visit, and which version of it; oldest first. */
export async function listSignatures(db: Db, visitId: VisitId): Promise<readonly SignatureRecord[]> {
  const rows = await db.selectFrom('signature').selectAll().where('visit_id', '=', visitId).orderBy('id').execute();
  return rows.map((row) => ({
    ...{ version: row.closing_version, therapistId: row.therapist_id, signedAt: row.signed_at },
  }));
}

export async function insertSignature(db: Db, visitId: VisitId, input: SignatureRecord): Promise<void> {
  await db
    .insertInto('signature')
    .values({
      ...{ visit_id: visitId, closing_version: input.version },
      ...{ therapist_id: input.therapistId, signed_at: input.signedAt },
    })
    .execute();
}

/** Visit of a client → what was asked at its end, newest version. */
export async function listClosingsOfClient(db: Db, clientId: ClientId): Promise<ReadonlyMap<number, ClosingView>> {
  const rows = await db
    .selectFrom('closing')
    .innerJoin('visit', 'visit.id', 'closing.visit_id')
    .selectAll('closing')
    .where('visit.client_id', '=', clientId)
    .orderBy('closing.version')
    .execute();
  return new Map(rows.map((row) => [row.visit_id, toClosing(row)]));
}

/** How red the skin was at the last visit before a time, and how long. */
export const lastReactionBefore = (db: Db, clientId: ClientId, before: string) =>
  db
    .selectFrom('closing')
    .innerJoin('visit', 'visit.id', 'closing.visit_id')
    .select(['closing.redness', 'closing.redness_before', 'closing.fade_minutes', 'visit.starts_at'])
    .where('visit.client_id', '=', clientId)
    .where('visit.starts_at', '<', before)
    .orderBy('visit.starts_at', 'desc')
    .orderBy('closing.version', 'desc')
    .limit(1)
    .executeTakeFirst();
