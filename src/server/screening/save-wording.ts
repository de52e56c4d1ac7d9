import type { WordingInput } from '../../contracts/sign-in';
import type { Db } from '../db/connection';
import { insertWording } from './screening.repository';
import { insertAudit } from '../house/audit.repository';
import { keepFirstWording, readWording } from './wording';
import type { Actor, SaveRefusal } from '../shared/saving';
import { screeningAnswers } from './screening.answers';

/** A new version of the consent; every client is asked to sign again, and what was signed keeps its own wording. */
export async function saveWording(
  db: Db,
  { paragraphs, others, basedOn }: WordingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly version: number } | SaveRefusal> {
  const before = await readWording(db);
  if (before.version !== basedOn) return { kind: 'edited-elsewhere' };
  if (JSON.stringify([before.paragraphs, before.others]) === JSON.stringify([paragraphs, others]))
    return { kind: 'refused', errors: [{ path: 'paragraphs', message: screeningAnswers.nothingWasChanged }] };
  const at = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    await keepFirstWording(trx, at);
    const version = await insertWording(trx, { paragraphs, others }, actor.therapistId, at);
    await insertAudit(trx, {
      at,
      by: actor.therapistId,
      action: 'consent wording changed',
      subject: 'house',
      detail: `version ${version}`,
    });
    return { kind: 'saved', version } as const;
  });
}
