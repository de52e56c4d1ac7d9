import type { Double } from '../../contracts/client-views';
import type { ClientId } from '../../core/ids';
import { type Likeness, likenessOf, type Recognised } from '../../core/search/doubles';
import type { Db } from '../db/connection';
import { clientsAnswers } from './clients.answers';
import { findClient, listAlike } from './clients.repository';

const reasons: Readonly<Record<Likeness, string>> = {
  phone: clientsAnswers.samePhoneNumber,
  email: clientsAnswers.sameAddress,
  'name-and-birthday': clientsAnswers.sameNameAndBirthday,
  name: clientsAnswers.sameName,
  'near-name-and-birthday': clientsAnswers.sameBirthdayMuchTheSameName,
};

/** Clients on record who may be this person; also while somebody is only being typed. */
export async function findDoubles(
  db: Db,
  person: Recognised,
  except: ClientId | null = null,
): Promise<readonly Double[]> {
  return (await listAlike(db, person, except)).flatMap((row) => {
    const likeness = likenessOf(person, { name: row.name, bornOn: row.born_on, phone: row.phone, email: row.email });
    return likeness ? [{ id: row.id, name: row.name, bornOn: row.born_on, why: reasons[likeness] }] : [];
  });
}

/** Other records that may be of the same person as this one. */
export async function findDoublesOf(db: Db, clientId: ClientId): Promise<readonly Double[]> {
  const row = await findClient(db, clientId);
  if (!row) return [];
  return findDoubles(db, { name: row.name, bornOn: row.born_on, phone: row.phone, email: row.email }, clientId);
}
