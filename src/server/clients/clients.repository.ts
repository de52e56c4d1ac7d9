import type { ClientId, VisitId } from '../../core/ids';
import { sql } from 'kysely';
import type { ClientInput } from '../../contracts/record';
import { nearness, plainLetters } from '../../core/search/nearness';
import type { Recognised } from '../../core/search/doubles';
import type { Db } from '../db/connection';
import type { ClientRow } from '../db/schema';
import { beforeColumn, likesColumn, noLikes } from './clients.documents';

/** A client's own data, as it is edited. */
export function toClientData(row: ClientRow): ClientInput {
  return {
    name: row.name,
    bornOn: row.born_on,
    phone: row.phone,
    email: row.email,
    address: row.address,
    emergencyContact: row.emergency_contact,
    dueOn: row.due_on,
    heightCm: row.height_cm,
    language: row.language,
    messagesBy: row.messages_by,
    medicines: row.medicines,
    likes: likesColumn.read(row.likes_json),
    note: row.note,
  };
}

function columnsOf(input: ClientInput) {
  return {
    name: input.name,
    search_name: plainLetters(input.name),
    born_on: input.bornOn,
    phone: input.phone,
    email: input.email,
    address: input.address,
    emergency_contact: input.emergencyContact,
    due_on: input.dueOn,
    height_cm: input.heightCm,
    language: input.language,
    messages_by: input.messagesBy,
    medicines: input.medicines,
    likes_json: likesColumn.write(input.likes),
    note: input.note,
  };
}

/** What a client is added with; all but the name may be left out. */
/** What the front desk may see: how to reach somebody, nothing that belongs to the treatment. */
export function contactOnly(data: ClientInput): ClientInput {
  return { ...data, dueOn: null, heightCm: null, medicines: '', note: '', likes: noLikes };
}

export type NewClient = Pick<ClientInput, 'name'> & Partial<ClientInput>;

export async function findClient(db: Db, id: number): Promise<ClientRow | undefined> {
  return db.selectFrom('client').selectAll().where('id', '=', id).executeTakeFirst();
}

export async function insertClient(db: Db, input: NewClient, now: string): Promise<number> {
  const whole: ClientInput = {
    bornOn: null,
    phone: '',
    email: '',
    address: '',
    emergencyContact: '',
    dueOn: null,
    heightCm: null,
    language: '',
    messagesBy: '',
    medicines: '',
    likes: noLikes,
    note: '',
    ...input,
  };
  const row = await db
    .insertInto('client')
    .values({
      ...columnsOf(whole),
      created_at: now,
      messages_said_at: whole.messagesBy === '' ? null : now,
      changed_at: null,
      changed_by: null,
      archived_at: null,
      merged_into: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** Writes new data over the old, which is kept as a version of its own with who changed it and when. */
export async function changeClient(
  db: Db,
  before: ClientRow,
  input: ClientInput,
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('client_version')
    .values({
      client_id: before.id,
      version: before.version,
      before_json: beforeColumn.write(toClientData(before)),
      changed_at: now,
      changed_by: by,
    })
    .execute();
  await db
    .updateTable('client')
    .set({
      ...columnsOf(input),
      ...(input.messagesBy !== before.messages_by && { messages_said_at: input.messagesBy === '' ? null : now }),
      ...{ version: before.version + 1, changed_at: now, changed_by: by },
    })
    .where('id', '=', before.id)
    .execute();
}

export async function listClientVersions(db: Db, clientId: ClientId) {
  return db
    .selectFrom('client_version')
    .selectAll()
    .where('client_id', '=', clientId)
    .orderBy('version', 'desc')
    .execute();
}

export async function setArchived(db: Db, clientId: ClientId, at: string | null): Promise<void> {
  await db.updateTable('client').set({ archived_at: at }).where('id', '=', clientId).execute();
}

/** A number as it is compared: without what is written for the eye, as the index has it. */
const plainNumber = sql<string>`replace(replace(replace(replace(replace(replace(phone, ' ', ''), '-', ''), '(', ''), ')', ''), '/', ''), '.', '')`;
const mostAlike = 100;

/** Others with the same name, birthday, number or e-mail; whether they are the same person is for people to say. */
export async function listAlike(
  db: Db,
  { name, bornOn, phone, email }: Recognised,
  except: ClientId | null,
): Promise<readonly ClientRow[]> {
  const same = async (condition: ReturnType<typeof sql<boolean>>) =>
    db
      .selectFrom('client')
      .selectAll()
      .where(condition)
      .where('id', '!=', except ?? 0)
      .where('merged_into', 'is', null)
      .limit(mostAlike)
      .execute();
  const number = phone.replace(/[ \-()/.]/g, '');
  const searchName = plainLetters(name);
  const rows = await Promise.all([
    searchName === '' ? [] : same(sql`search_name = ${searchName}`),
    bornOn === null ? [] : same(sql`born_on = ${bornOn}`),
    email === '' ? [] : same(sql`email <> '' and lower(email) = ${email.toLowerCase()}`),
    number.length < 5 ? [] : same(sql`${plainNumber} = ${number}`),
  ]);
  return [...new Map(rows.flat().map((row) => [row.id, row])).values()];
}

type Found = ClientRow & { readonly last_visit: string | null };
/** Looked at in earnest before the nearest are chosen; more would not be read anyway. */
const candidates = 300;

/**
 * Clients by the words of their name, phone number or e-mail, nearest first. Beginnings of words are found at once;
 * when there are few, three letters in a row lead to what was mistyped. Merged clients are not found, archived ones last.
 */
export async function searchClients(db: Db, text: string, limit: number): Promise<readonly Found[]> {
  const words = plainLetters(text)
    .split(/[^\p{L}\p{N}@.]+/u)
    .filter(Boolean)
    .slice(0, 6);
  if (words.length === 0) return rowsOf(db, undefined, limit);
  const digits = text.replace(/\D/g, '');
  const isNumber = digits.length >= 3 && /^[\d\s()+/-]+$/.test(text);
  const begun = isNumber ? await withNumber(db, digits, limit) : await withBeginnings(db, words, limit);
  if (isNumber || begun.length >= limit) return rowsOf(db, begun, limit);
  const near = await withNearWords(db, words);
  return rowsOf(db, [...new Set([...begun, ...near])].slice(0, limit), limit);
}

async function withBeginnings(db: Db, words: readonly string[], limit: number): Promise<number[]> {
  const query = words.map((word) => `"${word.replaceAll('"', '')}"*`).join(' ');
  const { rows } = await sql<{ id: number }>`
    select client_words.rowid as id from client_words join client on client.id = client_words.rowid
    where client_words match ${query} and client.merged_into is null
    order by client.archived_at is not null, client.search_name limit ${limit}`.execute(db);
  return rows.map((row) => row.id);
}

async function withNumber(db: Db, digits: string, limit: number): Promise<number[]> {
  const { rows } = await sql<{ id: number }>`
    select id from client where ${plainNumber} like ${`%${digits}%`} and merged_into is null
    order by archived_at is not null, search_name limit ${limit}`.execute(db);
  return rows.map((row) => row.id);
}

/** A name, to be weighed by how few edits lie between it and what was typed. */
interface Candidate {
  readonly id: number;
  readonly name: string;
  readonly email: string;
}

async function withNearWords(db: Db, words: readonly string[]): Promise<number[]> {
  const plain = words.map((word) => word.replace(/[^\p{L}\p{N}]/gu, '')).filter((word) => word.length > 2);
  if (plain.length === 0) return [];
  const found = [...(await sharingLetters(db, plain)), ...(await beginningAlike(db, plain))];
  return [...new Map(found.map((candidate) => [candidate.id, candidate])).values()]
    .flatMap(({ id, name, email }) => {
      const own = [...plainLetters(name).split(/[^\p{L}\p{N}]+/u), ...plainLetters(email).split('@')];
      const edits = words.map((word) => nearness(word, own));
      return edits.every((count) => count !== undefined)
        ? [{ id, edits: edits.reduce<number>((sum, count) => sum + (count ?? 0), 0) }]
        : [];
    })
    .sort((a, b) => a.edits - b.edits)
    .map(({ id }) => id);
}

/** Those that share three letters in a row with what was typed, or with what it was before two letters were swapped. */
async function sharingLetters(db: Db, words: readonly string[]): Promise<readonly Candidate[]> {
  const letters = [...new Set(words.flatMap((word) => [word, ...unswapped(word)]).flatMap(trigrams))];
  const { rows } = await sql<Candidate>`
    select rowid as id, name, email from client_letters
    where client_letters match ${letters.map((three) => `"${three}"`).join(' OR ')}
    order by rank limit ${candidates}`.execute(db);
  return rows;
}

/** Those with a word that begins with the same two letters: a short word has no three of its letters left after one error. */
async function beginningAlike(db: Db, words: readonly string[]): Promise<readonly Candidate[]> {
  const short = words.filter((word) => word.length <= longestShort);
  if (short.length === 0) return [];
  const { rows } = await sql<Candidate>`
    select rowid as id, name, email from client_words
    where client_words match ${short.map((word) => `"${word.slice(0, 2)}"*`).join(' OR ')}
    limit ${candidates * 10}`.execute(db);
  return rows;
}

const longestShort = 6;

function unswapped(word: string): string[] {
  if (word.length > longestShort) return [];
  return Array.from(
    { length: word.length - 1 },
    (_, i) => `${word.slice(0, i)}${word.charAt(i + 1)}${word.charAt(i)}${word.slice(i + 2)}`,
  );
}

function trigrams(word: string): string[] {
  return Array.from({ length: Math.max(0, word.length - 2) }, (_, i) => word.slice(i, i + 3));
}

/** Rows in the order of the ids, or the first by name. */
async function rowsOf(db: Db, ids: readonly number[] | undefined, limit: number): Promise<readonly Found[]> {
  if (ids?.length === 0) return [];
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
    )
    .where('merged_into', 'is', null);
  query = ids
    ? query.where('id', 'in', ids)
    : query.where('archived_at', 'is', null).orderBy('search_name').limit(limit);
  const rows = await query.execute();
  return ids ? rows.toSorted((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id)) : rows;
}

/** Leaves a record as a signpost to the one that it was merged into. */
export async function setMerged(db: Db, id: number, into: number, now: string): Promise<void> {
  await db.updateTable('client').set({ merged_into: into, changed_at: now }).where('id', '=', id).execute();
}

/** The client of that number, or all who are called so; records that were merged into others are none. */
export const listOwners = (db: Db, which: { readonly id: number } | { readonly name: string }) =>
  db
    .selectFrom('client')
    .select(['id', 'name', 'born_on'])
    .where((eb) => ('id' in which ? eb('id', '=', which.id) : eb('search_name', '=', plainLetters(which.name))))
    .where('merged_into', 'is', null)
    .execute();

/** The language that a client was said to read; '' where none was. */
export async function findLanguage(db: Db, id: ClientId): Promise<ClientRow['language']> {
  const row = await db.selectFrom('client').select('language').where('id', '=', id).executeTakeFirst();
  return row?.language ?? '';
}

export async function findLanguageOfVisit(db: Db, visitId: VisitId): Promise<ClientRow['language']> {
  const row = await db
    .selectFrom('visit')
    .innerJoin('client', 'client.id', 'visit.client_id')
    .select('client.language')
    .where('visit.id', '=', visitId)
    .executeTakeFirst();
  return row?.language ?? '';
}
