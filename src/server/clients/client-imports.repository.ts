import { sql } from 'kysely';
import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';

const mostShown = 20;

export async function insertImport(
  db: Db,
  { at, by, file }: { readonly at: string; readonly by: number | null; readonly file: string },
): Promise<number> {
  const row = await db
    .insertInto('client_import')
    .values({ at, by, file, undone_at: null })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

export interface ImportedClient {
  readonly clientId: ClientId;
  readonly kind: 'added' | 'completed';
  /** As the import left the record. */
  readonly version: number;
  /** As the import found it; 0 for somebody new. */
  readonly beforeVersion: number;
}

export async function insertImported(db: Db, importId: number, all: readonly ImportedClient[]): Promise<void> {
  if (all.length === 0) return;
  const rows = all.map(({ clientId, kind, version, beforeVersion }) => ({
    ...{ import_id: importId, client_id: clientId, kind, version, before_version: beforeVersion },
  }));
  await db
    .insertInto('client_import_row')
    .values(rows)
    // Two rows may complete the same record: the later version is what the import left, the first what it found.
    .onConflict((oc) => oc.doUpdateSet((eb) => ({ version: eb.ref('excluded.version') })))
    .execute();
}

/** The next of an import’s clients behind one of them, by number. */
export async function nextImported(
  db: Db,
  importId: number,
  after: number,
  most: number,
): Promise<readonly ImportedClient[]> {
  const rows = await db
    .selectFrom('client_import_row')
    .select(['client_id', 'kind', 'version', 'before_version'])
    .where('import_id', '=', importId)
    .where('client_id', '>', after as ClientId)
    .orderBy('client_id')
    .limit(most)
    .execute();
  return rows.map(({ client_id, kind, version, before_version }) => ({
    ...{ clientId: client_id, kind, version, beforeVersion: before_version },
  }));
}

export async function countImported(db: Db, importId: number): Promise<number> {
  const row = await db
    .selectFrom('client_import_row')
    .select((eb) => eb.fn.countAll<number>().as('count'))
    .where('import_id', '=', importId)
    .executeTakeFirstOrThrow();
  return row.count;
}

export const findImport = (db: Db, id: number) =>
  db.selectFrom('client_import').selectAll().where('id', '=', id).executeTakeFirst();

export async function setUndone(db: Db, id: number, at: string): Promise<void> {
  await db.updateTable('client_import').set({ undone_at: at }).where('id', '=', id).execute();
}

/** Writes down what an import has come to, with each pack of it: should the server end, it can be taken back all the same. */
export async function setOutcome(db: Db, id: number, outcome: { added: number; completed: number }): Promise<void> {
  await db.updateTable('client_import').set(outcome).where('id', '=', id).execute();
}

/** The last imports that came to something, the newest first. */
export const listImports = (db: Db) =>
  db
    .selectFrom('client_import')
    .leftJoin('therapist', 'therapist.id', 'client_import.by')
    .selectAll('client_import')
    .select('therapist.name as by_name')
    .where((eb) => eb.or([eb('added', '>', 0), eb('completed', '>', 0)]))
    .orderBy('client_import.id', 'desc')
    .limit(mostShown)
    .execute();

/**
 * Takes a client away who came with an import and has not been touched since. The house’s foreign keys say whether
 * anything hangs on them. @returns false when something does, or their data were changed: they stay
 */
export async function removeUntouched(db: Db, importId: number, one: ImportedClient): Promise<boolean> {
  await forgetImported(db, importId, one.clientId);
  try {
    const { numDeletedRows } = await db
      .deleteFrom('client')
      .where('id', '=', one.clientId)
      .where('version', '=', one.version)
      .where('merged_into', 'is', null)
      .where('archived_at', 'is', null)
      .executeTakeFirst();
    if (numDeletedRows > 0n) return true;
  } catch (error) {
    if (!(error instanceof Error && error.message.includes('FOREIGN KEY'))) throw error;
  }
  await insertImported(db, importId, [one]);
  return false;
}

/** Lets an import no longer know of a client. */
export async function forgetImported(db: Db, importId: number, clientId: ClientId): Promise<void> {
  await db
    .deleteFrom('client_import_row')
    .where('import_id', '=', importId)
    .where('client_id', '=', clientId)
    .execute();
}

/** A client’s data as a version of theirs found them. */
export const findVersion = (db: Db, clientId: ClientId, version: number) =>
  db
    .selectFrom('client_version')
    .selectAll()
    .where('client_id', '=', clientId)
    .where('version', '=', version)
    .executeTakeFirst();

/** Everybody who can be met, with what they are recognised by. */
export const listPeople = (db: Db) =>
  db
    .selectFrom('client')
    .select(['id', 'name', 'born_on', 'phone', 'email'])
    .where('merged_into', 'is', null)
    .orderBy('id')
    .execute();

/** Whole records, some at a time, in the order of their numbers. */
export const nextClients = (db: Db, after: number, most: number) =>
  db
    .selectFrom('client')
    .selectAll()
    .where('id', '>', after)
    .where('merged_into', 'is', null)
    .orderBy('id')
    .limit(most)
    .execute();

/** The words by which clients are searched. */
const indexes = ['client_words', 'client_letters'] as const;

/**
 * Takes many clients out within a transaction. Usually the search index wipes each of them at once, some milliseconds
 * for every one; here it notes them as gone, and `tidyIndexes` wipes them together.
 */
export async function removeTogether<T>(trx: Db, removing: () => Promise<T>): Promise<T> {
  const wipeAtOnce = async (isOn: 0 | 1) => {
    for (const index of indexes)
      await sql`insert into ${sql.table(index)} (${sql.ref(index)}, rank) values ('secure-delete', ${sql.lit(isOn)})`.execute(
        trx,
      );
  };
  await wipeAtOnce(0);
  const result = await removing();
  await wipeAtOnce(1);
  return result;
}

const pagesAtOnce = 200;

/** Wipes what was noted as gone, some pages at a time. @param breathe lets others work in between */
export async function tidyIndexes(db: Db, breathe: () => Promise<void>): Promise<void> {
  for (const index of indexes) {
    // The first call marks all parts as one; each one after it merges some pages, until there is nothing left to do.
    for (let pages = -pagesAtOnce; ; pages = pagesAtOnce) {
      const before = await changesOf(db);
      await sql`insert into ${sql.table(index)} (${sql.ref(index)}, rank) values ('merge', ${sql.lit(pages)})`.execute(
        db,
      );
      if ((await changesOf(db)) - before < 2) break;
      await breathe();
    }
  }
}

/** Rows changed by this connection since it was opened: by it FTS5 says whether a merge had anything to do. */
async function changesOf(db: Db): Promise<number> {
  const { rows } = await sql<{ changes: number }>`select total_changes() as changes`.execute(db);
  return rows[0]?.changes ?? 0;
}
