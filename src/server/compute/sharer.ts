import { setTimeout } from 'node:timers/promises';
import { readSession } from '../auth/sessions';
import type { Db } from '../db/connection';

/** How long computing waits to hear who asks (ms): a house that is being opened or exchanged does not hold it up. */
const patienceMs = 200;

interface Asker {
  /** That of the cookie, whether or not the house knows it. */
  readonly token: string | undefined;
  readonly address: string;
  readonly now: Date;
}

/**
 * Who has a share of computing of their own: everybody who is signed in, and each address of those who are not.
 * @param house asked only where there is a token; one that does not answer in time, or at all, leaves the address
 */
export async function sharerOf({ token, address, now }: Asker, house: () => Promise<Db>): Promise<string> {
  if (token === undefined) return address;
  const session = house()
    .then((db) => readSession(db, token, now))
    .catch(() => undefined);
  const known = await Promise.race([session, setTimeout(patienceMs, undefined)]);
  return known ? `staff ${known.staff.id}` : address;
}
