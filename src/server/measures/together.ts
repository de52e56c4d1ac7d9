import { setImmediate } from 'node:timers/promises';
import type { TogetherView } from '../../contracts/earned-views';
import { leastVisits } from '../../core/change/earned';
import type { Db } from '../db/connection';
import { listClientsFinishedOften } from '../table/table-events.repository';
import { readTogether } from './read-earned';
import { readMeasured } from './read-measured';

/**
 * Which work went together with what changed, over all clients with visits enough. The house goes on between two of
 * them, and it ends where nobody waits for it any more.
 */
export async function readTogetherOfHouse(db: Db, signal: AbortSignal): Promise<TogetherView> {
  async function* measured() {
    for (const clientId of await listClientsFinishedOften(db, leastVisits)) {
      await setImmediate();
      signal.throwIfAborted();
      yield { clientId, ...(await readMeasured(db, clientId)) };
    }
  }
  return readTogether(db, measured());
}
