import type { Minutes } from '../../core/quantities';
import { anatomy } from '../../catalogue/anatomy';
import { spreadTable } from '../../catalogue/oils/spread';
import { asksAgain } from '../../catalogue/screening/plan-rules';
import { screeningBook } from '../../catalogue/screening/screening';
import { holdsOf, type TreatmentInput } from '../../contracts/treatment';
import type { RotationView } from '../../contracts/stone-views';
import type { RememberedView } from '../../contracts/remembered-views';
import type { BlockView, LeanView, LeftOutView, PaceView, TreatmentView } from '../../contracts/treatment-views';
import { nameOf, sideOf } from '../../core/anatomy/place';
import type { TighterSide } from '../../core/change/tighter';
import { readCase } from '../../core/drainage/case';
import { type DrainagePlan, planDrainage } from '../../core/drainage/plan';
import { shortLabel } from '../../core/anatomy/place-labels';
import type { FaceLine } from '../../core/facial/line';
import { lineBlocks, linesOfStep, lineWorkId, openLines } from '../../core/facial/line-work';
import type { Ledger } from '../../core/judgement/judgement';
import { limitsOver } from '../../core/judgement/visit-limits';
import { oilNeeds } from '../../core/room/oil-needs';
import { type RoomHabits, roomList } from '../../core/room/room-list';
import { rankOf } from '../../core/screening/tables';
import type { TableStep } from '../../core/table/table-step';
import { differencesFrom, type GivenTreatment } from '../../core/treatment/compare';
import { courseViolations } from '../../core/judgement/course-violations';
import { violationsOf } from '../../core/judgement/violations';
import { toChecked } from '../../core/treatment/checked';
import { isDrainageCourse } from '../../core/treatment/drainage-block';
import { repetitionSecondsOf } from '../../core/treatment/block';
import { canLean, type Lean } from '../../core/treatment/lean';
import type { LeftOut } from '../../core/treatment/left-out';
import { atOwnPace } from '../../core/library/own-pace';
import { facialModalities, type Library } from '../../core/library/protocol';
import { loadOf } from '../../core/treatment/load';
import type { TreatmentPlan } from '../../core/treatment/plan-treatment';
import { withTeaching } from '../../core/treatment/taught';
import { waysToShorten } from '../../core/treatment/shorten';
import { treat, type Treatment } from '../../core/treatment/treat';
import { changeWords, type StepWords, tellStep } from '../../core/treatment/tell';
import { uncapitalise } from '../../core/wording/capitalise';
import { cautionInWords, placesInWords, reasonInWords } from '../../core/judgement/words';
import { givenOf } from './given-treatment';
import { judgementNames, judgeVisit } from '../screening/judge-visit';
import type { LayerFacts } from '../oils/layer-facts';
import { type HouseLibrary, labelOfRegion } from '../library/read-library';
import { fingerprintOfVisit } from '../visits/fingerprint';
import { caseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import type { TherapistPace } from './read-pace';
import { roomHabits } from './room-habits';
import { bottlesInWords, layersLeftOut, layersOf, namesIn, withDrops } from './layers-of-steps';
import { rotationsOf, type StoneTray, warmUpOf } from '../stones/rotate-stones';
import { stoneNote } from '../stones/stone-note';
import { treatmentsAnswers } from './treatments.answers';

/** What a treatment is composed from besides the wish: all that is known of the client that matters to it. */
export interface TreatmentFacts {
  readonly visit: VisitRecord;
  readonly lines: readonly FaceLine[];
  /** What was given before, by kind of work. */
  readonly ledger: Ledger;
  /** The last treatment that was given, to compare with. */
  readonly last: { readonly date: string; readonly given: GivenTreatment } | null;
  /** The house's stones, how warm it works, and what of the client bears on that. */
  readonly tray: StoneTray;
  /** The house's bottles, and what of the client bears on drops straight onto the skin; only where any are asked for. */
  readonly oils?: LayerFacts | undefined;
  /** How fast the therapist of the visit works. */
  readonly pace: TherapistPace;
  /** Which side hands found tighter at earlier visits. */
  readonly tighter?: TighterSide<RememberedView> | undefined;
  /** Skin of the client (m²), where height and weight are known. */
  readonly surfaceM2: number | undefined;
}

type Wish = Omit<TreatmentInput, 'basedOn' | 'reason'>;

/** Puts all that was chosen into the best order, or the therapist's own, and into the time. */
export function composeTreatment(house: HouseLibrary, facts: TreatmentFacts, wish: Wish) {
  const { visit, lines } = facts;
  const isOwnPace = isPlannedAtOwn(facts.pace, wish);
  const library = isOwnPace ? atOwnPace(house, facts.pace.own) : house;
  const judgement = judgeVisit(visit, facts.ledger);
  const lean = leanOf(facts.tighter);
  const isLeaning = lean !== undefined && wish.leanTo === lean.side;
  const treated = treat(
    {
      ...{ anatomy, library, judgement, affected: affectedSide(visit), focus: visit.focus },
      planFor: (focus, minutes) => planFor(visit, wish, focus, minutes),
      ownBlocks: ({ id, protocol }) => (protocol === lineWorkId ? lineBlocks(anatomy, library, id, lines) : undefined),
    },
    { ...wish, lean: isLeaning ? lean : undefined },
  );
  const { plan, drainage, course } = treated;
  const isRefused = drainage.blocks.length === 0;
  const nameOfChoice = (id: string) => {
    const protocol = wish.choices.find((one) => one.id === id)?.protocol ?? '';
    return protocol === lineWorkId
      ? treatmentsAnswers.theClientsOwnLines
      : (library.protocols.get(protocol)?.name ?? id);
  };
  const neck = judgement.kind('neck-mobilisation')?.answer.decision;
  const isNeckStill = neck !== undefined && rankOf(neck) > rankOf('modify');
  const told = tellBlocks(library, plan, course, lines, nameOfChoice, isNeckStill);
  const hand = (wish.school ?? visit.school).hand;
  const layers = facts.oils && layersOf(told.steps, facts.oils, wish.layers);
  const steps = withTeaching(library, hand, layers ? withDrops(told.steps, layers) : told.steps);
  const { blocks } = told;
  const rotations = rotationsOf(steps, facts.tray);
  const pace = paceOf(house, facts, steps, isOwnPace);
  const treatment: TreatmentView = {
    wish: {
      ...holdsOf(wish),
      minutes: wish.minutes,
      ...(wish.order ? { order: wish.order } : {}),
      // Told even where it is only the usual one: undoing a switch then says what it was before.
      ...(pace || wish.pace ? { pace: isOwnPace ? ('own' as const) : ('library' as const) } : {}),
      ...(wish.leanTo ? { leanTo: wish.leanTo } : {}),
    },
    ...(pace ? { pace } : {}),
    ...leanInWords(facts.tighter, lean, treated, wish),
    blocks,
    choices: wish.choices.map(({ id, protocol }) => ({
      id,
      protocol,
      name: nameOfChoice(id),
      isGiven: blocks.some(({ choice }) => choice === id),
    })),
    setupSeconds: plan.setupSeconds,
    lowerBoundSeconds: plan.lowerBoundSeconds,
    isBestOrder: plan.isBestOrder,
    ...(plan.faster ? { faster: fasterInWords(plan) } : {}),
    crossings: plan.crossings,
    totalSeconds: plan.totalSeconds,
    usualSeconds: plan.usualSeconds,
    availableSeconds: plan.availableSeconds,
    fits: plan.fits,
    shortBySeconds: plan.shortBySeconds,
    leftOut: [
      ...(isRefused && drainage.full && drainage.choice !== undefined
        ? refusedDrainage(drainage.choice, drainage.full)
        : []),
      ...leftOutInWords(library, plan.leftOut),
      ...(layers ? layersLeftOut(told.steps, told.blocks, layers) : []),
    ],
    faults: plan.faults,
    stepFaults: plan.stepFaults,
    conflicts: plan.conflicts,
    rules: plan.rules,
    proposals: plan.totalSeconds < plan.usualSeconds || !plan.fits ? waysToShorten(treated.judged.blocks) : [],
    load: loadOf(plan.blocks),
    stones: rotations.map((rotation) => stoneNote(rotation, steps)),
    room: roomList(
      anatomy.groups,
      plan.blocks,
      plan.start.position,
      {
        ...habitsFor(facts.tray, rotations),
        surfaceM2: facts.surfaceM2,
        layerOils: layers && bottlesInWords(layers),
      },
      limitsOver(judgement, givenWork(plan.blocks)),
    ),
    oil: oilNeeds(anatomy.groups, plan.blocks, spreadTable, facts.surfaceM2),
    ...(layers ? { layers: { ...layers, names: namesIn(layers), lately: facts.oils?.lately ?? [] } } : {}),
    lines,
    openLines: hasFacial(plan) ? openLines(plan.blocks, lines).map(({ id }) => id) : [],
    sinceLast: facts.last
      ? { date: facts.last.date, words: differencesFrom(facts.last.given, givenOf(wish.minutes, blocks, steps)) }
      : null,
    screened: fingerprintOfVisit(visit),
  };
  return {
    /** What the check finds that was written apart from the planner; nothing with any of it is stored. */
    violations: [
      ...violationsOf(toChecked(plan.blocks), judgement),
      ...courseViolations(
        (course?.steps ?? []).map(({ id, place, toward }) => ({ id, toward, places: place === null ? [] : [place] })),
        judgement,
      ),
    ],
    treatment,
    steps,
    modalities: [...new Set(plan.blocks.map(({ modality }) => modality))],
    drainage: course ?? drainage.full ?? drainage.planOf(wish.minutes),
  };
}

const isPlannedAtOwn = ({ isLearning, isUsual }: TherapistPace, { pace }: Wish): boolean =>
  !isLearning && (pace === undefined ? isUsual : pace === 'own');

/** Of which techniques of these steps the therapist has a pace of their own, beside what the library says. */
function paceOf(
  { techniques }: Library,
  { visit, pace: { own } }: Pick<TreatmentFacts, 'visit' | 'pace'>,
  steps: readonly TableStep[],
  isOwn: boolean,
): PaceView | undefined {
  const used = [...new Set(steps.flatMap(({ told }) => told?.technique ?? []))];
  const measured = used.flatMap((id) => {
    const [pace, technique] = [own.get(id), techniques.get(id)];
    return pace && technique
      ? [
          {
            name: technique.name,
            ownSeconds: pace.secondsPerRepetition,
            librarySeconds: technique.secondsPerRepetition,
            times: pace.times,
          },
        ]
      : [];
  });
  const { id: therapist, name: whose } = visit.therapist;
  return measured.length > 0 ? { therapist, whose, isOwn, techniques: measured } : undefined;
}

const leanOf = (tighter: TreatmentFacts['tighter']): Lean | undefined =>
  tighter && { side: tighter.side, regions: [...new Set(tighter.found.map(({ place }) => nameOf(place)))] };

/** The offer to lean to the tighter side, where anything of the plan can; or what was made of it. */
function leanInWords(
  tighter: TreatmentFacts['tighter'],
  lean: Lean | undefined,
  { plan }: Treatment,
  { leanTo }: Wish,
): { readonly lean?: LeanView } {
  if (!tighter || !lean) return {};
  const isTaken = leanTo === lean.side;
  if (!isTaken && !canLean(plan.blocks, lean, repetitionSecondsOf)) return {};
  const sided = plan.blocks.find(({ side, twin }) => twin !== undefined && side !== 'both');
  return {
    lean: {
      side: lean.side,
      found: tighter.found
        .map(({ what, words }, i) => treatmentsAnswers.foundSoOften(i === 0 ? what : uncapitalise(what), words))
        .join('; '),
      answer: isTaken ? 'taken' : leanTo === 'neither' ? 'refused' : 'offered',
      movedSeconds: plan.leanedSeconds,
      beginsThere: isTaken && sided?.side === lean.side,
    },
  };
}

/** The room's habits with what the rotations of this plan take from the baths, and how long that needs to be warm. */
function habitsFor(tray: StoneTray, rotations: readonly RotationView[]): RoomHabits {
  const [hot, cool] = [false, true].map((isCold) => rotations.find((one) => one.isCold === isCold));
  return {
    ...roomHabits,
    stoneWarmUpMinutes: (hot && warmUpOf(tray)) ?? roomHabits.stoneWarmUpMinutes,
    hotStones: hot && treatmentsAnswers.setItTo(hot.bathC, inPlayWords(hot)),
    coolStones: cool && `at ${cool.bathC}°: ${inPlayWords(cool)}`,
  };
}

const inPlayWords = ({ rotation }: RotationView): string =>
  Object.entries(rotation.stonesInPlay)
    .map(([name, count]) => `${count} ${name.replaceAll('-', ' ')}`)
    .join(', ');

/** What is given, as the judgement is asked about it. */
const givenWork = (blocks: TreatmentPlan['blocks']) =>
  blocks.map(({ modality, steps }) => ({ modality, places: steps.flatMap(({ places }) => places) }));

/** `belly before back, which “Aromatherapy whole body” does later`. */
function fasterInWords({ faster, blocks }: TreatmentPlan): NonNullable<TreatmentView['faster']> {
  const nameOf = (id: string) => blocks.find((block) => block.id === id)?.name ?? id;
  return {
    savesSeconds: faster?.savesSeconds ?? 0,
    departs: (faster?.departs ?? []).map(({ first, then }) => treatmentsAnswers.before(nameOf(first), nameOf(then))),
  };
}

/** The part that is the same work on the other side, where the treatment does not hold it. */
function otherSideOf(
  library: Library,
  { blocks }: TreatmentPlan,
  { id, choice, twin, protocol }: TreatmentPlan['blocks'][number],
): Pick<BlockView, 'otherSide'> {
  const own = id.slice(choice.length + 1);
  const parts = library.protocols.get(protocol)?.blocks ?? [];
  const other = parts.find((part) => twin !== undefined && part.twin === twin && part.id !== own);
  return !other || blocks.some((block) => block.id === `${choice}/${other.id}`) ? {} : { otherSide: other.id };
}

const hasFacial = ({ blocks }: TreatmentPlan) => blocks.some(({ modality }) => modality === 'facial-massage');

const stepWords: StepWords = {
  caution: (reason) => cautionInWords(judgementNames, reason),
  place: (place) => shortLabel(anatomy, place),
};

/** Blocks and steps in the words of the table. */
function tellBlocks(
  library: Library,
  plan: TreatmentPlan,
  course: DrainagePlan | undefined,
  lines: readonly FaceLine[],
  nameOfChoice: (id: string) => string,
  isNeckStill: boolean,
) {
  const steps: TableStep[] = [];
  const blocks = plan.blocks.map((block, at): BlockView => {
    // Asked once where parts of the same kind follow each other.
    const isBegun = plan.blocks[at - 1]?.modality === block.modality;
    const again = isBegun
      ? []
      : asksAgain(
          block.modality,
          block.steps.map(({ technique }) => technique.id),
        );
    const words = changeWords(block.changes, block, isNeckStill);
    const setupSeconds = block.changes.reduce((sum, { seconds }) => sum + seconds, 0);
    const own =
      block.steps.some(isDrainageCourse) && course
        ? course.steps.map((step, i): TableStep => ({ ...step, ...(i === 0 ? { changes: words, setupSeconds } : {}) }))
        : block.steps.map((step, i) =>
            tellStep(
              anatomy.groups,
              block,
              step,
              i === 0 ? words : [],
              labelOfRegion,
              linesOfStep(step, lines),
              stepWords,
            ),
          );
    steps.push(...own.map((step, i) => (i === 0 && again.length > 0 ? { ...step, asksAgain: again } : step)));
    return {
      id: block.id,
      choice: block.choice,
      protocol: block.protocol,
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
      ...(block.hands === 'oiled' && !block.steps.some(({ layer }) => layer)
        ? { oil: facialModalities.has(block.modality) ? 'face' : 'body' }
        : {}),
      steps: own.map(({ id }) => id),
      ...otherSideOf(library, plan, block),
    };
  });
  return { blocks, steps };
}

/** The planner's answer for some of the client's body, in so many minutes. */
function planFor(visit: VisitRecord, wish: Wish, focus: readonly string[], minutes: Minutes): DrainagePlan {
  const input = caseOf({ ...visit, focus }, { minutes, fill: false, ...(wish.school ? { school: wish.school } : {}) });
  const read = readCase(anatomy, input);
  if (!read.ok) throw new Error(read.errors[0]?.message ?? 'the case cannot be read');
  return planDrainage(anatomy, read.value);
}

/** Why the planner's part is not given: the first of its reasons, in its own words. */
const refusedDrainage = (choice: string, plan: DrainagePlan): readonly LeftOutView[] => [
  {
    ...{ choice, block: null, technique: null, places: [], instead: null, rule: plan.reasons[0]?.rule ?? 'no-focus' },
    what: screeningBook.modalities.get('lymph-drainage')?.label ?? treatmentsAnswers.lymphDrainage,
    why: plan.reasons[0]?.text ?? reasonInWords(judgementNames, { kind: 'nothing-to-drain', rule: 'no-focus' }),
  },
];

/** What is left out, with its name, side and place, its reason, and what is done instead. */
const leftOutInWords = (library: Library, list: readonly LeftOut[]): readonly LeftOutView[] =>
  list.map((one): LeftOutView => {
    const technique = one.technique === null ? undefined : library.techniques.get(one.technique);
    const name =
      technique?.name ?? (one.block === null ? screeningBook.modalities.get(one.modality)?.label : undefined);
    const isAnywhere = one.technique === null || one.places.length === 0;
    return {
      choice: one.choice,
      block: one.block,
      technique: one.technique,
      places: one.places,
      rule: one.reason.rule,
      what: isAnywhere ? (name ?? one.blockName) : `${name}: ${placesInWords(anatomy, one.places)}`,
      why: reasonInWords(judgementNames, one.reason),
      instead: one.instead === null ? null : (library.techniques.get(one.instead)?.name ?? one.instead),
    };
  });

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
