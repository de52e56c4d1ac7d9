import type { ClientId, VisitId } from '../../core/ids';
import type { HomeWish } from '../../contracts/home';
import type { HomeDone } from '../../core/homecare/rhythm';
import type { HomeSheet } from '../../core/homecare/sheet';
import type { Db } from '../db/connection';
import type { HomeSheetTable } from '../db/schema/home';
import type { Selectable } from 'kysely';
import { sheetColumn, wishColumn } from './home.documents';

/** A sheet as it was given. */
export interface StoredSheet {
  readonly id: number;
  readonly clientId: ClientId;
  readonly language: string;
  readonly wish: HomeWish;
  readonly sheet: HomeSheet;
  readonly madeBy: number | null;
  readonly madeAt: string;
  readonly endedAt: string | null;
}

const toSheet = (row: Selectable<HomeSheetTable>): StoredSheet => ({
  id: row.id,
  clientId: row.client_id,
  language: row.language,
  wish: wishColumn.read(row.wish_json),
  sheet: sheetColumn.read(row.sheet_json),
  madeBy: row.made_by,
  madeAt: row.made_at,
  endedAt: row.ended_at,
});

export async function findSheet(db: Db, id: number): Promise<StoredSheet | undefined> {
  const row = await db.selectFrom('home_sheet').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toSheet(row);
}

/** Sheets of a client, the newest first. */
export async function listSheets(db: Db, clientId: ClientId): Promise<readonly StoredSheet[]> {
  const rows = await db
    .selectFrom('home_sheet')
    .selectAll()
    .where('client_id', '=', clientId)
    .orderBy('made_at', 'desc')
    .orderBy('id', 'desc')
    .execute();
  return rows.map(toSheet);
}

export async function insertSheet(
  db: Db,
  input: Omit<StoredSheet, 'id' | 'endedAt'> & { readonly visitId: VisitId },
): Promise<number> {
  const { id } = await db
    .insertInto('home_sheet')
    .values({
      client_id: input.clientId,
      visit_id: input.visitId,
      routine: input.sheet.routine,
      language: input.language,
      wish_json: wishColumn.write(input.wish),
      sheet_json: sheetColumn.write(input.sheet),
      made_by: input.madeBy,
      made_at: input.madeAt,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** Sheets of a routine that are still in use end; another one takes their place. */
export async function endSheets(db: Db, clientId: ClientId, routine: string, now: string): Promise<void> {
  await db
    .updateTable('home_sheet')
    .set({ ended_at: now })
    .where('client_id', '=', clientId)
    .where('routine', '=', routine)
    .where('ended_at', 'is', null)
    .execute();
}

export async function endSheet(db: Db, id: number, now: string): Promise<void> {
  await db.updateTable('home_sheet').set({ ended_at: now }).where('id', '=', id).execute();
}

/** A new link takes the place of older ones. */
export async function insertLink(
  db: Db,
  link: { readonly tokenHash: string; readonly sheetId: number; readonly madeAt: string; readonly expiresAt: string },
): Promise<void> {
  await revokeLinks(db, link.sheetId, link.madeAt);
  await db
    .insertInto('home_link')
    .values({
      token_hash: link.tokenHash,
      sheet_id: link.sheetId,
      made_at: link.madeAt,
      expires_at: link.expiresAt,
      revoked_at: null,
    })
    .execute();
}

export async function revokeLinks(db: Db, sheetId: number, now: string): Promise<void> {
  await db
    .updateTable('home_link')
    .set({ revoked_at: now })
    .where('sheet_id', '=', sheetId)
    .where('revoked_at', 'is', null)
    .execute();
}

/** @returns undefined for a link that never was, was taken back, or has run out */
export async function findLink(
  db: Db,
  tokenHash: string,
  now: string,
): Promise<{ readonly sheetId: number; readonly expiresAt: string } | undefined> {
  const row = await db
    .selectFrom('home_link')
    .select(['sheet_id', 'expires_at'])
    .where('token_hash', '=', tokenHash)
    .where('revoked_at', 'is', null)
    .where('expires_at', '>', now)
    .executeTakeFirst();
  return row && { sheetId: row.sheet_id, expiresAt: row.expires_at };
}

/** Sheet → until when its link works. */
export async function linksOf(db: Db, sheetIds: readonly number[], now: string): Promise<ReadonlyMap<number, string>> {
  if (sheetIds.length === 0) return new Map();
  const rows = await db
    .selectFrom('home_link')
    .select(['sheet_id', 'expires_at'])
    .where('sheet_id', 'in', sheetIds)
    .where('revoked_at', 'is', null)
    .where('expires_at', '>', now)
    .execute();
  return new Map(rows.map(({ sheet_id, expires_at }) => [sheet_id, expires_at]));
}

export interface HomeTick extends HomeDone {
  readonly id: string;
  readonly sheetId: number;
  readonly origin: 'link' | 'paper';
}

/** Everything that a client ticked, oldest first. @param from only from this day on */
export async function listTicks(db: Db, clientId: ClientId, from = ''): Promise<readonly HomeTick[]> {
  const rows = await db
    .selectFrom('home_tick')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('day', '>=', from)
    .orderBy('day')
    .orderBy('ticked_at')
    .execute();
  return rows.map(({ id, sheet_id, modality, day, origin }) => ({
    ...{ id, sheetId: sheet_id, modality, day },
    origin: origin === 'paper' ? ('paper' as const) : ('link' as const),
  }));
}

/** Again with the same id changes nothing. */
export async function insertTicks(db: Db, clientId: ClientId, ticks: readonly HomeTick[], now: string): Promise<void> {
  if (ticks.length === 0) return;
  await db
    .insertInto('home_tick')
    .values(
      ticks.map(({ id, sheetId, modality, day, origin }) => ({
        ...{ id, client_id: clientId, sheet_id: sheetId, modality, day, origin, ticked_at: now },
      })),
    )
    .onConflict((oc) => oc.column('id').doNothing())
    .execute();
}
