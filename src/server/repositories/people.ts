import type { QualificationId, School } from '../../core/drainage/case';
import type { TherapistView } from '../../contracts/views';
import type { Db } from '../db/connection';
import type { ClientRow } from '../db/schema';

export interface House {
  readonly name: string;
  readonly scenario: string;
  readonly school: School;
}

/** @returns undefined on a data folder in which no house has been set up */
export async function findHouse(db: Db): Promise<House | undefined> {
  const row = await db.selectFrom('house').selectAll().executeTakeFirst();
  return row && { name: row.name, scenario: row.scenario, school: JSON.parse(row.school_json) as School };
}

export async function insertHouse(db: Db, house: House, now: string): Promise<void> {
  await db
    .insertInto('house')
    .values({
      id: 1,
      name: house.name,
      scenario: house.scenario,
      school_json: JSON.stringify(house.school),
      created_at: now,
    })
    .execute();
}

export async function listTherapists(db: Db): Promise<readonly TherapistView[]> {
  const rows = await db.selectFrom('therapist').selectAll().orderBy('id').execute();
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    initials: row.initials,
    title: row.title,
    room: row.room,
    qualifications: JSON.parse(row.qualifications_json) as QualificationId[],
  }));
}

export async function insertTherapist(db: Db, given: Omit<TherapistView, 'id'>): Promise<number> {
  const row = await db
    .insertInto('therapist')
    .values({
      name: given.name,
      initials: given.initials,
      title: given.title,
      room: given.room,
      qualifications_json: JSON.stringify(given.qualifications),
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** Small letters without accents, for finding. */
export function searchForm(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .trim();
}

export async function findClient(db: Db, id: number): Promise<ClientRow | undefined> {
  return db.selectFrom('client').selectAll().where('id', '=', id).executeTakeFirst();
}

export async function insertClient(
  db: Db,
  given: { readonly name: string; readonly bornOn: string | null; readonly phone: string; readonly note: string },
  now: string,
): Promise<number> {
  const row = await db
    .insertInto('client')
    .values({
      name: given.name,
      search_name: searchForm(given.name),
      born_on: given.bornOn,
      phone: given.phone,
      note: given.note,
      created_at: now,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** Clients whose name holds every word of the text, or whose number holds its digits; by name. */
export async function searchClients(
  db: Db,
  text: string,
  limit: number,
): Promise<readonly (ClientRow & { readonly last_visit: string | null })[]> {
  const words = searchForm(text).split(/\s+/).filter(Boolean);
  const digits = text.replace(/\D/g, '');
  let query = db
    .selectFrom('client')
    .selectAll('client')
    .select((eb) =>
      eb
        .selectFrom('visit')
        .select((e) => e.fn.max('starts_at').as('at'))
        .whereRef('visit.client_id', '=', 'client.id')
        .where('stage', '=', 'done')
        .as('last_visit'),
    );
  if (digits.length >= 3 && words.every((word) => /^[\d+]+$/.test(word))) {
    query = query.where((eb) => eb(eb.fn('replace', ['phone', eb.val(' '), eb.val('')]), 'like', `%${digits}%`));
  } else {
    for (const word of words) query = query.where('search_name', 'like', `%${word.replace(/[%_]/g, '')}%`);
  }
  return query.orderBy('search_name').limit(limit).execute();
}
