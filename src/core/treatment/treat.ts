import type { Minutes } from '../quantities';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { DrainagePlan } from '../drainage/plan';
import type { Judgement } from '../judgement/judgement';
import type { Library } from '../library/protocol';
import type { StoneWish } from '../library/technique';
import { type Decision, worseOf } from '../screening/tables';
import type { TreatmentBlock } from './block';
import { isDrainageCourse } from './drainage-block';
import { type DrainagePart, drainagePart } from './drainage-part';
import { type Choice, expandChoices } from './expand';
import { type Judged, judgeBlocks } from './judge-blocks';
import { leaned } from './lean';
import { isHeld } from './tell';
import { planTreatment, type TreatmentPlan, type TreatmentWish } from './plan-treatment';

/** What a treatment is made from: the client's judgement, the house's library, and the planner for this case. */
export interface TreatmentCase {
  readonly anatomy: Anatomy;
  readonly library: Library;
  readonly judgement: Judgement;
  readonly affected: 'left' | 'right' | null;
  /** What the visit is about, for protocols of the planner. */
  readonly focus: readonly PlaceId[];
  readonly planFor: (focus: readonly PlaceId[], minutes: Minutes) => DrainagePlan;
  /** Blocks that come from no protocol, such as the client's own lines. */
  readonly ownBlocks?: (choice: Choice) => readonly TreatmentBlock[] | undefined;
}

export interface TreatmentAsked extends TreatmentWish {
  readonly choices: readonly Choice[];
  /** Both hands alike where nothing asks for one side first. */
  readonly bothSides: boolean;
  /** Stones of a step that differ from what its technique asks for, by the step's id. */
  readonly stones?: Readonly<Record<string, StoneWish>> | undefined;
  /** How often each step of a block is given, by the block's id. */
  readonly times?: Readonly<Record<string, number>> | undefined;
}

export interface Treatment {
  readonly plan: TreatmentPlan;
  readonly judged: Judged;
  readonly drainage: DrainagePart;
  /** The planner's course in the minutes that it got; undefined when it has no part. */
  readonly course: DrainagePlan | undefined;
}

/** Everything that was chosen, judged for this client, in the best order and in the time. */
export function treat(input: TreatmentCase, asked: TreatmentAsked): Treatment {
  const { anatomy, library, judgement, affected } = input;
  const drainage = drainagePart(anatomy, library, asked.choices, { ...input, minutes: asked.minutes });
  const chosen = asked.choices.flatMap(
    (choice) => input.ownBlocks?.(choice) ?? expandChoices(anatomy, library, [choice], affected, asked.bothSides),
  );
  const wayRound = (territories: readonly PlaceId[]) => input.planFor(territories, asked.minutes);
  const allowed = judgeBlocks(library, judgement, withTimes(withStones(chosen, asked.stones), asked.times), wayRound);
  // A step that was taken apart has two halves: stones may have been chosen for the second one by itself.
  const own = asked.lean ? withStones(leaned(allowed.blocks, asked.lean), asked.stones) : allowed.blocks;
  const judged = { ...allowed, blocks: [...drainage.blocks, ...own] };
  const plan = planTreatment(anatomy.groups, judged, asked);
  const minutes = plan.blocks.flatMap(({ steps }) => steps).find(isDrainageCourse)?.repetitions;
  return { plan, judged, drainage, course: minutes === undefined ? undefined : drainage.planOf(minutes) };
}

const withStones = (blocks: readonly TreatmentBlock[], wishes: TreatmentAsked['stones'] = {}) =>
  blocks.map((block) => ({
    ...block,
    steps: block.steps.map((step) => {
      const stones = wishes[step.id];
      return stones && step.technique.hands === 'stone' ? { ...step, stones } : step;
    }),
  }));

/** Counted steps of a block, each as often as was said; what is held or breathed keeps its own measure. */
const withTimes = (blocks: readonly TreatmentBlock[], times: TreatmentAsked['times'] = {}) =>
  blocks.map((block) => {
    const set = times[block.id];
    if (set === undefined) return block;
    const isCounted = ({ technique }: TreatmentBlock['steps'][number]) =>
      technique.family !== 'breath' && !isHeld(technique);
    return {
      ...block,
      steps: block.steps.map((step) => (isCounted(step) ? { ...step, repetitions: set, isSet: true } : step)),
    };
  });

/**
 * Whether it may be given as it stands: the worst decision on the kinds of work that were chosen and on the planner's
 * part; at least `modify` when anything had to be left out or changed for the client.
 */
export function decisionOf(
  { plan, judged, drainage }: Treatment,
  judgement: Judgement,
  kinds: readonly string[],
): Decision {
  const ofKinds = kinds.map((modality) => judgement.kind(modality)?.answer.decision ?? 'ok');
  const forClient = judged.leftOut.some(({ reason }) => reason.kind !== 'minutes');
  const changed = plan.blocks.some(({ steps }) => steps.some(({ cautions }) => cautions.length > 0));
  const own: Decision = forClient || changed ? 'modify' : 'ok';
  return [...ofKinds, drainage.full?.decision ?? 'ok'].reduce(worseOf, own);
}
