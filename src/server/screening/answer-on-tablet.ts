import { differenceInDays, parseISO } from 'date-fns';
import type { StageOrEnd } from '../../contracts/people-views';
import type { ConsentInput, IntakeInput } from '../../contracts/record';
import type { FieldError } from '../../core/result';
import type { VisitId } from '../../core/ids';
import { findClient, toClientData } from '../clients/clients.repository';
import type { Db } from '../db/connection';
import type { Actor, SaveRefusal } from '../shared/saving';
import { readVisitFrame } from '../visits/read-visit';
import { answerIntake, signConsent } from './answer-intake';
import { listIntakeAnswers } from './screening.repository';
import { screeningAnswers } from './screening.answers';

/** Stages at which a client still fills in what is to be known before. */
const before: readonly StageOrEnd[] = ['ask', 'measure', 'plan', 'prepare'];
/** An answer of the therapist stands so long; then it is asked anew. */
const standsDays = 330;

/**
 * What a client answers on a tablet in their hands: it fills what is blank, of their own visit, while that is being
 * prepared. What a therapist has answered or written stays; the client tells them instead.
 */
export async function answerOnTablet(
  db: Db,
  visitId: VisitId,
  input: IntakeInput,
  actor: Actor,
): Promise<Awaited<ReturnType<typeof answerIntake>> | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  const client = visit && (await findClient(db, visit.client.id));
  if (!visit || !client) return { kind: 'not-found' };
  if (!before.includes(visit.stage)) return begun;
  const [known, data] = [await listIntakeAnswers(db, visit.client.id), toClientData(client)];
  const stands = screeningAnswers.thisWasAnsweredWithYourTherapist;
  const errors: FieldError[] = [];
  const answers = input.answers.filter(({ condition, answer }, i) => {
    const earlier = known.get(condition);
    const isTheirs = earlier?.source === 'therapist' && differenceInDays(actor.now, parseISO(earlier.at)) < standsDays;
    if (isTheirs && earlier.answer !== answer)
      errors.push({ path: screeningAnswers.answersAnswer(i), message: stands });
    return !isTheirs;
  });
  for (const field of ['bornOn', 'dueOn', 'medicines'] as const)
    if (input[field] !== undefined && data[field] !== null && data[field] !== '' && data[field] !== input[field])
      errors.push({ path: field, message: stands });
  if (errors.length > 0) return { kind: 'refused', errors };
  return answerIntake(db, visitId, { ...input, answers }, actor, 'client');
}

const begun = {
  ...{ kind: 'refused', errors: [{ path: '', message: screeningAnswers.thisVisitHasBegunTellYour }] },
} as const satisfies SaveRefusal;

/** A consent is signed before the work, not after it. */
export async function signOnTablet(
  db: Db,
  visitId: VisitId,
  input: ConsentInput,
  actor: Actor,
): Promise<Awaited<ReturnType<typeof signConsent>> | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  return visit && !before.includes(visit.stage) ? begun : signConsent(db, visitId, input, actor);
}
