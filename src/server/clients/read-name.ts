import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';
import { findClient } from './clients.repository';

/** Who a client is, for heads of pages and papers. @returns undefined when there is no such client */
export async function readName(
  db: Db,
  clientId: ClientId,
): Promise<{ readonly id: number; readonly name: string; readonly bornOn: string | null } | undefined> {
  const client = await findClient(db, clientId);
  return client && { id: client.id, name: client.name, bornOn: client.born_on };
}
