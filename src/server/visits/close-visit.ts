import type { VisitId } from '../../core/ids';
import { type ClosingInput, type FeedbackField, type FeedbackInput, feedbackFields } from '../../contracts/closing';
import type { ClosingView } from '../../contracts/closing-view';
import { plainNote } from '../../core/visit/note-doc';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { insertClosing, insertSignature, latestClosing, listSignatures } from './closings.repository';
import { setStage } from './visits.repository';
import { readVisitFrame } from './read-visit';
import { drawDropped } from '../oils/draw-drops';
import { pourForVisit } from '../oils/visit-blends';
import type { Actor, SaveRefusal } from '../shared/saving';
import { visitsAnswers } from './visits.answers';

const longestNote = 4000;

/** Stores what is asked at the end; every change is a new version. A note with a form is kept beside its plain text. */
export async function saveClosing(
  db: Db,
  visitId: VisitId,
  input: ClosingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly closing: ClosingView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const note = input.noteDoc ? plainNote(input.noteDoc) : input.note;
  if (note.length > longestNote)
    return {
      kind: 'refused',
      errors: [{ path: 'note', message: visitsAnswers.keepTheNoteWithinCharacters(longestNote) }],
    };
  return db.transaction().execute(async (trx) => {
    const known = await latestClosing(trx, visitId);
    if ((known?.version ?? 0) !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
    const next = { ...input, note };
    await insertClosing(trx, visitId, input.basedOn + 1, next, actor.therapistId, actor.now.toISOString());
    const { basedOn, ...rest } = next;
    return { kind: 'saved', closing: { ...rest, version: basedOn + 1 } } as const;
  });
}

type Feedback = typeof FeedbackInput._output;

/** What the client answered on the tablet, on top of what is there; it is remembered that they said it themselves. */
export async function saveFeedback(
  db: Db,
  visitId: VisitId,
  input: Feedback,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  // A record that was signed off is corrected by its therapist, not from a tablet.
  if (visit.stage === 'done')
    return { kind: 'refused', errors: [{ path: '', message: visitsAnswers.thisVisitIsClosedTellYour }] };
  const answered = feedbackFields.filter((field): field is FeedbackField => input[field] !== undefined);
  await db.transaction().execute(async (trx) => {
    const known = (await latestClosing(trx, visitId)) ?? emptyClosing;
    const { version, ...rest } = known;
    const answers = Object.fromEntries(answered.map((field) => [field, input[field] ?? null]));
    const byClient = feedbackFields.filter((field) => known.byClient.includes(field) || answered.includes(field));
    const next: ClosingInput = { ...rest, ...answers, byClient, basedOn: version };
    await insertClosing(trx, visitId, version + 1, next, null, actor.now.toISOString());
  });
  return { kind: 'saved' };
}

const emptyClosing: ClosingView = {
  ...{ version: 0, pressure: null, comfort: null, redness: null, rednessBefore: null, fadeMinutes: null },
  ...{ warmth: null, scent: null, relaxationBefore: null, relaxationAfter: null, note: '', noteDoc: null },
  ...{ byClient: [], oilMl: {}, stonesUsed: null, aftercare: null },
};

/** Signs the record off. Signed again after a correction, it has another signature, and nothing is poured a second time. */
export async function finishVisit(
  db: Db,
  visitId: VisitId,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    const closing = await latestClosing(trx, visitId);
    const version = closing?.version ?? 0;
    const signed = (await listSignatures(trx, visitId)).at(-1);
    // A second press, or another window: the version that is signed is not signed again.
    if (signed?.version === version && visit.stage === 'done') return;
    if (visit.stage !== 'done') {
      await pourForVisit(trx, visitId, closing?.oilMl);
      await drawDropped(trx, visitId, actor);
    }
    await setStage(trx, visitId, 'done', visit.stage === 'done' ? null : now);
    await insertSignature(trx, visitId, { version, therapistId: actor.therapistId, signedAt: now });
    const action = visit.stage === 'done' ? 'correction signed' : 'visit closed';
    await insertAudit(trx, { at: now, by: actor.therapistId, action, subject: `visit ${visitId}` });
  });
  return { kind: 'saved' };
}
