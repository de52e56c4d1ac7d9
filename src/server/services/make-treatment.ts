import { anatomy } from '../../catalogue/anatomy';
import { screeningBook } from '../../catalogue/screening/screening';
import type { TreatmentInput } from '../../contracts/treatment';
import type { BlockView, OfferedProtocol, TreatmentView } from '../../contracts/treatment-views';
import type { PlanView } from '../../contracts/visit-views';
import { sideOf } from '../../core/anatomy/place';
import { readCase } from '../../core/drainage/case';
import { type DrainagePlan, planDrainage } from '../../core/drainage/plan';
import type { FieldError } from '../../core/result';
import type { TableStep } from '../../core/table/table-step';
import { type LeftOut, allowOnly } from '../../core/treatment/allow';
import type { TreatmentBlock } from '../../core/treatment/block';
import { drainageBlock, drainageMinutes, isDrainageCourse } from '../../core/treatment/drainage-block';
import { expandChoices } from '../../core/treatment/expand';
import { loadOf } from '../../core/treatment/load';
import { planTreatment } from '../../core/treatment/plan-treatment';
import { waysToShorten } from '../../core/treatment/shorten';
import { changeWords, tellStep } from '../../core/treatment/tell';
import type { Db } from '../db/connection';
import { insertPlan, latestPlan, listEvents } from '../repositories/visits';
import { type HouseLibrary, labelOfRegion, readHouseLibrary } from './read-library';
import { caseOf, readVisitFrame, screenedOf, screeningCaseOf, toPlanView, type VisitRecord } from './read-visit';
import { type Actor, advance, type SaveRefusal } from './saving';
import { screenCase } from './screen-visit';

type Saved = { readonly kind: 'saved'; readonly plan: PlanView } | SaveRefusal;

/** Plans all that was chosen for a visit, or takes the therapist's order of it, as a new version of the plan. */
export async function makeTreatment(db: Db, visitId: number, input: TreatmentInput, actor: Actor): Promise<Saved> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  if (visit.stage === 'stopped')
    return { kind: 'refused', errors: [{ path: '', message: 'The check stopped this visit: nothing is planned.' }] };
  if ((await listEvents(db, visitId)).length > 0)
    return {
      kind: 'refused',
      errors: [{ path: 'plan', message: 'The treatment has begun: the plan stays as it is.' }],
    };
  const library = await readHouseLibrary(db);
  const unknown = input.choices.flatMap(({ protocol }, i): FieldError[] =>
    library.protocols.has(protocol)
      ? []
      : [{ path: `choices.${i}.protocol`, message: `There is no protocol “${protocol}” in this house.` }],
  );
  if (unknown.length > 0) return { kind: 'refused', errors: unknown };
  const given = caseOf(visit, { minutes: input.minutes });
  const read = readCase(anatomy, given);
  if (!read.ok) return { kind: 'refused', errors: read.errors };
  const { treatment, steps, drainage } = compose(library, visit, input);
  return db.transaction().execute(async (trx) => {
    const known = await latestPlan(trx, visitId);
    if ((known?.version ?? 0) !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertPlan(trx, {
      visit_id: visitId,
      version: input.basedOn + 1,
      case_json: JSON.stringify(given),
      plan_json: JSON.stringify({ ...drainage, treatment }),
      steps_json: JSON.stringify(steps),
      is_rearranged: input.order ? 1 : 0,
      reason: input.reason,
      recorded_at: actor.now.toISOString(),
      recorded_by: actor.therapistId,
    });
    await advance(trx, visitId, visit.stage, 'plan');
    const saved = await latestPlan(trx, visitId);
    if (!saved) throw new Error('a plan vanished inside its own transaction');
    return { kind: 'saved', plan: toPlanView(saved, visit) } as const;
  });
}

function compose(library: HouseLibrary, visit: VisitRecord, input: TreatmentInput) {
  const affected = affectedSide(visit);
  const chosen = expandChoices(anatomy, library, input.choices, affected);
  const planned = input.choices.find(({ protocol }) => library.protocols.get(protocol)?.source === 'planner');
  const focus = planned ? focusFor(planned.protocol, visit) : visit.focus;
  const planOf = (minutes: number) => planFor({ ...visit, focus }, minutes);
  const full = planned ? planOf(input.minutes) : undefined;
  const refusal = planned && full && full.steps.length === 0 ? refusedDrainage(planned.id, full) : [];
  const least = planned && full && full.steps.length > 0 ? drainageMinutes(full, planOf) : undefined;
  const drainage: readonly TreatmentBlock[] =
    planned && full && least ? [drainageBlock(planned.id, planned.protocol, full, least)] : [];
  const screening = screenCase(screeningCaseOf(visit));
  const allowed = allowOnly(library, chosen, {
    screening,
    qualifications: new Set(visit.therapist.qualifications),
    usualMinutes: new Map(
      [...screeningBook.modalities].map(([id, { baseline }]) => [id, baseline.maxMinutes ?? Infinity]),
    ),
    hasReactiveFace: visit.stored.some(({ id }) => screeningBook.conditions.get(id)?.tags.includes('face-reactive')),
  });
  const all = { ...allowed, blocks: [...drainage, ...allowed.blocks], leftOut: [...refusal, ...allowed.leftOut] };
  const plan = planTreatment(all, input);
  const minutes = plan.blocks.flatMap(({ steps }) => steps).find(isDrainageCourse)?.repetitions;
  const course = minutes === undefined ? undefined : planOf(minutes);
  const nameOfChoice = (id: string) =>
    library.protocols.get(input.choices.find((one) => one.id === id)?.protocol ?? '')?.name ?? id;
  const steps: TableStep[] = [];
  const blocks = plan.blocks.map((block): BlockView => {
    const words = changeWords(block.changes, block);
    const own =
      block.steps.some(isDrainageCourse) && course
        ? course.steps.map((step, i): TableStep => ({ ...step, ...(i === 0 ? { changes: words } : {}) }))
        : block.steps.map((step, i) => tellStep(block, step, i === 0 ? words : [], labelOfRegion));
    steps.push(...own);
    return {
      id: block.id,
      choice: block.choice,
      name: block.name,
      of: nameOfChoice(block.choice),
      position: block.position,
      hands: block.hands,
      therapist: block.therapist,
      side: block.side,
      changes: block.changes,
      changeWords: words,
      startsAt: block.startsAt,
      seconds: block.seconds,
      why: block.why,
      steps: own.map(({ id }) => id),
    };
  });
  const { rules, faults, stepFaults, conflicts, leftOut } = plan;
  const treatment: TreatmentView = {
    wish: {
      choices: input.choices,
      minutes: input.minutes,
      isShort: input.isShort,
      fill: input.fill,
      ...(input.order ? { order: input.order } : {}),
    },
    blocks,
    choices: input.choices.map(({ id, protocol }) => ({
      id,
      protocol,
      name: nameOfChoice(id),
      isGiven: blocks.some(({ choice }) => choice === id),
    })),
    setupSeconds: plan.setupSeconds,
    lowerBoundSeconds: plan.lowerBoundSeconds,
    isBestOrder: plan.isBestOrder,
    totalSeconds: plan.totalSeconds,
    usualSeconds: plan.usualSeconds,
    availableSeconds: plan.availableSeconds,
    fits: plan.fits,
    shortBySeconds: plan.shortBySeconds,
    leftOut: withNames(leftOut),
    faults,
    stepFaults,
    conflicts,
    rules,
    proposals: plan.totalSeconds < plan.usualSeconds || !plan.fits ? waysToShorten(all.blocks) : [],
    load: loadOf(plan.blocks),
    screened: screenedOf(visit),
  };
  return { treatment, steps, drainage: course ?? full ?? planOf(input.minutes) };
}

function planFor(visit: VisitRecord, minutes: number): DrainagePlan {
  const read = readCase(anatomy, caseOf(visit, { minutes, fill: false }));
  if (!read.ok) throw new Error(read.errors[0]?.message ?? 'the case cannot be read');
  return planDrainage(anatomy, read.value);
}

const limbs: Readonly<Record<string, 'leg' | 'arm'>> = {
  'leg-drainage': 'leg',
  'home-one-leg': 'leg',
  'arm-drainage': 'arm',
};

/** What the planner is asked for: of the visit's own focus what the protocol is about, else both limbs. */
function focusFor(protocol: string, { focus }: VisitRecord): readonly string[] {
  const limb = limbs[protocol];
  if (!limb) return focus;
  const own = focus.filter((id) => id.startsWith(limb));
  return own.length > 0 ? own : [`${limb}.left`, `${limb}.right`];
}

const refusedDrainage = (choice: string, plan: DrainagePlan): readonly LeftOut[] => [
  {
    choice,
    block: null,
    what: 'lymph-drainage',
    why: plan.reasons[0]?.text ?? 'There is nothing to drain for this focus.',
    instead: null,
  },
];

/** Kinds of work by their name. */
const withNames = (list: readonly LeftOut[]) =>
  list.map((one) => ({ ...one, what: screeningBook.modalities.get(one.what)?.label ?? one.what }));

/** The side that was operated on or is swollen, when it is one. */
function affectedSide(visit: VisitRecord): 'left' | 'right' | null {
  const sides = new Set(
    [...visit.findings.flatMap(({ side }) => side ?? []), ...visit.focus.map(sideOf)].filter(
      (side): side is 'left' | 'right' => side === 'left' || side === 'right',
    ),
  );
  const [only] = sides;
  return sides.size === 1 && only ? only : null;
}

/** What may be chosen, in the order of the library; home sheets are for the client. */
export async function offeredProtocols(db: Db): Promise<readonly OfferedProtocol[]> {
  const { protocols } = await readHouseLibrary(db);
  return [...protocols.values()].map(({ id, name, modality, usualMinutes, source }) => ({
    id,
    name,
    modality: screeningBook.modalities.get(modality)?.label ?? modality,
    minutes: usualMinutes,
    isPlanned: source === 'planner',
  }));
}
