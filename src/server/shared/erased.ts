import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';

type Forget = (db: Db, clientId: ClientId) => void;

const forgetting: Forget[] = [];

/** Whoever keeps something of clients outside the database says here how it is forgotten. */
export function whenErased(forget: Forget): void {
  forgetting.push(forget);
}

/** Nothing of this client stays anywhere in the program. */
export function forgetClient(db: Db, clientId: ClientId): void {
  for (const forget of forgetting) forget(db, clientId);
}
