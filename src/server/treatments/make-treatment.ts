import type { VisitId } from '../../core/ids';
import { anatomy } from '../../catalogue/anatomy';
import { holdsOf, type TreatmentInput } from '../../contracts/treatment';
import type { PlanView } from '../../contracts/visit-views';
import { readCase } from '../../core/drainage/case';
import { lineWorkId } from '../../core/facial/line-work';
import type { FieldError } from '../../core/result';
import { titleOf } from '../../core/table/table-step';
import { workInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import type { PlanRow } from '../db/schema';
import { setPlansAtOwnPace } from '../people/people.repository';
import { listEvents } from '../table/table-events.repository';
import { insertPlan, latestPlan, setHolds } from '../visits/visits.repository';
import { AgainstJudgement, violationErrors } from './against-judgement';
import { composeTreatment } from './compose-treatment';
import { type HouseLibrary, readHouseLibrary } from '../library/read-library';
import { readVisitFrame, toPlanView } from '../visits/read-visit';
import { caseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import { type Actor, advance, type SaveRefusal } from '../shared/saving';
import { stonesAgainst } from '../stones/rotate-stones';
import { layerChoiceErrors, layersAgainst } from './layers-of-steps';
import { readTreatmentFacts } from './treatment-facts';
import { nameOfHolds } from '../visits/visit-holds';
import type { VisitHolds } from '../visits/visit.documents';
import { caseColumn, planColumn, stepsColumn } from '../visits/plan.documents';
import { treatmentsAnswers } from './treatments.answers';

type Saved = { readonly kind: 'saved'; readonly plan: PlanView } | SaveRefusal;
type Wish = Omit<TreatmentInput, 'basedOn' | 'reason'>;

/** Plans all that was chosen for a visit, or takes the therapist's order of it, as a new version of the plan. */
export async function makeTreatment(db: Db, visitId: VisitId, input: TreatmentInput, actor: Actor): Promise<Saved> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if (visit.stage === 'stopped')
    return { kind: 'refused', errors: [{ path: '', message: treatmentsAnswers.theCheckStoppedThisVisitNothing }] };
  if ((await listEvents(db, visitId)).length > 0)
    return {
      kind: 'refused',
      errors: [{ path: 'plan', message: treatmentsAnswers.theTreatmentHasBegunThePlan }],
    };
  const library = await readHouseLibrary(db);
  const unknown = unknownChoices(library, input);
  if (unknown.length > 0) return { kind: 'refused', errors: unknown };
  const read = readCase(anatomy, drainageCaseOf(visit, input));
  if (!read.ok) return { kind: 'refused', errors: read.errors };
  try {
    return await db.transaction().execute(async (trx) => {
      const known = await latestPlan(trx, visitId);
      if ((known?.version ?? 0) !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
      await rememberPace(trx, visit, known, input, actor);
      return { kind: 'saved', plan: await storeTreatment(trx, library, visit, input, actor) } as const;
    });
  } catch (error) {
    if (error instanceof AgainstJudgement) return { kind: 'refused', errors: error.errors };
    throw error;
  }
}

/** What a therapist switches in a visit of their own is what they plan by from then on; a plan that only keeps it is not. */
async function rememberPace(
  trx: Db,
  visit: VisitRecord,
  known: PlanRow | undefined,
  { pace }: TreatmentInput,
  { therapistId }: Actor,
): Promise<void> {
  if (pace === undefined || therapistId === null || therapistId !== visit.therapist.id) return;
  const before = known && planColumn.read(known.plan_json).treatment?.wish.pace;
  if (pace !== before) await setPlansAtOwnPace(trx, therapistId, pace === 'own');
}

/**
 * Composes a treatment and stores it as the next version of the visit's plan, inside a transaction of the caller.
 * @throws AgainstJudgement when the check apart finds anything in it
 */
export async function storeTreatment(
  trx: Db,
  library: HouseLibrary,
  visit: VisitRecord,
  input: TreatmentInput,
  actor: Actor,
): Promise<PlanView> {
  const facts = await readTreatmentFacts(trx, visit, library, input.choices);
  const { treatment, steps, drainage, modalities, violations } = composeTreatment(library, facts, input);
  const titles = new Map(steps.map((step) => [step.id, titleOf(anatomy, step)]));
  const refused = layerChoiceErrors(treatment.layers, input.layers);
  if (refused.length > 0) throw new AgainstJudgement(refused);
  const against = violationErrors(
    [...violations, ...stonesAgainst(steps, facts.tray), ...layersAgainst(treatment.layers, steps, visit)],
    'choices',
    (id) => titles.get(id) ?? id,
  );
  if (against.length > 0) throw new AgainstJudgement(against);
  await insertPlan(trx, {
    visit_id: visit.id,
    version: input.basedOn + 1,
    case_json: caseColumn.write(drainageCaseOf(visit, input)),
    plan_json: planColumn.write({ ...drainage, treatment }),
    steps_json: stepsColumn.write(steps),
    is_rearranged: input.order ? 1 : 0,
    reason: input.reason,
    recorded_at: actor.now.toISOString(),
    recorded_by: actor.therapistId,
  });
  await setHolds(trx, visit.id, heldBy(library, visit, input, modalities, treatment));
  await advance(trx, visit.id, visit.stage, 'plan');
  const saved = await latestPlan(trx, visit.id);
  if (!saved) throw new Error('a plan vanished inside its own transaction');
  return toPlanView(saved, visit);
}

const drainageCaseOf = (visit: VisitRecord, { minutes, school }: Wish) =>
  caseOf(visit, { minutes, ...(school ? { school } : {}) });

/** What a visit that has been booked for a treatment will hold, as far as is known before anybody is asked. */
export async function foreseeTreatment(db: Db, visitId: VisitId, wish: Wish): Promise<void> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return;
  const library = await readHouseLibrary(db);
  const { treatment, modalities } = composeTreatment(
    library,
    await readTreatmentFacts(db, visit, library, wish.choices),
    wish,
  );
  await setHolds(db, visitId, heldBy(library, visit, wish, modalities, treatment));
}

/** Choices of what the house does not have, each with its place; parts that a protocol does not have among them. */
export function unknownChoices(
  library: HouseLibrary,
  { choices }: Pick<TreatmentInput, 'choices'>,
): readonly FieldError[] {
  return choices.flatMap(({ protocol, blocks = [] }, i): FieldError[] => {
    if (protocol === lineWorkId) return [];
    const known = library.protocols.get(protocol);
    if (!known)
      return [
        { path: treatmentsAnswers.choicesProtocol(i), message: treatmentsAnswers.thereIsNoProtocolInThis(protocol) },
      ];
    return blocks.flatMap((id, k) =>
      known.blocks.some((block) => block.id === id)
        ? []
        : [{ path: treatmentsAnswers.choicesBlocks(i, k), message: treatmentsAnswers.hasNoPart(known.name, id) }],
    );
  });
}

function heldBy(
  library: HouseLibrary,
  { focus, purpose }: VisitRecord,
  wish: Wish,
  modalities: readonly string[],
  { room, oil }: Pick<VisitHolds, 'room' | 'oil'>,
): VisitHolds {
  const holds = holdsOf(wish);
  return { holds, name: nameOfHolds(library, holds, workInWords(anatomy, focus, purpose)), modalities, room, oil };
}
