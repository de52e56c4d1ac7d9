import type { ClientId } from '../../core/ids';
import { sql } from 'kysely';
import type { Db } from '../db/connection';

/** Everything that hangs on a client, for merging, handing out and erasing. */

const ofClient = [
  'finding',
  'intake_answer',
  'consent',
  'taping',
  'observation',
  'referral_flag',
  'photo',
  'picture_answer',
  'attachment',
  'client_version',
  'treatment_template',
  'oil_mix',
  'smell_choice',
  'patch_test',
  'home_tick',
  'home_sheet',
] as const;
const ofVisit = [
  'visit_check',
  'plan',
  'table_event',
  'table_lead',
  'closing',
  'signature',
  'screening_override',
  'reminder',
  'visit_blend',
] as const;

export type Counts = Readonly<Record<(typeof ofClient)[number] | 'visit', number>>;

/** How much is on record of a client, table by table. */
export async function countOf(db: Db, clientId: ClientId): Promise<Counts> {
  const counts: Record<string, number> = {};
  for (const table of [...ofClient, 'visit'] as const) {
    const row = await db
      .selectFrom(table)
      .select((eb) => eb.fn.countAll<number>().as('count'))
      .where('client_id', '=', clientId)
      .executeTakeFirstOrThrow();
    counts[table] = row.count;
  }
  return counts as Counts;
}

/** The client and every record that was merged into it, however many times over. */
async function idsOf(db: Db, clientId: ClientId): Promise<readonly number[]> {
  const merged = await db.selectFrom('client').select('id').where('merged_into', '=', clientId).execute();
  const below = await Promise.all(merged.map(({ id }) => idsOf(db, id)));
  return [clientId, ...below.flat()];
}

/** Every row of a client as it is stored, also of what was merged into it; the content of files as base64. */
export async function rowsOfClient(db: Db, clientId: ClientId): Promise<Readonly<Record<string, readonly unknown[]>>> {
  const ids = await idsOf(db, clientId);
  const all: Record<string, readonly unknown[]> = {
    client: await db.selectFrom('client').selectAll().where('id', 'in', ids).execute(),
    visit: await db.selectFrom('visit').selectAll().where('client_id', 'in', ids).execute(),
  };
  for (const table of ofClient) {
    const rows = await db.selectFrom(table).selectAll().where('client_id', 'in', ids).execute();
    all[table] = rows.map((row) => ('content' in row ? { ...row, content: row.content.toString('base64') } : row));
  }
  for (const table of ofVisit) {
    all[table] = await db
      .selectFrom(table)
      .selectAll()
      .where('visit_id', 'in', db.selectFrom('visit').select('id').where('client_id', 'in', ids))
      .execute();
  }
  return all;
}

/** Moves all that hangs on one client to another. Versions of the data stay with the one that is left behind. */
export async function moveRows(db: Db, fromId: number, toId: number): Promise<void> {
  for (const table of [...ofClient.filter((name) => name !== 'client_version'), 'visit'] as const)
    await db.updateTable(table).set({ client_id: toId }).where('client_id', '=', fromId).execute();
}

/** Removes a client, what was merged into it and all that hangs on them; what the audit trail says about them keeps the act and loses the details. */
export async function eraseRows(db: Db, clientId: ClientId): Promise<void> {
  // The deepest first, so that no signpost points to what is gone.
  for (const id of (await idsOf(db, clientId)).toReversed()) await eraseOne(db, id);
}

async function eraseOne(db: Db, clientId: ClientId): Promise<void> {
  const visits = (await db.selectFrom('visit').select('id').where('client_id', '=', clientId).execute()).map(
    (v) => v.id,
  );
  if (visits.length > 0) {
    await db.updateTable('session').set({ handed_visit_id: null }).where('handed_visit_id', 'in', visits).execute();
    await db.updateTable('intake_answer').set({ visit_id: null }).where('visit_id', 'in', visits).execute();
    await db.updateTable('consent').set({ visit_id: null }).where('visit_id', 'in', visits).execute();
    for (const table of ofVisit) await db.deleteFrom(table).where('visit_id', 'in', visits).execute();
    const subjects = visits.map((id) => `visit ${id}`);
    await db.updateTable('audit').set({ detail: '' }).where('subject', 'in', subjects).execute();
  }
  await db.updateTable('audit').set({ detail: '' }).where('subject', '=', `client ${clientId}`).execute();
  await sql`update finding set replaces = null where client_id = ${clientId}`.execute(db);
  await sql`update observation set replaces = null where client_id = ${clientId}`.execute(db);
  for (const table of ofClient) await db.deleteFrom(table).where('client_id', '=', clientId).execute();
  await db.deleteFrom('client_import_row').where('client_id', '=', clientId).execute();
  await db.deleteFrom('visit').where('client_id', '=', clientId).execute();
  await db.deleteFrom('client').where('id', '=', clientId).execute();
}
