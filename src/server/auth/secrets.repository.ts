import type { Db } from '../db/connection';

/** @throws Error when the house has no such secret, which its migrations see to */
export async function findSecret(db: Db, name: 'drafts'): Promise<Buffer> {
  const row = await db.selectFrom('secret').select('value').where('name', '=', name).executeTakeFirstOrThrow();
  return Buffer.from(row.value, 'hex');
}
