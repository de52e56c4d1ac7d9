import { screeningBook } from '../../catalogue/screening/screening';
import { type MissingGate, missingGates } from '../../core/visit/gates';
import { countOpen } from '../../core/visit/visit-check';
import type { Db } from '../db/connection';
import { listConsents, listIntakeAnswers } from '../screening/screening.repository';
import type { VisitRecord } from './visit-record';
import { visitCheckFor } from './visit-check';

const intakeQuestions = [...screeningBook.conditions.values()].filter(({ askAt }) => askAt.includes('intake'));

/** What is missing before a visit may begin at the table, in the order in which it is asked. */
export async function readGates(db: Db, visit: VisitRecord): Promise<readonly MissingGate[]> {
  const checkOpen = countOpen(visitCheckFor(visit), visit.answers);
  if (!visit.isFirst) return missingGates({ isFirst: false, intakeOpen: 0, hasConsent: true, checkOpen });
  const [answers, consents] = await Promise.all([
    listIntakeAnswers(db, visit.client.id),
    listConsents(db, visit.client.id),
  ]);
  const found = new Set(visit.stored.map(({ id }) => id));
  return missingGates({
    isFirst: true,
    intakeOpen: intakeQuestions.filter(({ id }) => !answers.has(id) && !found.has(id)).length,
    hasConsent: consents.some(({ withdrawn_at }) => withdrawn_at === null),
    checkOpen,
  });
}
