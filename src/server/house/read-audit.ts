import { screeningBook } from '../../catalogue/screening/screening';
import type { AuditView } from '../../contracts/house-views';
import type { ConditionId } from '../../core/ids';
import type { Db } from '../db/connection';
import { type AuditWish, clientsOfSubjects, listAudit } from './audit.repository';
import { listStaff } from '../people/people.repository';
import { clockTime, shortDay } from '../shared/house-clock';
import { houseAnswers } from './house.answers';

const auditPageSize = 60;

/** Who did what and when, newest first. Names are looked up now: of what was erased only the number is left. */
export async function readAudit(db: Db, wish: AuditWish): Promise<AuditView> {
  const [staff, rows] = await Promise.all([
    listStaff(db),
    listAudit(db, wish, { from: (wish.page - 1) * auditPageSize, count: auditPageSize + 1 }),
  ]);
  const shown = rows.slice(0, auditPageSize);
  const clients = await clientsOfSubjects(
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
        // A finding is noted by its id; whoever reads the book knows it by its name.
        detail: screeningBook.conditions.get(row.detail as ConditionId)?.label ?? row.detail,
        subject: client?.name ?? subjectInWords(row.subject, nameOf),
        clientId: client?.id ?? null,
      };
    }),
  };
}

function subjectInWords(subject: string, nameOf: (id: number) => string | undefined): string {
  const [kind, id] = subject.split(' ');
  if (kind === 'staff') return nameOf(Number(id)) ?? subject;
  return kind === 'client' || kind === 'visit' ? houseAnswers.noLongerOnRecord(kind, String(id)) : subject;
}
