import { sql } from 'kysely';
import type { Protocol } from '../../core/library/protocol';
import type { Technique } from '../../core/library/technique';
import type { Db } from '../db/connection';
import type { LibraryEntryRow } from '../db/schema';
import { protocolColumn, techniqueColumn } from './library.documents';

export type EntryKind = LibraryEntryRow['kind'];

/** What the house has of its own right now: the newest version of everything that was not taken away. */
export async function listOwnEntries(db: Db): Promise<readonly LibraryEntryRow[]> {
  return db
    .selectFrom('library_entry')
    .selectAll()
    .where('is_latest', '=', sql.lit(1))
    .where('removed_at', 'is', null)
    .orderBy('id')
    .execute();
}

/** The newest version, also of what was taken away. */
export async function findEntry(db: Db, kind: EntryKind, key: string): Promise<LibraryEntryRow | undefined> {
  return db
    .selectFrom('library_entry')
    .selectAll()
    .where('kind', '=', kind)
    .where('key', '=', key)
    .where('is_latest', '=', sql.lit(1))
    .executeTakeFirst();
}

/** A technique or a protocol, whichever it is. */
export type LibraryDocument =
  | { readonly kind: 'technique'; readonly document: Technique }
  | { readonly kind: 'protocol'; readonly document: Protocol };

export type NewEntry = LibraryDocument & { readonly by: number | null; readonly now: string };

/** Adds a version; those before it are kept. @returns its number */
export async function insertEntry(db: Db, entry: NewEntry): Promise<number> {
  const { kind, by, now } = entry;
  const key = entry.document.id;
  const known = await findEntry(db, kind, key);
  const version = (known?.version ?? 0) + 1;
  if (known) await db.updateTable('library_entry').set({ is_latest: 0 }).where('id', '=', known.id).execute();
  await db
    .insertInto('library_entry')
    .values({
      kind,
      key,
      version,
      document_json:
        entry.kind === 'technique' ? techniqueColumn.write(entry.document) : protocolColumn.write(entry.document),
      made_at: now,
      made_by: by,
      removed_at: null,
    })
    .execute();
  return version;
}

/** Takes an own version away. @returns false when there is none */
export async function removeEntry(db: Db, kind: EntryKind, key: string, now: string): Promise<boolean> {
  const result = await db
    .updateTable('library_entry')
    .set({ removed_at: now })
    .where('kind', '=', kind)
    .where('key', '=', key)
    .where('is_latest', '=', sql.lit(1))
    .where('removed_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}
