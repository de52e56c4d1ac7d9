import type { AuditView } from '../../contracts/house-views';
import type { Db } from '../db/connection';
import { listStaff } from '../people/people.repository';
import { clockTime, shortDay } from '../shared/house-clock';

export const auditPageSize = 60;

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

/** Who did what and when, newest first. Names are looked up now: of what was erased only the number is left. */
export async function readAudit(db: Db, wish: AuditWish): Promise<AuditView> {
  let query = db.selectFrom('audit').selectAll();
  if (wish.by !== undefined) query = query.where('therapist_id', '=', wish.by);
  if (wish.about) query = query.where('subject', 'in', await subjectsAbout(db, wish.about));
  if (wish.action) query = query.where('action', 'like', `%${plain(wish.action)}%`);
  if (wish.until) query = query.where('at', '<=', new Date(`${wish.until}T23:59:59.999`).toISOString());
  const [staff, rows] = await Promise.all([
    listStaff(db),
    query
      .orderBy('id', 'desc')
      .limit(auditPageSize + 1)
      .offset((wish.page - 1) * auditPageSize)
      .execute(),
  ]);
  const shown = rows.slice(0, auditPageSize);
  const clients = await clientsOf(
    db,
    shown.map(({ subject }) => subject),
  );
  const nameOf = (id: number | null) => staff.find((member) => member.id === id)?.name;
  return {
    hasMore: rows.length > auditPageSize,
    entries: shown.map((row) => {
      const client = clients.get(row.subject);
      return {
        id: row.id,
        when: `${shortDay(row.at)}, ${clockTime(row.at)}`,
        by: nameOf(row.therapist_id) ?? 'the house',
        action: row.action,
        detail: row.detail,
        subject: client?.name ?? subjectInWords(row.subject, nameOf),
        clientId: client?.id ?? null,
      };
    }),
  };
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
async function clientsOf(
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

function subjectInWords(subject: string, nameOf: (id: number) => string | undefined): string {
  const [kind, id] = subject.split(' ');
  if (kind === 'staff') return nameOf(Number(id)) ?? subject;
  return kind === 'client' || kind === 'visit' ? `${kind} no. ${id}, no longer on record` : subject;
}
