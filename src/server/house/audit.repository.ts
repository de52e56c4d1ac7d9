import type { Db } from '../db/connection';

export async function insertAudit(
  db: Db,
  entry: {
    readonly at: string;
    readonly by: number | null;
    readonly action: string;
    readonly subject: string;
    readonly detail?: string;
  },
): Promise<void> {
  await db
    .insertInto('audit')
    .values({
      at: entry.at,
      therapist_id: entry.by,
      action: entry.action,
      subject: entry.subject,
      detail: entry.detail ?? '',
    })
    .execute();
}
