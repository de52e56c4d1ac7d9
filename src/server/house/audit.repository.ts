import type { AuditAction } from '../../contracts/audit';
import type { Db } from '../db/connection';
import { expectAudit } from '../shared/asking';

export async function insertAudit(
  db: Db,
  entry: {
    readonly at: string;
    readonly by: number | null;
    readonly action: AuditAction;
    readonly subject: string;
    readonly detail?: string;
  },
): Promise<void> {
  expectAudit(entry.action);
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

export interface AuditWish {
  /** Only what this person did. */
  readonly by?: number | undefined;
  /** Only what this client or visit is about: a part of a name. */
  readonly about?: string | undefined;
  /** A part of what was done. */
  readonly action?: string | undefined;
  /** Local day, `YYYY-MM-DD`: this day and earlier. */
  readonly until?: string | undefined;
  /** From 1. */
  readonly page: number;
}

/** A part of a name that fits more people than this is not looked up any further. */
const mostPeople = 50;

/** Entries that fit, newest first. */
export async function listAudit(
  db: Db,
  wish: Omit<AuditWish, 'page'>,
  { from, count }: { readonly from: number; readonly count: number },
) {
  let query = db.selectFrom('audit').selectAll();
  if (wish.by !== undefined) query = query.where('therapist_id', '=', wish.by);
  if (wish.about) query = query.where('subject', 'in', await subjectsAbout(db, wish.about));
  if (wish.action) query = query.where('action', 'like', `%${plain(wish.action)}%`);
  if (wish.until) query = query.where('at', '<=', new Date(`${wish.until}T23:59:59.999`).toISOString());
  return query.orderBy('id', 'desc').limit(count).offset(from).execute();
}

/** Without what `like` takes for any letter. */
const plain = (text: string) => text.replace(/[%_]/g, '');

/** `client 5`, `visit 12`: everything that is about people with that part in their name. */
async function subjectsAbout(db: Db, name: string): Promise<readonly string[]> {
  const clients = await db
    .selectFrom('client')
    .select('id')
    .where('name', 'like', `%${plain(name)}%`)
    .limit(mostPeople)
    .execute();
  const ids = clients.map(({ id }) => id);
  const visits = await db.selectFrom('visit').select('id').where('client_id', 'in', ids).execute();
  return [...ids.map((id) => `client ${id}`), ...visits.map(({ id }) => `visit ${id}`)];
}

/** Subject → the client whom it is about, as far as they are still on record. */
export async function clientsOfSubjects(
  db: Db,
  subjects: readonly string[],
): Promise<ReadonlyMap<string, { readonly id: number; readonly name: string }>> {
  const idsOf = (kind: string) =>
    subjects.filter((subject) => subject.startsWith(`${kind} `)).map((subject) => Number(subject.split(' ')[1]));
  const [clients, visits] = await Promise.all([
    db.selectFrom('client').select(['id', 'name']).where('id', 'in', idsOf('client')).execute(),
    db
      .selectFrom('visit')
      .innerJoin('client', 'client.id', 'visit.client_id')
      .select(['visit.id as visit_id', 'client.id', 'client.name'])
      .where('visit.id', 'in', idsOf('visit'))
      .execute(),
  ]);
  return new Map([
    ...clients.map((client) => [`client ${client.id}`, client] as const),
    ...visits.map(({ visit_id, id, name }) => [`visit ${visit_id}`, { id, name }] as const),
  ]);
}

/** Clients that were erased: nothing of them is left but that it was done. */
export async function listErasedClients(db: Db): Promise<readonly number[]> {
  const rows = await db.selectFrom('audit').select('subject').where('action', '=', 'client erased').execute();
  return rows.flatMap(({ subject }) => /^client (\d+)$/.exec(subject)?.[1] ?? []).map(Number);
}
