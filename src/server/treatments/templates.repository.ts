import type { Minutes } from '../../core/quantities';
import type { ClientId } from '../../core/ids';
import type { TemplateInput, TreatmentHolds } from '../../contracts/treatment';
import type { Db } from '../db/connection';
import { templateColumn } from './treatments.documents';

export interface StoredTemplate {
  readonly id: number;
  readonly clientId: ClientId | null;
  readonly name: string;
  readonly minutes: Minutes;
  readonly holds: TreatmentHolds;
}

/** Those of the house, and what is usual for a client, the newest first. */
export async function listTemplates(db: Db, clientId: ClientId | null): Promise<readonly StoredTemplate[]> {
  const rows = await db
    .selectFrom('treatment_template')
    .selectAll()
    .where('removed_at', 'is', null)
    .where((eb) =>
      clientId === null
        ? eb('client_id', 'is', null)
        : eb.or([eb('client_id', 'is', null), eb('client_id', '=', clientId)]),
    )
    .orderBy('id', 'desc')
    .execute();
  return rows.map(({ id, client_id, name, holds_json }) => ({
    id,
    clientId: client_id,
    name,
    ...templateColumn.read(holds_json),
  }));
}

/** Keeps a template; what was usual for the client before is taken away. */
export async function insertTemplate(db: Db, input: TemplateInput, by: number | null, now: string): Promise<number> {
  if (input.clientId !== null)
    await db
      .updateTable('treatment_template')
      .set({ removed_at: now })
      .where('client_id', '=', input.clientId)
      .where('removed_at', 'is', null)
      .execute();
  const row = await db
    .insertInto('treatment_template')
    .values({
      client_id: input.clientId,
      name: input.name,
      holds_json: templateColumn.write({ minutes: input.minutes, holds: input.holds }),
      made_at: now,
      made_by: by,
      removed_at: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** @returns false when there is none */
export async function removeTemplate(db: Db, id: number, now: string): Promise<boolean> {
  const result = await db
    .updateTable('treatment_template')
    .set({ removed_at: now })
    .where('id', '=', id)
    .where('removed_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}
