import type { ClientId } from '../../core/ids';
import type { PatchReading } from '../../core/oils/patch-test';
import type { Db } from '../db/connection';
import { readingsColumn } from './oils.documents';

export interface StoredPatchTest {
  readonly id: number;
  readonly clientId: ClientId;
  readonly client: string;
  readonly what: string;
  readonly placedAt: string;
  readonly readings: readonly { readonly readAt: string; readonly reading: PatchReading; readonly note: string }[];
}

const patchTests = (db: Db) =>
  db
    .selectFrom('patch_test')
    .innerJoin('client', 'client.id', 'patch_test.client_id')
    .select(['patch_test.id', 'client_id', 'client.name', 'what', 'placed_at', 'readings_json']);

const toPatchTest = (row: Awaited<ReturnType<ReturnType<typeof patchTests>['execute']>>[number]): StoredPatchTest => ({
  id: row.id,
  clientId: row.client_id,
  client: row.name,
  what: row.what,
  placedAt: row.placed_at,
  readings: readingsColumn.read(row.readings_json),
});

/** Tests that were not read to their end. */
export async function listOpenPatchTests(db: Db): Promise<readonly StoredPatchTest[]> {
  return (await patchTests(db).where('ended_at', 'is', null).orderBy('placed_at').execute()).map(toPatchTest);
}

export async function latestPatchTest(db: Db, clientId: ClientId): Promise<StoredPatchTest | undefined> {
  const row = await patchTests(db).where('client_id', '=', clientId).orderBy('placed_at', 'desc').executeTakeFirst();
  return row && toPatchTest(row);
}

export async function listPatchTests(db: Db, clientId: ClientId): Promise<readonly StoredPatchTest[]> {
  const rows = await patchTests(db).where('client_id', '=', clientId).orderBy('placed_at', 'desc').execute();
  return rows.map(toPatchTest);
}

export async function findPatchTest(db: Db, id: number): Promise<StoredPatchTest | undefined> {
  const row = await patchTests(db).where('patch_test.id', '=', id).executeTakeFirst();
  return row && toPatchTest(row);
}

export async function insertPatchTest(
  db: Db,
  input: { readonly clientId: ClientId; readonly what: string },
  by: number | null,
  now: string,
): Promise<number> {
  const row = await db
    .insertInto('patch_test')
    .values({ client_id: input.clientId, what: input.what, placed_at: now, placed_by: by, ended_at: null })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

export async function setReadings(
  db: Db,
  id: number,
  readings: StoredPatchTest['readings'],
  endedAt: string | null,
): Promise<void> {
  await db
    .updateTable('patch_test')
    .set({ readings_json: readingsColumn.write(readings), ended_at: endedAt })
    .where('id', '=', id)
    .execute();
}
