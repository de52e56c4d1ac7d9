import Papa from 'papaparse';
import type { TherapistId } from '../../core/ids';
import { drillNames } from '../../core/training/names';
import { skillOf } from '../../core/training/skills';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import type { PrintedPractice } from '../paper/practice-pdf';
import { findHouse, findStaff } from '../people/people.repository';
import { isoDay, shortDay } from '../shared/house-clock';
import type { Actor } from '../shared/saving';
import { deletePractice, listAnswers } from './practice.repository';
import { minutesOf, readKnown } from './read-known';

const columns = ['day', 'drill', 'level', 'case', 'score', 'seconds', 'not_shown'] as const;

/** One’s own answers, oldest first, as a table. */
export async function resultsCsv(db: Db, person: TherapistId): Promise<string> {
  const rows = (await listAnswers(db, person)).toReversed().map((one) => ({
    day: isoDay(one.at),
    drill: drillNames[one.kind],
    level: one.level,
    case: one.seed,
    score: one.score,
    seconds: Math.round(one.seconds),
    not_shown: one.broken.map((id) => skillOf(id)?.title ?? id).join('; '),
  }));
  return `${Papa.unparse({ fields: [...columns], data: rows }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}

/** What stands on the page of what was practised. */
export async function readPrinted(db: Db, person: TherapistId, now: Date): Promise<PrintedPractice | undefined> {
  const [staff, house, known, answers] = await Promise.all([
    findStaff(db, person),
    findHouse(db),
    readKnown(db, person, now),
    listAnswers(db, person),
  ]);
  if (!staff || !house) return undefined;
  return {
    ...{ name: staff.name, house: house.name, today: shortDay(now.toISOString()) },
    skills: known.skills.flatMap(({ title, kind, sure }) =>
      sure === null ? [] : [{ title, kind: drillNames[kind], sure }],
    ),
    sessions: known.sessions.map(({ day, seconds, answers: count, mean }) => ({ day, seconds, answers: count, mean })),
    answers: answers.length,
    minutes: minutesOf(answers),
  };
}

/** Erases all that one has practised. */
export async function eraseResults(
  db: Db,
  person: TherapistId,
  { therapistId, now }: Actor,
): Promise<{ kind: 'saved' }> {
  return db.transaction().execute(async (trx) => {
    await deletePractice(trx, person);
    await insertAudit(trx, {
      at: now.toISOString(),
      by: therapistId,
      action: 'practice erased',
      subject: `staff ${person}`,
      detail: '',
    });
    return { kind: 'saved' } as const;
  });
}
