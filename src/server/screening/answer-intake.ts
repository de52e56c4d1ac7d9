import type { ClientId, VisitId } from '../../core/ids';
import { screeningBook } from '../../catalogue/screening/screening';
import type { ConsentInput, IntakeInput, OverrideInput } from '../../contracts/record';
import type { AskState } from '../../contracts/ask-views';
import { type Override, overrideErrors } from '../../core/screening/override';
import type { LimitKey } from '../../core/screening/tables';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { keepFirstWording, readWordingIn } from './wording';
import { changeClient, findClient, toClientData } from '../clients/clients.repository';
import { endFinding, insertFinding, listFindings, type StoredFinding } from './findings.repository';
import { endOverride, insertConsent, insertIntakeAnswers, insertOverride } from './screening.repository';
import { insertAudit } from '../house/audit.repository';
import { pregnancyOn } from '../../core/screening/pregnancy';
import { isoDay } from '../shared/house-clock';
import { readAskState } from './read-ask';
import { readVisitFrame } from '../visits/read-visit';
import { screeningCaseOf } from '../visits/visit-case';
import { bornTooLate, findingBefore } from '../clients/save-client';
import type { Actor, SaveRefusal } from '../shared/saving';
import { overrideRules, screenCase } from './screen-visit';
import { screeningAnswers } from './screening.answers';

type Answered = { readonly kind: 'saved'; readonly state: AskState } | SaveRefusal;

/**
 * Keeps answers as they are given. A yes puts the finding on the record, with its place and date still to be asked;
 * “not sure” does too, and counts as so until it has been cleared up; a no never ends what is on the record, and the
 * contradiction is asked.
 */
export async function answerIntake(
  db: Db,
  visitId: VisitId,
  input: IntakeInput,
  actor: Actor,
  source: 'therapist' | 'client' = 'therapist',
): Promise<Answered> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const errors = input.answers.flatMap(({ condition }, i): FieldError[] =>
    screeningBook.conditions.has(condition)
      ? []
      : [{ path: screeningAnswers.answersCondition(i), message: screeningAnswers.thereIsNoQuestion(condition) }],
  );
  const day = isoDay(visit.startsAt);
  if (input.dueOn && !pregnancyOn(input.dueOn, day))
    errors.push({ path: 'dueOn', message: screeningAnswers.thisDateDoesNotFitA });
  const clientId = visit.client.id;
  const early = await findingBefore(db, clientId, input.bornOn ?? null);
  if (early) errors.push({ path: 'bornOn', message: bornTooLate(early) });
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    const by = actor.therapistId;
    await keepText(trx, clientId, input, by, now);
    if (input.answers.length > 0)
      await insertIntakeAnswers(trx, { clientId, visitId, answers: input.answers, source, by, now });
    const known = await listFindings(trx, clientId);
    for (const { condition, answer } of input.answers) {
      const mine = known.filter((finding) => finding.id === condition);
      if (answer === 'no') {
        // An answer never takes a finding off the record: the contradiction is asked. Only a yes of today that was
        // never more than a yes is a slip of the finger.
        const ended = mine.filter(
          (finding) => isBareAnswer(finding, day) && (source === 'therapist' || finding.source === 'client'),
        );
        for (const finding of ended) await endFinding(trx, clientId, finding.key, by, now, 'answered no');
      } else if (mine.length === 0) {
        await insertFinding(trx, clientId, { id: condition, isUnsure: answer === 'unsure', source }, by, now);
      } else if (mine.some((finding) => finding.isUnsure !== (answer === 'unsure'))) {
        for (const { key, clearance, ...finding } of mine) {
          await endFinding(trx, clientId, key, by, now, 'answered again');
          const next = { ...finding, clearance, isUnsure: answer === 'unsure', replaces: key };
          await insertFinding(trx, clientId, next as Parameters<typeof insertFinding>[2], by, now);
        }
      }
    }
  });
  return stateAfter(db, visitId);
}

/** A finding that says nothing but yes, or not sure, and was answered on the day itself. */
const isBareAnswer = (finding: StoredFinding, day: string) =>
  isoDay(finding.recordedAt) === day &&
  finding.sinceOn === null &&
  finding.side === undefined &&
  (finding.regions ?? []).length === 0 &&
  !finding.clearance;

/** Medicines, due date and birthday stand with the client's own data, so that a change keeps what was there before. */
async function keepText(db: Db, clientId: ClientId, input: IntakeInput, by: number | null, now: string): Promise<void> {
  if (input.medicines === undefined && input.dueOn === undefined && input.bornOn === undefined) return;
  const client = await findClient(db, clientId);
  if (!client) return;
  const before = toClientData(client);
  const after = {
    ...before,
    ...(input.medicines === undefined ? {} : { medicines: input.medicines }),
    ...(input.dueOn === undefined ? {} : { dueOn: input.dueOn }),
    ...(input.bornOn === undefined ? {} : { bornOn: input.bornOn }),
  };
  if (JSON.stringify(before) !== JSON.stringify(after)) await changeClient(db, client, after, by, now);
}

/** Keeps a signed consent with the version of the wording that was read. */
export async function signConsent(db: Db, visitId: VisitId, input: ConsentInput, actor: Actor): Promise<Answered> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const wording = await readWordingIn(db, input.language);
  if (wording.version !== input.wordingVersion)
    return {
      kind: 'refused',
      errors: [{ path: 'wordingVersion', message: screeningAnswers.theWordingHasChangedReadIt }],
    };
  if (visit.client.age !== null && visit.client.age < 18 && input.signer !== 'guardian')
    return { kind: 'refused', errors: [{ path: 'signer', message: screeningAnswers.aGuardianSignsForAClient }] };
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    await keepFirstWording(trx, now);
    await insertConsent(
      trx,
      visit.client.id,
      visitId,
      { ...input, language: wording.language },
      actor.therapistId,
      now,
    );
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'consent signed',
      subject: `client ${visit.client.id}`,
    });
  });
  return stateAfter(db, visitId);
}

/** Sets one limit or a soft stop aside for this visit, with the reason in writing. */
export async function makeOverride(db: Db, visitId: VisitId, input: OverrideInput, actor: Actor): Promise<Answered> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const screening = screenCase(screeningCaseOf(visit));
  const override: Override = {
    modality: input.modality,
    key: input.key as Override['key'],
    value: input.value as Override['value'],
    reason: input.reason,
  };
  const errors = overrideErrors(screeningBook, overrideRules, screening, override, visit.therapist.qualifications);
  if (errors.length > 0) return { kind: 'refused', errors };
  const row = screening.byModality.find(({ modality }) => modality === input.modality);
  const old = (override.key === 'decision' ? row?.decision : row?.limits[override.key as LimitKey]) ?? null;
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    await insertOverride(trx, visitId, override, old, actor.therapistId, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'limit set aside',
      subject: `visit ${visitId}`,
      detail: `${override.modality} ${override.key}`,
    });
  });
  return stateAfter(db, visitId);
}

/** The limit holds again. */
export async function takeBackOverride(db: Db, visitId: VisitId, id: number, actor: Actor): Promise<Answered> {
  const now = actor.now.toISOString();
  if (!(await endOverride(db, visitId, id, now))) return { kind: 'not-found' };
  await insertAudit(db, { at: now, by: actor.therapistId, action: 'limit restored', subject: `visit ${visitId}` });
  return stateAfter(db, visitId);
}

async function stateAfter(db: Db, visitId: VisitId): Promise<Answered> {
  const state = await readAskState(db, visitId);
  return state ? { kind: 'saved', state } : { kind: 'not-found' };
}
